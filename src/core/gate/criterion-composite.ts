import { reachComposite } from "~/core/measure/reach-composite";
import {
  areTogether,
  findMeasure,
  involvedValue,
  judge,
  nothing,
  unknownError,
  type Evaluator,
} from "./criterion-finding";

/** Composite reach of the involved leg, per cent of its length: front, back and inside, back and outside, at most 14 days apart. */
export const composite: Evaluator<"reach-composite"> = (criterion, record) => {
  const { front, backInside, backOutside, legLength } = criterion;
  const percent = { ...nothing, unit: "%" };
  const found = [front, backInside, backOutside].map((code) =>
    involvedValue(findMeasure(code, record), record),
  );
  const leg = involvedValue(findMeasure(legLength, record), record);
  const [ahead, inside, outside] = found;
  if (!ahead || !inside || !outside || !leg || leg.value <= 0) return percent;
  const dates = [ahead, inside, outside].map(({ takenOn }) => takenOn).sort();
  const [first = "", , last = ""] = dates;
  if (!areTogether(first, last)) return { ...percent, verdict: "undefined", note: "not-comparable" };
  const { compositePercent } = reachComposite({
    anteriorCm: ahead.value,
    posteromedialCm: inside.value,
    posterolateralCm: outside.value,
    legLengthCm: leg.value,
  });
  return judge(criterion, record, { value: compositePercent, takenOn: first }, "%", unknownError);
};
