import { kgOfPound } from "~/core/load/pounds";
import { cmOfInch } from "~/core/measure/inch";
import type { Measure } from "~/core/measure/measure";
import { commonPractice } from "../source";

type About = Pick<Measure, "code" | "name"> & Partial<Measure>;
export type Common = Omit<Measure, "code" | "name" | "source">;

/** Measures of one kind: what they share is said once, each adds its own. Common practice unless one says more. */
export function measuresOf(common: Common, own: readonly About[]): Measure[] {
  return own.map((about) => ({ ...common, source: commonPractice, ...about }));
}

/** Newtons are stored; kilograms-force and pounds-force may be typed. */
export const forceUnits: Measure["entryUnits"] = [
  { unit: "N", factor: 1 },
  { unit: "kgf", factor: 9.80665 },
  { unit: "[lbf_av]", factor: 4.4482216152605 },
];
export const massUnits: Measure["entryUnits"] = [
  { unit: "kg", factor: 1 },
  { unit: "[lb_av]", factor: kgOfPound },
];
export const lengthUnits: Measure["entryUnits"] = [
  { unit: "cm", factor: 1 },
  { unit: "[in_i]", factor: cmOfInch },
];
