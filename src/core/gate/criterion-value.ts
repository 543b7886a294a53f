import { valueError } from "~/core/measure/value-error";
import {
  certaintyOfValue,
  findMeasure,
  involvedValue,
  judge,
  nothing,
  unknownError,
  type Evaluator,
} from "./criterion-finding";

/** The involved side's latest value, or the person's; where both sides are involved, the worse one. */
export const value: Evaluator<"value"> = (criterion, record) => {
  const measure = findMeasure(criterion.measure, record);
  const found = involvedValue(measure, record);
  if (!found) return { ...nothing, unit: measure.unit };
  const error = valueError(measure, found.results);
  const certainty = error ? certaintyOfValue(criterion, found.value, error.sem) : unknownError;
  return judge(criterion, record, found, measure.unit, certainty);
};
