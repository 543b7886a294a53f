import { massOf } from "~/catalogue/demands/book";
import type { CaseFile } from "~/core/case/case-file";
import { measuredBody } from "~/core/case/measured-body";
import type { Amounts } from "~/core/dose/amounts";
import { doseJumps, type DoseJump } from "~/core/dose/dose-jump";
import type { FieldProblem } from "~/core/schema/field-problem";
import { label, sayNumber, sayWeight, t } from "~/messages/say";
import { ApiProblem, refused } from "~/server/http/problem";

/** Amounts typed at a place of the body that is sent, with the most that was done of them before. */
export interface Typed {
  readonly now: Amounts;
  readonly before: Amounts;
  /** The field of an amount. */
  readonly pathOf: (key: DoseJump["key"]) => string;
}

/**
 * Refuses what no clinic writes, and asks whether what stands out is meant; nothing is kept until somebody says so.
 *
 * @param more other things to ask about in the same breath
 * @throws ApiProblem 422 `refused-input` or `unusual`
 */
export function askIfMeant(
  typed: readonly Typed[],
  file: CaseFile,
  meant: boolean | undefined,
  more: readonly FieldProblem[] = [],
): void {
  const massKg = massOf(measuredBody(file));
  const found = typed.flatMap(({ now, before, pathOf }) =>
    doseJumps(now, before, massKg).map((jump) => ({ jump, path: pathOf(jump.key) })),
  );
  const beyond = found.filter(({ jump }) => jump.beyond);
  if (beyond.length > 0) throw refused(beyond.map(said));
  if (meant) return;
  const asked = [...found.map(said), ...more];
  if (asked.length > 0) throw unusual(asked);
}

/** Asks whether what stands out is meant; nothing has been kept. */
export const unusual = (problems: readonly FieldProblem[]) =>
  new ApiProblem(422, "unusual", "Meant so? Nothing has been saved yet.", { problems: [...problems] });

function said({ jump, path }: { jump: DoseJump; path: string }): FieldProblem {
  const { key, now, before, against, beyond } = jump;
  const isBody = beyond || against === "body";
  const amounts = {
    now: sayNumber(now),
    before: isBody ? sayWeight(before) : sayNumber(before),
    what: label("amount", key),
  };
  const words = beyond ? "meant.beyond" : against === "body" ? "meant.body" : "meant.jump";
  return { path, problem: t(words, amounts) };
}
