import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";

const closed = { additionalProperties: false };
const degrees = (description?: string) => Type.Number({ minimum: -180, maximum: 180, description });
const metres = Type.Number({ minimum: -5, maximum: 5 });
const Point = Type.Tuple([metres, metres, metres]);

/** Which way the body lies or stands before anything bends; `side-up` has the working side on top. */
export const Lie = oneOf(["upright", "supine", "prone", "side-up", "side-down"]);
export type Lie = Static<typeof Lie>;

/** The sole in the room: `pitch` above 0 stands on the ball with the heel lifted, below 0 on the heel. */
export const Sole = Type.Object(
  {
    /** Where the ankle would stand over a flat sole; with it the leg reaches for that place, without it only turns. */
    x: Type.Optional(metres),
    z: Type.Optional(metres),
    y: metres,
    pitch: degrees("The heel lifted above, the toes lifted below 0"),
    turn: degrees("Toes turned outward"),
    /** What it turns on when pitched; without it the ball above and the heel below 0. */
    pivot: Type.Optional(oneOf(["ball", "heel"])),
    /** In the air: nothing is promised about the ground under it. */
    free: Type.Boolean(),
    /** Where the knee points when the leg reaches: fore, up, outward. */
    knee: Type.Optional(Point),
  },
  closed,
);
export type Sole = Static<typeof Sole>;

export const Leg = Type.Object(
  {
    hip: degrees("Flexion; of the thigh against the room where `room` is set"),
    abduction: degrees(),
    rotation: degrees("Outward"),
    knee: degrees("Flexion"),
    ankle: degrees("Towards the shin; not used where a sole is set"),
    room: Type.Boolean({ description: "Hip angles are read against the room, not the pelvis" }),
    sole: Type.Optional(Sole),
  },
  closed,
);
export type Leg = Static<typeof Leg>;

export const Arm = Type.Object(
  {
    flexion: degrees("Of the shoulder, forward and up"),
    abduction: degrees(),
    rotation: degrees("Outward"),
    elbow: degrees("Flexion"),
    /** Shoulder angles are read against the room: an arm that hangs, hangs down whatever the trunk does. */
    room: Type.Optional(Type.Boolean()),
    /** A place for the grip to reach; the angles above are then read off, not set. */
    reach: Type.Optional(
      Type.Object(
        {
          in: oneOf(["room", "pelvis", "chest"]),
          at: Point,
          elbowTo: Point,
          palm: Type.Optional(Type.Boolean({ description: "The wrist goes there and the hand lies flat" })),
        },
        { additionalProperties: false, description: "fore, up, outward of the part named" },
      ),
    ),
  },
  closed,
);
export type Arm = Static<typeof Arm>;

/** The names of the points of a body. `w` is the working side, `o` the other. */
export const sidePoints = [
  "hip",
  "knee",
  "ankle",
  "heel",
  "ball",
  "toe",
  "shoulder",
  "elbow",
  "wrist",
  "grip",
] as const;
export const middlePoints = ["pelvis", "lumbar", "chest", "neck", "head"] as const;
export type PointName = (typeof middlePoints)[number] | `${"w" | "o"}.${(typeof sidePoints)[number]}`;

/**
 * Where a body stands: joint angles in degrees from the anatomical position, what its feet and hands reach for, and the
 * one point that fixes it in the room. Lengths come with the person.
 */
export const Pose = Type.Object(
  {
    lie: Lie,
    pelvis: Type.Object({ pitch: degrees("Forward"), lean: degrees(), turn: degrees() }, closed),
    spine: Type.Object({ flexion: degrees(), lean: degrees(), turn: degrees() }, closed),
    neck: Type.Object({ flexion: degrees(), turn: degrees() }, closed),
    legs: Type.Object({ w: Leg, o: Leg }, closed),
    arms: Type.Object({ w: Arm, o: Arm }, closed),
    /** The point that is put at a place of the room; a coordinate that is left out stays where the pelvis is at 0. */
    root: Type.Object(
      {
        point: Type.String(),
        x: Type.Optional(metres),
        y: Type.Optional(metres),
        z: Type.Optional(metres),
      },
      closed,
    ),
    /** Solves the lean so that the centre of mass stands over a foot, or between both. */
    balance: Type.Optional(
      Type.Object(
        { over: oneOf(["w", "o", "both"]), forward: Type.Boolean(), sideways: Type.Boolean() },
        closed,
      ),
    ),
  },
  closed,
);
export type Pose = Static<typeof Pose>;
