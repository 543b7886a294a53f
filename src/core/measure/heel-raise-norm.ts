import { Type, type Static } from "@sinclair/typebox";
import type { CountInput } from "./single-leg-bridge-norm";

export const HeelRaiseNormOutput = Type.Object({ normal: Type.Boolean(), sdFromMean: Type.Number() });

const normalFrom = 25;
const mean = 27.9;
const sd = 11.1;

/**
 * Single-leg heel raises against the published norm: 25 count as normal; mean 27.9, standard deviation 11.1.
 *
 * @example heelRaiseNorm({ reps: 25 }) // { normal: true, sdFromMean: -0.261… }
 * Source: Lunsford & Perry 1995, recalled.
 */
export function heelRaiseNorm({ reps }: Static<typeof CountInput>): Static<typeof HeelRaiseNormOutput> {
  return { normal: reps >= normalFrom, sdFromMean: (reps - mean) / sd };
}
