import type { Measure } from "~/core/measure/measure";
import { measureAsks } from "./asks";
import { performanceMeasures } from "./performance";
import { qualityAndScoreMeasures } from "./quality-and-scores";
import { rangeMeasures } from "./range";
import { stateMeasures } from "./state";
import { strengthMeasures } from "./strength";

/** The measures a new clinic starts with. */
export const startingMeasures: readonly Measure[] = [
  ...stateMeasures,
  ...rangeMeasures,
  ...strengthMeasures,
  ...performanceMeasures,
  ...qualityAndScoreMeasures,
].map((measure) => {
  const asks = measureAsks[measure.code];
  return asks ? { ...measure, asks } : measure;
});

/** The starting measure with this code. @throws RangeError when there is none */
export function measureByCode(code: string): Measure {
  const found = startingMeasures.find((measure) => measure.code === code);
  if (!found) throw new RangeError(`there is no measure ${code}`);
  return found;
}
