import { Type, type Static } from "@sinclair/typebox";
import { gravity } from "~/core/measure/jump-height";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import { stressPerNewtonMetre } from "./kneecap";
import { mechanicsFields, NotHeld, standingFields } from "./linkage-input";
import { kneeKgMPerSine, linkageModel, supportedKg, type LinkageModel } from "./linkage-model";
import { heldAt, heldFields, sineOfLean } from "./squat-linkage";

export const SitBackInput = Type.Object(
  {
    ...standingFields,
    kneeFlexionDeg: mechanicsFields.kneeFlexionDeg,
    maxShankInclinationDeg: Type.Optional(mechanicsFields.shankInclinationDeg),
    maxStressMPa: Type.Optional(mechanicsFields.maxStressMPa),
    maxTrunkLeanDeg: Type.Optional(Type.Number({ minimum: 0, maximum: 90 })),
  },
  { additionalProperties: false },
);
export const SitBackOutput = Type.Union([
  Type.Object({ ...heldFields, shankInclinationDeg: Type.Number() }),
  NotHeld,
]);

/** What the schema cannot say: one ceiling, not both; and no ceiling on a stress that nobody can tell. */
export function sitBackProblems(input: Static<typeof SitBackInput>): FieldProblem[] {
  const { maxShankInclinationDeg: shank, maxStressMPa: stress, kneeFlexionDeg } = input;
  return [
    ...problemIf(
      shank !== undefined && stress !== undefined,
      "/maxStressMPa",
      "cannot stand beside maxShankInclinationDeg: give one of the two",
    ),
    ...problemIf(
      shank === undefined && stress === undefined,
      "/maxShankInclinationDeg",
      "is missing: give it or maxStressMPa",
    ),
    ...problemIf(
      stress !== undefined && kneeFlexionDeg > 110,
      "/kneeFlexionDeg",
      "must be 110 or less where a stress is the ceiling",
    ),
  ];
}

const [leastShankDeg, mostShankDeg] = [-30, 60];
const degrees = (radians: number) => (radians * 180) / Math.PI;
const radians = (deg: number) => (deg * Math.PI) / 180;
/** Rounding of a sine at a root. */
const rounding = 1e-9;

/**
 * The sit-back form of a squat: at this knee bend, the shank as far forward as a ceiling on its inclination or on the
 * kneecap's stress allows while somebody stays in balance without leaning too far. A loose ceiling gives the form with
 * the trunk upright.
 *
 * @param input as squatLinkage without its shank, exactly one ceiling (°, or MPa above 0 to 50), the lean allowed
 *   0–90° (60)
 * @returns the pose with its loads; or why the nearest one cannot be held
 * @example sitBack({ bodyMassKg: 80, heightM: 1.8, kneeFlexionDeg: 60, stance: "double", maxShankInclinationDeg: 20 }).shankInclinationDeg // 20
 * Source: statics, solved in closed form: the knee's moment rises with the sine of the shank alone, and the sine of the
 * lean is one sinusoid of the shank.
 */
export function sitBack(input: Static<typeof SitBackInput>): Static<typeof SitBackOutput> {
  const model = linkageModel(input);
  const { kneeFlexionDeg, maxTrunkLeanDeg = 60 } = input;
  const ceilingDeg = highestShankDeg(model, input);
  const mostSine = Math.sin(radians(maxTrunkLeanDeg));
  const within = (shankDeg: number) => {
    const sine = sineOfLean(model, kneeFlexionDeg, shankDeg);
    return sine >= -rounding && sine <= mostSine + rounding;
  };
  const shankInclinationDeg = [ceilingDeg, ...shanksAtSines(model, kneeFlexionDeg, [0, mostSine])]
    .filter((deg) => deg >= leastShankDeg && deg <= ceilingDeg && within(deg))
    .reduce<number | null>((most, deg) => (most === null || deg > most ? deg : most), null);
  if (shankInclinationDeg === null) {
    const highest = heldAt(model, kneeFlexionDeg, ceilingDeg);
    if (!highest.feasible) return highest;
    return { feasible: false, reason: leanReason(highest.trunkLeanDeg, maxTrunkLeanDeg) };
  }
  const held = heldAt(model, kneeFlexionDeg, shankInclinationDeg);
  if (!held.feasible) return held;
  const trunkLeanDeg = Math.min(maxTrunkLeanDeg, Math.max(0, held.trunkLeanDeg));
  return { ...held, trunkLeanDeg, shankInclinationDeg };
}

const leanReason = (leanDeg: number, mostDeg: number) =>
  leanDeg < 0
    ? "would have to lean back to stay over the foot"
    : `would have to lean further than ${mostDeg}°: reach the arms out, hold a counterweight, or loosen the ceiling`;

/** The largest shank inclination within the ceiling, whether it can be held or not. */
function highestShankDeg(model: LinkageModel, input: Static<typeof SitBackInput>): number {
  if (input.maxStressMPa === undefined) return input.maxShankInclinationDeg ?? mostShankDeg;
  const mostMomentNm = input.maxStressMPa / stressPerNewtonMetre(Math.min(90, input.kneeFlexionDeg));
  // The knee's moment (kneeMomentAt) solved for the sine of the shank.
  const sine =
    ((mostMomentNm * model.legs) / gravity + supportedKg(model) * model.pressureM) / kneeKgMPerSine(model);
  return sine >= Math.sin(radians(mostShankDeg)) ? mostShankDeg : degrees(Math.asin(sine));
}

/** Every shank inclination at which the sine of the lean has one of these values, degrees from −180 to 180. */
function shanksAtSines(model: LinkageModel, kneeFlexionDeg: number, sines: readonly number[]): number[] {
  // The sine of the lean is middle + swing × sin(shank − shift); three readings of it give the three.
  const at = (deg: number) => sineOfLean(model, kneeFlexionDeg, deg);
  const middle = (at(0) + at(180)) / 2;
  const [alongSine, alongCosine] = [at(90) - middle, at(0) - middle];
  const swing = Math.hypot(alongSine, alongCosine);
  const shift = Math.atan2(-alongCosine, alongSine);
  return sines.flatMap((sine) => {
    const share = (sine - middle) / swing;
    if (Math.abs(share) > 1) return [];
    return [Math.asin(share), Math.PI - Math.asin(share)].map((angle) => {
      const deg = degrees(angle + shift);
      return deg - 360 * Math.round(deg / 360);
    });
  });
}
