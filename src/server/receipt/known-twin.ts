import { isDeepStrictEqual } from "node:util";
import type { FieldProblem } from "~/core/schema/field-problem";
import type { Queryable } from "~/server/db/connection";
import { ApiProblem } from "~/server/http/problem";
import { findReceipt } from "./receipt-repository";

/** What somebody wants to write: under an id of the sender's making, with the body as it was sent. */
export interface Sent {
  readonly id: string;
  /** What kind of thing it is, so that one id stands for one thing. */
  readonly kind: string;
  readonly episodeId: string | null;
  readonly body: unknown;
}

const toldAtMost = 12;

/**
 * Whether this very thing has been written before. The same id with other content is not a repeat: nothing is written, and
 * the answer (409) shows what was recorded beside what came now, so that neither is lost in silence.
 */
export async function isKnownTwin(db: Queryable, clinicId: string, sent: Sent): Promise<boolean> {
  const before = await findReceipt(db, clinicId, sent.id);
  if (!before) return false;
  if (before.kind !== sent.kind || before.episodeId !== sent.episodeId)
    throw new ApiProblem(409, "id-in-use", "This id belongs to another record.");
  // Through JSON, as the first one came: what is undefined was not sent.
  const body: unknown = JSON.parse(JSON.stringify(sent.body));
  if (isDeepStrictEqual(before.body, body)) return true;
  throw new ApiProblem(
    409,
    "id-conflict",
    "This was recorded before, with other content. What was recorded stands; send once more to record this as well.",
    { problems: differences(before.body, body), changed: { recorded: before.body, sent: body } },
  );
}

/** Where two bodies differ, field by field. */
export function differences(recorded: unknown, sent: unknown, path = ""): FieldProblem[] {
  if (isDeepStrictEqual(recorded, sent)) return [];
  if (!isObject(recorded) || !isObject(sent))
    return [{ path, problem: `was recorded as ${inWords(recorded)}; now it is ${inWords(sent)}` }];
  const keys = [...new Set([...Object.keys(recorded), ...Object.keys(sent)])];
  return keys.flatMap((key) => differences(recorded[key], sent[key], `${path}/${key}`)).slice(0, toldAtMost);
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null;
}

function inWords(value: unknown): string {
  if (value === undefined) return "left out";
  const text = typeof value === "string" ? `“${value}”` : JSON.stringify(value);
  return text.length > 120 ? `${text.slice(0, 120)}…` : text;
}
