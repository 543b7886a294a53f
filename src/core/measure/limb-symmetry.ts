import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";

export const LimbSymmetryInput = Type.Object(
  {
    involved: Type.Number({ minimum: 0, description: "Value of the involved side" }),
    uninvolved: Type.Number({ minimum: 0, description: "Value of the uninvolved side, same unit" }),
    better: oneOf(["higher", "lower"], "Whether a higher or a lower value is the better one"),
  },
  { additionalProperties: false },
);

export const LimbSymmetryOutput = Type.Object({ lsiPercent: Type.Number() });

/**
 * Limb symmetry index: the involved side as a percentage of the uninvolved one.
 * For times and other values where lower is better the ratio is turned round, so that 100 % is always 'equal'
 * and less than 100 % always 'the involved side is behind'.
 *
 * @param input both sides in the same unit; the side that ends up as divisor must be above zero
 *   (an involved side of 0 is a valid 0 % when higher is better)
 * @returns the index in per cent, unrounded
 * @throws RangeError when the divisor is zero; registered callers refuse that before
 * @example limbSymmetry({ involved: 80, uninvolved: 100, better: "higher" }) // { lsiPercent: 80 }
 * @example limbSymmetry({ involved: 2.5, uninvolved: 2, better: "lower" }) // { lsiPercent: 80 }
 * Source: Noyes 1991, recalled; the turn for times is common practice.
 */
export function limbSymmetry(input: Static<typeof LimbSymmetryInput>): Static<typeof LimbSymmetryOutput> {
  const [top, bottom] =
    input.better === "higher" ? [input.involved, input.uninvolved] : [input.uninvolved, input.involved];
  if (bottom <= 0) throw new RangeError("the side that divides must be above zero");
  return { lsiPercent: (top / bottom) * 100 };
}
