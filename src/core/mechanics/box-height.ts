import { Type, type Static } from "@sinclair/typebox";
import { limbFields, mechanicsFields } from "./linkage-input";
import { winter } from "./segments";

export const BoxHeightInput = Type.Object(
  {
    heightM: mechanicsFields.heightM,
    kneeFlexionDeg: mechanicsFields.kneeFlexionDeg,
    shankInclinationDeg: mechanicsFields.shankInclinationDeg,
    ...limbFields,
    seatOffsetCm: Type.Optional(Type.Number({ minimum: 0, maximum: 15 })),
  },
  { additionalProperties: false },
);
export const BoxHeightOutput = Type.Object({ hipHeightCm: Type.Number(), boxCm: Type.Number() });

/** From the hip's centre down to what touches the box, centimetres (common practice). */
export const usualSeatOffsetCm = 7;

const radians = (deg: number) => (deg * Math.PI) / 180;

/**
 * How high the hip is at a knee bend, and the box that is touched there: the reason why a tall person gets a taller box.
 *
 * @param input height m (1.0–2.4) or measured limbs m (0.15–0.8); knee flexion 0–150°, shank −30…60° forward of vertical;
 *   seat offset cm (0–15, usually 7) from the hip's centre down to what touches the box
 * @returns centimetres above the floor, unrounded
 * @example boxHeight({ heightM: 1.8, kneeFlexionDeg: 0, shankInclinationDeg: 0 }) // { hipHeightCm: 95.4, boxCm: 88.4 }
 * Source: two links, Winter 2009, recalled; seat offset common practice.
 */
export function boxHeight(input: Static<typeof BoxHeightInput>): Static<typeof BoxHeightOutput> {
  const { heightM, kneeFlexionDeg, shankInclinationDeg, seatOffsetCm = usualSeatOffsetCm } = input;
  const { shankM = winter.length.shank * heightM, thighM = winter.length.thigh * heightM } = input;
  const hipHeightCm =
    100 *
    (winter.length.ankleHeight * heightM +
      shankM * Math.cos(radians(shankInclinationDeg)) +
      thighM * Math.cos(radians(kneeFlexionDeg - shankInclinationDeg)));
  return { hipHeightCm, boxCm: hipHeightCm - seatOffsetCm };
}
