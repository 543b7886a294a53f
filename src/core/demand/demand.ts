import { Type, type Static } from "@sinclair/typebox";
import { BodyPosition, Muscle } from "~/core/exercise/body";
import { oneOf } from "~/core/schema/one-of";

const closed = { additionalProperties: false };

/** Springs from none to the hardest. */
export const springs = ["none", "rebound", "two-leg-landing", "single-leg-landing", "cutting"] as const;
export type Spring = (typeof springs)[number];
export const Spring = oneOf(springs);

const Span = Type.Tuple([Type.Number(), Type.Number()], {
  description: "Least and most over the movement, degrees",
});

export const LegDemand = Type.Object(
  {
    kneeFlexionDeg: Span,
    hipFlexionDeg: Span,
    hipAbductionDeg: Span,
    hipOutwardRotationDeg: Span,
    ankleDorsiflexionDeg: Span,
    loaded: Type.Boolean({ description: "Bears more than its own weight in the movement" }),
    weightShare: Type.Number({
      description: "The most it carries at any moment, as a share of body mass, load included",
    }),
    stand: oneOf(
      ["none", "shared", "staggered", "alone"],
      "How it carries at its hardest: with the other beside it, one ahead of the other, or alone; pushes and bridges too",
    ),
  },
  closed,
);
export type LegDemand = Static<typeof LegDemand>;

/** What a prescription asks of a body: read from its drawing at this height, its load, and what only words can tell. */
export const Demand = Type.Object(
  {
    working: LegDemand,
    other: LegDemand,
    /** Both legs work alike, or take turns: what is said of the working leg goes for either. */
    bothWork: Type.Boolean(),
    spineFlexionDeg: Span,
    spring: Spring,
    running: Type.Boolean(),
    resisted: Type.Array(Muscle),
    /** What the resisted muscles work against. */
    against: oneOf(["own-weight", "external"]),
    lengthened: Type.Array(Muscle),
    stretched: Type.Array(Muscle),
    straightLegRaise: Type.Boolean(),
    kneeling: Type.Boolean(),
    floor: Type.Boolean(),
    positions: Type.Array(BodyPosition),
    base: oneOf(["none", "both-feet", "staggered", "one-foot"]),
    hands: oneOf(["none", "fingertips", "one", "two"]),
    eyesClosed: Type.Boolean(),
    softSurface: Type.Boolean(),
    secondTask: Type.Boolean(),
  },
  closed,
);
export type Demand = Static<typeof Demand>;
