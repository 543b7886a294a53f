import { Type, type Static } from "@sinclair/typebox";
import { gravity } from "~/core/measure/jump-height";
import { kneecapLoad } from "./kneecap";
import { mechanicsFields, NotHeld, standingFields } from "./linkage-input";
import { jointsAt, kneeMomentAt, linkageModel, supportedKg, type LinkageModel } from "./linkage-model";
import { winter } from "./segments";

export const SquatLinkageInput = Type.Object(
  {
    ...standingFields,
    kneeFlexionDeg: mechanicsFields.kneeFlexionDeg,
    shankInclinationDeg: mechanicsFields.shankInclinationDeg,
  },
  { additionalProperties: false },
);

const orNone = Type.Union([Type.Number(), Type.Null()]);
export const heldFields = {
  feasible: Type.Literal(true),
  trunkLeanDeg: Type.Number(),
  ankleMomentNm: Type.Number(),
  kneeMomentNm: Type.Number(),
  hipMomentNm: Type.Number(),
  hipKneeRatio: orNone,
  kneePastToeCm: Type.Number(),
  hipHeightCm: Type.Number(),
  patellofemoralForceN: orNone,
  patellofemoralStressMPa: orNone,
  extrapolated: Type.Boolean(),
} as const;
export const SquatLinkageOutput = Type.Union([Type.Object(heldFields), NotHeld]);

/** Moments at or below this have no ratio, N·m. */
const noMomentNm = 1e-6;
/** How far beyond one the sine of the lean may lie by rounding alone. */
const rounding = 1e-12;

/** What would bring somebody back over the foot. */
export const fallWords = {
  backward: "would fall backward: reach the arms out, let the knee travel further, or hold a counterweight",
  forward: "would fall forward: sit further back, or bring arms and weight to the body",
} as const;

/**
 * A squat held still, on two legs or one: the lean of the trunk that balance asks for, the moments of the joints for each
 * loaded leg, and the load on the kneecap. External flexion moments, positive: body ahead of the ankle, weight behind
 * the knee, weight ahead of the hip.
 *
 * When to use: comparing set-ups of one person. Not for: absolute loads, fast movements, or a diagnosis.
 *
 * @param input masses kg (20–300; loads 0–500), height m (1.0–2.4), knee flexion 0–150°, shank −30…60° forward of
 *   vertical, pressure along the foot 0 (heel) to 1 (toe), the ankle at 0.25
 * @returns unrounded results; or why the position cannot be held
 * @example squatLinkage({ bodyMassKg: 80, heightM: 1.8, kneeFlexionDeg: 0, shankInclinationDeg: 0, stance: "double", pressurePoint: 0.25 }).kneeMomentNm // 0
 * @example squatLinkage({ bodyMassKg: 80, heightM: 1.8, kneeFlexionDeg: 120, shankInclinationDeg: -30, stance: "double" }).feasible // false
 * Source: statics; segment shares of Winter 2009, recalled; kneecap see kneecapLoad.
 */
export function squatLinkage(input: Static<typeof SquatLinkageInput>): Static<typeof SquatLinkageOutput> {
  return heldAt(linkageModel(input), input.kneeFlexionDeg, input.shankInclinationDeg);
}

/** The sine of the trunk's lean that puts the centre of mass over the pressure; beyond ±1 there is none. */
export function sineOfLean(model: LinkageModel, kneeFlexionDeg: number, shankDeg: number): number {
  const { knee, hip } = jointsAt(model, kneeFlexionDeg, shankDeg);
  const legs = legMoments(model, knee.x, hip.x);
  const wanted = supportedKg(model) * model.pressureM;
  return (wanted - legs.shank - legs.thigh - model.aboveHipKg * hip.x - model.fixedKgM) / model.leaningKgM;
}

/** First moments of the loaded shanks and thighs about the ankle, kg·m. */
function legMoments({ shankKg, thighKg }: LinkageModel, kneeX: number, hipX: number) {
  const { shank, thigh } = winter.centre;
  return { shank: shankKg * (1 - shank) * kneeX, thigh: thighKg * (hipX + thigh * (kneeX - hipX)) };
}

/** The same for a body that is already resolved; searches ask it many times. */
export function heldAt(
  model: LinkageModel,
  kneeFlexionDeg: number,
  shankDeg: number,
): Static<typeof SquatLinkageOutput> {
  const asked = sineOfLean(model, kneeFlexionDeg, shankDeg);
  if (Math.abs(asked) > 1 + rounding)
    return { feasible: false, reason: asked > 0 ? fallWords.backward : fallWords.forward };
  const sine = Math.min(1, Math.max(-1, asked));
  const { knee, hip } = jointsAt(model, kneeFlexionDeg, shankDeg);
  const legs = legMoments(model, knee.x, hip.x);
  const aboutHip = model.fixedKgM + model.leaningKgM * sine;
  const perLeg = gravity / model.legs;
  const kneeMomentNm = kneeMomentAt(model, shankDeg);
  const hipMomentNm = perLeg * aboutHip;
  return {
    feasible: true,
    trunkLeanDeg: (Math.asin(sine) * 180) / Math.PI,
    ankleMomentNm: perLeg * (legs.shank + legs.thigh + model.aboveHipKg * hip.x + aboutHip),
    kneeMomentNm,
    hipMomentNm,
    hipKneeRatio: kneeMomentNm <= noMomentNm ? null : hipMomentNm / kneeMomentNm,
    kneePastToeCm: 100 * (knee.x - model.toeM),
    hipHeightCm: 100 * (model.ankleHeightM + hip.y),
    ...kneecapLoad(kneeFlexionDeg, kneeMomentNm),
  };
}
