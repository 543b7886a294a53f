import type { DemandBook } from "~/core/demand/demand-book";
import { labelBook } from "~/core/demand/label-book";
import type { DecideInput, Finding, Proposal } from "~/core/decision/record/decide-input";
import type { DayJudgement } from "~/core/response/judge-day";
import { judgedDays } from "~/core/decision/record/judged-days";
import { notes } from "./notes";
import type { EvidenceCode } from "./record/evidence";
import { viewRecord, type RecordView } from "~/core/decision/record/record-view";
import { beyondLimit } from "./rules/beyond-limit";
import { ease } from "./rules/ease";
import { hold } from "./rules/hold";
import { plateau } from "./rules/plateau";
import { reasonsAgainstStep, type Unmet } from "./rules/step-condition";
import { stepUp, wait } from "./rules/step-up";
import { stop } from "./rules/stop";

/** Stored with every signed decision; raised whenever a rule can answer differently. */
export const engineVersion = "2.7.0";

/** The rules in their order: the first that finds something decides. First what takes something away. */
const taking: readonly ((view: RecordView) => Finding | null)[] = [stop, beyondLimit, ease];
/** Then what weighs a step up, by every reason against one. */
const weighing: readonly ((view: RecordView, against: readonly Unmet[]) => Finding | null)[] = [
  wait,
  stepUp,
  plateau,
  hold,
];

/**
 * What to do with one item of a plan: stop, ease, wait, step up, plateau or hold; with the rule that fired, its
 * evidence, and the one knob that would be turned. Pure: the same record and the same `now` give the same answer.
 *
 * Gotcha: more pain, more faults or less work done never give a harder outcome, with one exception that follows
 * from its definition: the monitored school's 'mean not rising' compares later days with earlier ones, so more
 * pain on an early day can make a later day look better.
 *
 * @param input a valid DecideInput; instants are ISO, forces newtons, pain whole numbers 0–10
 * @param judged the judged training days of this very input, where that has been done already
 * @param book what settings ask of this body; what variants say of themselves where nobody knows it
 * @returns a proposal for a clinician to accept, change or refuse; never an order
 * Source: common practice; bands and figures as marked in the rules.
 */
export function decide(
  input: DecideInput,
  judged: readonly DayJudgement[] = judgedDays(input),
  book: DemandBook = labelBook,
): Proposal {
  return decideBy(viewRecord(input, judged, book));
}

/** The same by a record that was judged and sorted before. */
export function decideBy(view: RecordView): Proposal {
  for (const rule of taking) {
    const finding = rule(view);
    if (finding) return { ...withNotes(finding, view), engineVersion };
  }
  const against = reasonsAgainstStep(view);
  for (const rule of weighing) {
    const finding = rule(view, against);
    if (finding) return { ...withNotes(finding, view), engineVersion };
  }
  throw new Error("the hold rule answers everything");
}

/** Holds that ask somebody for something. */
const asking: ReadonlySet<EvidenceCode> = new Set([
  "mean-rising",
  "pain-ceiling",
  "effusion-high",
  "rebaseline",
  "knob-left-alone",
]);

/** What else is to be told; a rising weekly mean asks for a look as well. Nothing stands beside a stop. */
function withNotes(finding: Finding, view: RecordView): Finding {
  if (finding.outcome === "stop") return finding;
  const said = new Set(finding.evidence.map(({ code }) => code));
  const told = notes
    .flatMap(({ seen, asks }) => seen(view).map((piece) => ({ piece, asks })))
    .filter(({ piece }) => !said.has(piece.code));
  const asks = told.some((note) => note.asks) || finding.evidence.some(({ code }) => asking.has(code));
  return {
    ...finding,
    evidence: [...finding.evidence, ...told.map(({ piece }) => piece)],
    ...(asks ? { review: true } : {}),
  };
}
