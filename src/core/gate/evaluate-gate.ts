import { standingResults } from "~/core/measure/measure";
import { daysBetween } from "~/core/schedule/local-day";
import { criterionKinds, thresholdOf } from "./criterion-kinds";
import type { Criterion, CriterionResult, GateResult, Passing } from "./gate";
import type { GateInput } from "./gate-input";
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
  const input = { ...given, results: standingResults(given.results) };
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
  const next = measureNext(input.gate.criteria, criteria, input.measures);
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
  };
}

function evaluateCriterion(criterion: Criterion, input: GateInput, passing: Passing): CriterionResult {
  const { id, name, required } = criterion;
  const finding = criterionKinds[criterion.kind](criterion as never, input);
  const { takenOn, verdict, probability } = finding;
  const reached = verdict === "met" || verdict === "met-within-error";
  const sure = probability === null || probability >= confidentFrom;
  return {
    id,
    name,
    required,
    ...thresholdOf(criterion),
    ...finding,
    ageDays: takenOn === null ? null : daysBetween(takenOn, input.today),
    passes: reached && (passing === "point" || sure),
  };
}
