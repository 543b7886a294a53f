import { latestValue } from "~/core/measure/side-value";
import { squeezeReference } from "~/core/measure/squeeze-reference";
import { valueError } from "~/core/measure/value-error";
import {
  certaintyOfValue,
  findMeasure,
  judge,
  nothing,
  unknownError,
  type Evaluator,
} from "./criterion-finding";

/** The latest squeeze as a share of its reference, in per cent; the reference may be older than the operation. */
export const ofReference: Evaluator<"of-reference"> = (criterion, record) => {
  const measure = findMeasure(criterion.measure, record);
  const now = latestValue(measure, "none", record.results);
  const reference = squeezeReference(measure, record.everything);
  if (!now || !reference || reference.valueN <= 0) return { ...nothing, unit: "%" };
  const share = 100 / reference.valueN;
  const error = valueError(measure, now.results);
  const certainty = error ? certaintyOfValue(criterion, now.value * share, error.sem * share) : unknownError;
  const dated = { value: now.value * share, takenOn: now.takenOn };
  return { ...judge(criterion, record, dated, "%", certainty), note: reference.kind };
};
