import { measuresOfGate } from "~/core/gate/measures-in";
import type { Measure } from "~/core/measure/measure";
import type { Pathway } from "~/core/pathway/pathway";
import { startingMeasures } from "../measures/all";

/** The measures that the gates of a pathway read, and the squeeze, which gauges effort wherever one is prescribed. */
export function measuresOf({ stages }: Pathway): Measure[] {
  const codes = new Set(stages.flatMap((stage) => measuresOfGate(stage.gate)));
  codes.add("squeeze-force");
  return startingMeasures.filter((measure) => codes.has(measure.code));
}
