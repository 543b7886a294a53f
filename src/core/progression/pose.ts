import { Type, type Static } from "@sinclair/typebox";

/**
 * Where the joints of a body stand, in degrees from the anatomical position; flexion is positive. Joints that are
 * left out stand at 0. Drawing and load calculations read the same pose.
 */
export const Pose = Type.Object(
  {
    joints: Type.Record(Type.String({ pattern: "^[a-z-]+$" }), Type.Number({ minimum: -180, maximum: 180 })),
  },
  { additionalProperties: false },
);
export type Pose = Static<typeof Pose>;
