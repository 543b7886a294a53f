import { valueError } from "~/core/measure/value-error";
import {
  areTogether,
  certaintyOfRatio,
  earlier,
  findMeasure,
  involvedValue,
  judge,
  nothing,
  unknownError,
  type Evaluator,
} from "./criterion-finding";

/** One measure over another, both on the involved side and at most 14 days apart. */
export const ratio: Evaluator<"ratio"> = (criterion, record) => {
  const [measureTop, measureBottom] = [
    findMeasure(criterion.measure, record),
    findMeasure(criterion.over, record),
  ];
  const top = involvedValue(measureTop, record);
  const bottom = involvedValue(measureBottom, record);
  if (!top || !bottom || bottom.value <= 0) return nothing;
  if (!areTogether(top.takenOn, bottom.takenOn))
    return { ...nothing, verdict: "undefined", note: "not-comparable" };
  const errors = [valueError(measureTop, top.results), valueError(measureBottom, bottom.results)] as const;
  const certainty =
    errors[0] && errors[1] && top.value > 0
      ? certaintyOfRatio(criterion, top.value, bottom.value, errors[0].sem, errors[1].sem)
      : unknownError;
  return judge(
    criterion,
    record,
    { value: top.value / bottom.value, takenOn: earlier(top, bottom) },
    "1",
    certainty,
  );
};
