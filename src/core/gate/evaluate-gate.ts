import { Type, type Static } from "@sinclair/typebox";
import { Measure, MeasureResult } from "~/core/measure/measure";
import { InvolvedSide } from "~/core/measure/side-value";
import { daysBetween } from "~/core/schedule/local-day";
import { criterionKinds, thresholdOf } from "./criterion-kinds";
import { EffortDay, Gate, type Criterion, type CriterionResult, type GateResult } from "./gate";

const date = Type.String({ format: "date" });

export const GateInput = Type.Object(
  {
    gate: Gate,
    onsetOn: date,
    stageEnteredOn: date,
    today: date,
    involvedSide: InvolvedSide,
    measures: Type.Array(Measure, { maxItems: 200 }),
    results: Type.Array(MeasureResult, { maxItems: 5000 }),
    effortDays: Type.Array(EffortDay, { maxItems: 2000 }),
  },
  { additionalProperties: false },
);
export type GateInput = Static<typeof GateInput>;

/**
 * Whether the gate out of a stage is open: minimum time since onset and in the stage, and every required
 * criterion met by a value that is not too old. Optional criteria inform and never close a gate.
 * An open gate still needs a clinician's signature.
 *
 * @returns outcome, the rule that closed it (time before criteria), and every criterion with its verdict
 * @throws RangeError when a criterion names a measure that is not among `measures`
 */
export function evaluateGate(input: GateInput): GateResult {
  const daysSinceOnset = daysBetween(input.onsetOn, input.today);
  const daysInStage = daysBetween(input.stageEnteredOn, input.today);
  const daysLeft = Math.max(
    0,
    input.gate.minimumDaysSinceOnset - daysSinceOnset,
    input.gate.minimumDaysInStage - daysInStage,
  );
  const criteria = input.gate.criteria.map((criterion) => evaluateCriterion(criterion, input));
  const allMet = criteria.every((c) => !c.required || c.verdict === "met");
  const rule = daysLeft > 0 ? "gate-time" : allMet ? "gate-open" : "gate-criteria";
  const outcome = rule === "gate-open" ? "open" : "closed";
  return { outcome, rule, daysSinceOnset, daysInStage, daysLeft, criteria };
}

function evaluateCriterion(criterion: Criterion, input: GateInput): CriterionResult {
  const { id, name, required } = criterion;
  const finding = criterionKinds[criterion.kind](criterion as never, input);
  return { id, name, required, ...thresholdOf(criterion), ...finding };
}
