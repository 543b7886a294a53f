import { limbSymmetry } from "./limb-symmetry";
import type { Measure } from "./measure";
import { otherSide, type InvolvedSide } from "./side-value";

/** How values that are being typed stand to each other. */
export type TypedSymmetry =
  | { readonly kind: "value"; readonly value: number }
  | { readonly kind: "index"; readonly lsiPercent: number }
  | { readonly kind: "both-sides-injured" | "needs-the-other-side" | "other-side-is-zero" | "nothing" };

/**
 * Reads the values of one measure as they are typed: the value of the person, or the limb symmetry index, or why there is none.
 *
 * @param values by side; null where nothing is typed yet
 * @example typedSymmetry({ sides: "each", better: "higher" }, { left: 90, right: 100, none: null }, "left")
 *   // { kind: "index", lsiPercent: 90 }
 */
export function typedSymmetry(
  { sides, better }: Pick<Measure, "sides" | "better">,
  values: Readonly<Record<"left" | "right" | "none", number | null>>,
  involvedSide: InvolvedSide,
): TypedSymmetry {
  if (sides === "none")
    return values.none === null ? { kind: "nothing" } : { kind: "value", value: values.none };
  const other = otherSide(involvedSide);
  if (involvedSide === "both" || !other) return { kind: "both-sides-injured" };
  const [involved, uninvolved] = [values[involvedSide], values[other]];
  if (involved === null || uninvolved === null) return { kind: "needs-the-other-side" };
  if ((better === "higher" ? uninvolved : involved) <= 0) return { kind: "other-side-is-zero" };
  return { kind: "index", ...limbSymmetry({ involved, uninvolved, better }) };
}
