import { bisect } from "simple-statistics";
import { Type, type Static } from "@sinclair/typebox";
import { stressPerNewtonMetre } from "./kneecap";
import { mechanicsFields, standingFields } from "./linkage-input";
import { kneeMomentAt, linkageModel } from "./linkage-model";

export const AllowedBendInput = Type.Object(
  {
    ...standingFields,
    shankInclinationDeg: mechanicsFields.shankInclinationDeg,
    maxStressMPa: mechanicsFields.maxStressMPa,
  },
  { additionalProperties: false },
);
export const AllowedBendOutput = Type.Object({
  intervals: Type.Array(Type.Tuple([Type.Number(), Type.Number()]), { maxItems: 1 }),
});

/** Bends for which the kneecap's curves hold, degrees. */
const [leastDeg, mostDeg] = [0, 90];
/** Ends are found to this, degrees. */
const fine = 1e-6;

/**
 * The knee bends at which the kneecap's stress stays under a ceiling while the shank keeps its inclination, whether each
 * can be held or not. One band or none; it may begin above zero, since stress per newton-metre is least near 23.5°.
 *
 * @param input as squatLinkage without its bend; ceiling MPa above 0 to 50
 * @returns bends within 0–90°, ends to 0.01°
 * @example allowedBend({ bodyMassKg: 80, heightM: 1.8, shankInclinationDeg: 0, stance: "double", maxStressMPa: 5 }) // { intervals: [[0, 90]] }
 * Source: see squatLinkage and kneecapLoad.
 */
export function allowedBend(input: Static<typeof AllowedBendInput>): Static<typeof AllowedBendOutput> {
  const moment = kneeMomentAt(linkageModel(input), input.shankInclinationDeg);
  if (moment <= 0) return { intervals: [[leastDeg, mostDeg]] };
  const above = (deg: number) => stressPerNewtonMetre(deg) * moment - input.maxStressMPa;
  const kindest = kindestBend();
  if (above(kindest) > 0) return { intervals: [] };
  const from = above(leastDeg) <= 0 ? leastDeg : bisect(above, leastDeg, kindest, 100, fine);
  const to = above(mostDeg) <= 0 ? mostDeg : bisect(above, kindest, mostDeg, 100, fine);
  return { intervals: [[from, to]] };
}

/** The bend with the least stress for the same moment: to a hundredth of a degree, by looking. */
function kindestBend(): number {
  let best = leastDeg;
  for (let n = 0; n <= 100 * (mostDeg - leastDeg); n += 1) {
    const deg = leastDeg + n / 100;
    if (stressPerNewtonMetre(deg) < stressPerNewtonMetre(best)) best = deg;
  }
  return best;
}
