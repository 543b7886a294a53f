import type { Criterion } from "~/core/gate/gate";
import { commonPractice, recalled } from "../source";

/** Days for which a value of the groin stands at a gate. */
export const fresh = 14;

/** Single-side adduction against the other side, per cent. */
export const adductionSymmetry = (threshold: number): Criterion => ({
  kind: "symmetry",
  id: "adduction-symmetry",
  name: "Single-side adduction against the other side",
  measure: "hip-adduction-force",
  comparison: ">=",
  threshold,
  maxAgeDays: fresh,
  required: true,
  source: commonPractice,
});

/** Adductors to abductors of the injured side. */
export const adductorRatio = (threshold: number): Criterion => ({
  kind: "ratio",
  id: "adductor-ratio",
  name: "Adductors to abductors, injured side",
  measure: "hip-adduction-force",
  over: "hip-abduction-force",
  comparison: ">=",
  threshold,
  maxAgeDays: fresh,
  required: true,
  source: recalled("Tyler 2001"),
});

/** Pain in the squeeze test at most 2. */
export const squeezePain: Criterion = {
  kind: "value",
  id: "squeeze-pain",
  name: "Pain in the 5-second squeeze",
  measure: "pain-squeeze-test",
  comparison: "<=",
  threshold: 2,
  maxAgeDays: 7,
  required: true,
  source: recalled("Thorborg 2017"),
};
