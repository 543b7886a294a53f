import { standingResults, type MeasureResult } from "~/core/measure/measure";
import { daysBetween } from "~/core/schedule/local-day";
import type { Criterion, CriterionResult, GateResult, Passing } from "./gate";
import type { GateInput } from "./gate-input";
import { criterionKinds, thresholdOf } from "./criterion-kinds";
import { findMeasure, type Finding, type GateRecord } from "./criterion-finding";
import { canBeJudged } from "./judged-in-writing";
import { measuresIn } from "./measures-in";
import { measureNext } from "./measure-next";

const confidentFrom = 0.9;

/**
 * Whether the gate out of a stage is open: no stop signal that halts everything, minimum time since onset and in the stage, every required criterion met by
 * a value that is not too old, and no lane of the stage left out. Optional criteria inform and never close a gate.
 * An open gate still needs a clinician's signature.
 *
 * Under the school `point` the measured value decides, shown with its error; under `confident` a criterion passes only
 * when the true value passes with a probability of at least 90 %, where an error is known.
 *
 * @returns outcome, the rule that closed it (time before criteria), every criterion with its verdict, and what to
 *   measure next
 * @throws RangeError when a criterion names a measure that is not among `measures`
 */
export function evaluateGate(given: GateInput): GateResult {
  const everything = standingResults(given.results);
  const input: GateRecord = { ...given, everything, results: countingResults(everything, given) };
  const passing = input.passing ?? "point";
  const daysSinceOnset = daysBetween(input.onsetOn, input.today);
  const daysInStage = daysBetween(input.stageEnteredOn, input.today);
  const daysLeft = Math.max(
    0,
    input.gate.minimumDaysSinceOnset - daysSinceOnset,
    input.gate.minimumDaysInStage - daysInStage,
  );
  const criteria = input.gate.criteria.map((criterion) => evaluateCriterion(criterion, input, passing));
  const allMet = criteria.every((c) => !c.required || c.passes);
  const lanesLeftOut = input.lanesLeftOut ?? [];
  const met = lanesLeftOut.length > 0 ? "gate-lanes" : "gate-open";
  const halts = input.halts ?? [];
  const judged = daysLeft > 0 ? "gate-time" : allMet ? met : "gate-criteria";
  const rule = halts.length > 0 ? "gate-stop" : judged;
  const outcome = rule === "gate-open" ? "open" : "closed";
  const wanted = measureNext(input.gate.criteria, criteria, input.measures);
  const bars = new Map((input.barred ?? []).map(({ measure, says }) => [measure, says]));
  const next = wanted.filter(({ measure }) => !bars.has(measure));
  const barred = wanted.flatMap(({ measure }) => {
    const says = bars.get(measure);
    return says === undefined ? [] : [{ measure, says }];
  });
  return {
    outcome,
    rule,
    passing,
    daysSinceOnset,
    daysInStage,
    daysLeft,
    criteria,
    lanesLeftOut: [...lanesLeftOut],
    ...(halts.length > 0 ? { halts: [...halts] } : {}),
    measureNext: next,
    ...(barred.length > 0 ? { barred } : {}),
  };
}

/**
 * Results that a criterion may be judged by: after an operation or an injury anew only later ones, and none that was held back
 * because the muscle hurt. What is from before the injury stays, as a reference.
 */
function countingResults(
  all: readonly MeasureResult[],
  { surgeryOn, reinjuredOn, today }: GateInput,
): MeasureResult[] {
  const since = [surgeryOn, reinjuredOn]
    .filter((on) => on !== undefined && on <= today)
    .sort()
    .at(-1);
  return all.filter(
    ({ occasion, takenOn, detail }) =>
      occasion !== "since-injury" ||
      ((since === undefined || takenOn > since) && detail?.submaximal !== true),
  );
}

/** A finding that a clinician has judged in writing, as long as nothing newer was measured and the word is not too old. */
function withWord(criterion: Criterion, finding: Finding, input: GateRecord): Finding {
  if (finding.verdict !== "undefined" || !canBeJudged(finding) || criterion.kind === "within-rule")
    return finding;
  const word = (input.words ?? [])
    .filter((entry) => entry.criterion === criterion.id && entry.on <= input.today)
    .sort((a, b) => a.on.localeCompare(b.on))
    .at(-1);
  if (!word || daysBetween(word.on, input.today) > criterion.maxAgeDays) return finding;
  const read = new Set(measuresIn(criterion));
  const isNewer = input.results.some((r) => read.has(r.measure) && r.takenOn > word.on);
  return isNewer ? finding : { ...finding, verdict: "met", note: "clinician-word", takenOn: word.on };
}

/** Says why nothing counts where the only values there are were held back. */
function withSubmaximal(criterion: Criterion, finding: Finding, { everything }: GateRecord): Finding {
  const read = new Set(measuresIn(criterion));
  const heldBack = everything.some((r) => read.has(r.measure) && r.detail?.submaximal === true);
  return finding.verdict === "missing" && heldBack ? { ...finding, note: "sub-maximal" } : finding;
}

/** A value that is a grade is said by its word: 2 of an effusion is 1+, and no 2+. */
function gradesOf(criterion: Criterion, record: GateRecord): Pick<CriterionResult, "grades"> {
  if (criterion.kind !== "value") return {};
  const { grades } = findMeasure(criterion.measure, record);
  return grades ? { grades: [...grades] } : {};
}

function evaluateCriterion(criterion: Criterion, input: GateRecord, passing: Passing): CriterionResult {
  const { id, name, required } = criterion;
  const read = criterionKinds[criterion.kind](criterion as never, input);
  const finding = withSubmaximal(criterion, withWord(criterion, read, input), input);
  const { takenOn, verdict, probability } = finding;
  const reached = verdict === "met" || verdict === "met-within-error";
  const sure = probability === null || probability >= confidentFrom;
  return {
    id,
    name,
    required,
    ...thresholdOf(criterion, input),
    ...gradesOf(criterion, input),
    ...finding,
    ageDays: takenOn === null ? null : daysBetween(takenOn, input.today),
    passes: reached && (passing === "point" || sure),
  };
}
