import { Type, type Static } from "@sinclair/typebox";
import type { MeasureError } from "./measure";

export const SemInput = Type.Object(
  { sem: Type.Number({ exclusiveMinimum: 0, description: "Standard error of measurement" }) },
  { additionalProperties: false },
);
export const MdcOutput = Type.Object({ mdc95: Type.Number() });

/** Two-sided normal quantile of 95 %, as the field rounds it. */
export const z95 = 1.96;
const z90 = 1.645;

/**
 * Smallest change between two measurements that is beyond their error with 95 % confidence: 1.96 · √2 · SEM.
 *
 * @example minimalDetectableChange({ sem: 5 }) // { mdc95: 13.859… }
 * Source: common practice; Weir 2005, recalled.
 */
export function minimalDetectableChange({ sem }: Static<typeof SemInput>): Static<typeof MdcOutput> {
  return { mdc95: z95 * Math.SQRT2 * sem };
}

/**
 * Standard error behind a published error: itself, or taken back out of a detectable change at its own confidence
 * (90 %: ÷ 1.645 √2; 95 %: ÷ 1.96 √2).
 *
 * @throws RangeError for a confidence other than 90 or 95 %
 */
export function standardError({ kind, amount, confidencePercent }: MeasureError): number {
  if (kind === "sem") return amount;
  const z = confidencePercent === 90 ? z90 : confidencePercent === 95 ? z95 : null;
  if (z === null) throw new RangeError("a detectable change carries its confidence: 90 or 95 %");
  return amount / (z * Math.SQRT2);
}
