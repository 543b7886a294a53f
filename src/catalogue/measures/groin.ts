import type { Measure } from "~/core/measure/measure";
import { commonPractice, recalled } from "../source";

const pain = {
  unit: "{0-10}",
  sides: "none",
  better: "lower",
  summary: "worst",
  plausible: { low: 0, high: 10 },
} as const;
const force = { unit: "N", better: "higher", summary: "best", plausible: { low: 0, high: 1500 } } as const;
const count = { unit: "1", sides: "none", better: "higher", summary: "latest" } as const;

/** Measures that the groin pathway's gates read. */
export const groinMeasures: readonly Measure[] = [
  { code: "pain-walking", name: "Pain in walking", ...pain, source: commonPractice },
  {
    code: "pain-squeeze-test",
    name: "Pain in the 5-second squeeze",
    ...pain,
    source: recalled("Thorborg 2017"),
  },
  { code: "pain-steady-run", name: "Pain in a 20-minute steady run", ...pain, source: commonPractice },
  { code: "squeeze-force", name: "Squeeze, both legs", sides: "none", ...force, source: commonPractice },
  {
    code: "hip-adduction-force",
    name: "Hip adduction, isometric",
    sides: "each",
    ...force,
    source: commonPractice,
  },
  {
    code: "hip-abduction-force",
    name: "Hip abduction, isometric",
    sides: "each",
    ...force,
    source: commonPractice,
  },
  {
    code: "hip-abduction-range",
    name: "Hip abduction, range",
    unit: "deg",
    sides: "each",
    better: "higher",
    summary: "best",
    plausible: { low: 0, high: 90 },
    source: commonPractice,
  },
  {
    code: "side-hops",
    name: "Side hops in 30 s",
    ...count,
    sides: "each",
    summary: "best",
    plausible: { low: 0, high: 150 },
    source: commonPractice,
  },
  {
    code: "steady-run-minutes",
    name: "Steady running without a stop",
    ...count,
    unit: "min",
    plausible: { low: 0, high: 240 },
    source: commonPractice,
  },
  {
    code: "full-trainings",
    name: "Full trainings completed",
    ...count,
    plausible: { low: 0, high: 200 },
    source: commonPractice,
  },
];
