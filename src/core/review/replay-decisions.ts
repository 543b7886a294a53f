import type { DemandBook } from "~/core/demand/demand-book";
import { Type, type Static } from "@sinclair/typebox";
import { engineVersion } from "~/core/decision/decide";
import { Outcome, type Proposal } from "~/core/decision/record/decide-input";
import type { CaseDecision, CaseFile } from "~/core/case/case-file";
import { knownAt } from "~/core/case/known-at";
import { eachInSteps, type InSteps } from "~/core/work/in-steps";
import { reviewCase } from "./review-case";

/** A signed decision beside what the same record proposes today. */
export const ReplayedDecision = Type.Object({
  decisionId: Type.String(),
  itemId: Type.String(),
  at: Type.String({ format: "date-time" }),
  /** The engine that made the stored proposal. */
  storedEngine: Type.String(),
  same: Type.Boolean(),
  stored: Type.Object({ outcome: Outcome, rule: Type.String() }),
  /** Null when the item cannot be judged from this record. */
  replayed: Type.Union([Type.Object({ outcome: Outcome, rule: Type.String() }), Type.Null()]),
});
export type ReplayedDecision = Static<typeof ReplayedDecision>;

export const Replay = Type.Object({
  engineVersion: Type.String(),
  decisions: Type.Array(ReplayedDecision),
});
export type Replay = Static<typeof Replay>;

/**
 * Makes every signed proposal again from the record as it was known when it was signed, and lists those that come out
 * otherwise: under the engine that stored them there should be none; under a later one the differences are shown.
 *
 * @returns in steps, a decision at a time
 */
export function* replayDecisions(file: CaseFile, book?: DemandBook): InSteps<Replay> {
  const decisions = yield* eachInSteps(file.decisions, (decision) => replayed(file, decision, book));
  return { engineVersion, decisions };
}

function replayed(file: CaseFile, decision: CaseDecision, book: DemandBook | undefined): ReplayedDecision {
  const again = reviewCase(knownBefore(file, decision), {
    school: decision.school,
    ...(book ? { book } : {}),
  }).items.find((item) => item.itemId === decision.itemId)?.proposal;
  return {
    decisionId: decision.id,
    itemId: decision.itemId,
    at: decision.at,
    storedEngine: decision.proposal.engineVersion,
    same: again !== undefined && content(again) === content(decision.proposal),
    stored: { outcome: decision.proposal.outcome, rule: decision.proposal.rule },
    replayed: again ? { outcome: again.outcome, rule: again.rule } : null,
  };
}

/** Everything of a proposal but the version of its engine; keys sorted, since storing may reorder them. */
function content({ engineVersion: _version, ...proposal }: Proposal): string {
  return JSON.stringify(sorted(proposal));
}

function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (value === null || typeof value !== "object") return value;
  const entries = Object.entries(value).filter(([, v]) => v !== undefined);
  return Object.fromEntries(entries.sort(([a], [b]) => a.localeCompare(b)).map(([k, v]) => [k, sorted(v)]));
}

/** The case as it was known when a decision was signed: nothing that reached the record later, nor the decision itself. */
function knownBefore(file: CaseFile, decision: CaseDecision): CaseFile {
  const place = file.decisions.findIndex(({ id }) => id === decision.id);
  // Of decisions of the same instant, those before it in the file were signed before it.
  const before = (at: string, n: number) => {
    const [then, now] = [Date.parse(at), Date.parse(decision.at)];
    return then < now || (then === now && n < place);
  };
  return knownAt(
    file,
    decision.at,
    file.decisions.filter((other, n) => before(other.at, n)),
  );
}
