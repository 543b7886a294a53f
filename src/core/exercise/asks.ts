import { Type, type Static } from "@sinclair/typebox";
import { Muscle } from "~/core/exercise/body";
import { oneOf } from "~/core/schema/one-of";

const some = Type.Optional(Type.Array(Muscle, { maxItems: 8 }));

/** What a movement asks that no drawing can tell. Left out of an exercise: nothing of the kind. */
export const Asks = Type.Object(
  {
    /** Muscles that work in isolation against resistance. */
    resisted: some,
    /** Muscles made long while they carry. */
    lengthened: some,
    /** Muscles held long without work of their own. */
    stretched: some,
    /** What the resistance is where neither a load nor a band says so: hands, wall, strap, machine. */
    against: Type.Optional(oneOf(["own-weight", "external"])),
    /** Both legs do what is said of the working one. */
    bothLegs: Type.Optional(Type.Boolean()),
    /** Legs take turns within a set: each of them stands alone once. */
    inTurn: Type.Optional(Type.Boolean()),
    /** A machine is pushed away: its load goes through the legs. */
    pushes: Type.Optional(Type.Boolean()),
    /** Springs that no drawing tells from another: small rebounds, and cuts with a turn on the foot. */
    spring: Type.Optional(oneOf(["rebound", "cutting"])),
    running: Type.Optional(Type.Boolean()),
  },
  { additionalProperties: false },
);
export type Asks = Static<typeof Asks>;
