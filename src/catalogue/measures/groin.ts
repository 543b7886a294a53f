import type { Measure } from "~/core/measure/measure";
import { measureByCode } from "./all";

/** Measures that the groin pathway's gates read. */
export const groinMeasures: readonly Measure[] = [
  "pain-walking",
  "pain-squeeze-test",
  "pain-steady-run",
  "squeeze-force",
  "hip-adduction-force",
  "hip-abduction-force",
  "hip-abduction-range",
  "side-hops",
  "steady-run-minutes",
  "full-trainings",
].map(measureByCode);
