import { Type, type Static } from "@sinclair/typebox";
import { Asks } from "~/core/exercise/asks";
import { Dose } from "~/core/dose/dose";
import { oneOf } from "~/core/schema/one-of";
import { BodyPosition, ForbidCode, Lane, Muscle, Phase, Region } from "./body";
import { KnobValue, Prescription } from "./prescription";
import { Source } from "~/core/schema/source";

const closed = { additionalProperties: false };
const id = Type.String({ minLength: 1, maxLength: 80, pattern: "^[a-z0-9-]+$" });
const words = (maxLength: number) => Type.String({ minLength: 1, maxLength });

/**
 * How one knob of a variant is turned: either along a ladder of values from easy to hard,
 * or, for load, by a percentage rounded to what the kit can do. `kit` names what the load is made of.
 */
export const Turn = Type.Union([
  Type.Object(
    {
      knob: Type.String(),
      ladder: Type.Array(KnobValue, { minItems: 2, maxItems: 20 }),
      ownStep: Type.Optional(
        Type.Number({
          exclusiveMinimum: 0,
          maximum: 50,
          description:
            "Of a knob with numbers: so much farther from wherever this person stands, between the ladder's ends",
        }),
      ),
    },
    closed,
  ),
  Type.Object(
    {
      knob: Type.Literal("load"),
      stepPercent: Type.Number({
        minimum: 2,
        maximum: 10,
        description: "2–10 % (ACSM 2009, recalled); 5 unless told otherwise",
      }),
      incrementKg: Type.Number({ exclusiveMinimum: 0, maximum: 25 }),
      maximumKg: Type.Number({ exclusiveMinimum: 0, maximum: 500 }),
      kit: Type.Optional(words(40)),
    },
    closed,
  ),
]);
export type Turn = Static<typeof Turn>;

/** Degrees through which a joint works, from the straighter to the more bent end; hip extension is negative. */
export const Arc = Type.Tuple([
  Type.Number({ minimum: -40, maximum: 160 }),
  Type.Number({ minimum: -40, maximum: 160 }),
]);

/** A variant: a movement with its knobs set; `turns` is the order in which its own knobs are turned. */
export const Variant = Type.Object(
  {
    id,
    name: words(120),
    settings: Prescription.properties.settings,
    dose: Dose,
    turns: Type.Array(Turn, { maxItems: 8 }),
    position: BodyPosition,
    kit: Type.Array(words(40), { maxItems: 8 }),
    phase: Type.Optional(Phase),
    /** Flexion arcs of knee and hip under this movement, for range limits and the low-knee-bend filter. */
    arcs: Type.Optional(Type.Object({ knee: Arc, hip: Arc }, closed)),
    /** Where it asks other things than its exercise. */
    asks: Type.Optional(Asks),
  },
  closed,
);
export type Variant = Static<typeof Variant>;

export const faultViews = ["front", "side", "back"] as const;
export const faultTimes = ["down", "bottom", "up", "throughout"] as const;
const degree = oneOf(["low", "moderate", "high"]);

/** Surface electromyography of one muscle; studies disagree, so an exercise may carry several. */
export const Activation = Type.Object(
  {
    variantId: Type.Optional(id),
    muscle: Muscle,
    meanPercent: Type.Number({ minimum: 0, maximum: 300, description: "% of maximal voluntary contraction" }),
    sdPercent: Type.Number({ minimum: 0, maximum: 300 }),
    source: Source,
    leftOut: words(200),
  },
  closed,
);
export type Activation = Static<typeof Activation>;

/**
 * An exercise: a movement, its variants from easy to hard (its progression), and how it is taught.
 * Fields marked optional were added later: versions in the record that lack them stay readable. What a new entry
 * must carry is checked by `exerciseProblems`.
 */
export const Exercise = Type.Object(
  {
    id,
    name: words(120),
    family: Type.Optional(id),
    lane: Lane,
    alsoTrains: Type.Optional(Type.Array(Lane, { maxItems: 5 })),
    muscles: Type.Optional(Type.Array(Muscle, { minItems: 1, maxItems: 8 })),
    regions: Type.Optional(Type.Array(Region, { minItems: 1, maxItems: 6 })),
    /** How much the movement loads kneecap, hip joint and low back, against others of this catalogue. */
    loads: Type.Optional(Type.Object({ kneecap: degree, hip: degree, back: degree }, closed)),
    sides: oneOf(["both-together", "each-side"], "Whether both legs share the work or each has its own sets"),
    effort: Type.Optional(oneOf(["light", "moderate", "hard"])),
    feltIn: Type.String({ maxLength: 200 }),
    notFeltIn: Type.Optional(words(200)),
    cues: Type.Array(words(160), { minItems: 1, maxItems: 4 }),
    breathing: Type.Optional(words(160)),
    faults: Type.Array(
      Type.Object(
        {
          code: words(60),
          name: words(120),
          steersKnee: Type.Optional(Type.Boolean({ description: "The knee drifts inward" })),
          view: Type.Optional(oneOf(faultViews)),
          phase: Type.Optional(oneOf(faultTimes)),
        },
        closed,
      ),
      { maxItems: 8 },
    ),
    caution: Type.Optional(Type.String({ maxLength: 240 })),
    safety: Type.Optional(words(240)),
    forbiddenBy: Type.Optional(Type.Array(ForbidCode, { maxItems: 6 })),
    /** What the movement asks that no drawing can tell; the rest of its demand is read from its figure. */
    asks: Type.Optional(Asks),
    activation: Type.Optional(Type.Array(Activation, { maxItems: 12 })),
    /** Code of the measure whose maximum an effort band of this exercise is a share of. */
    gauge: Type.Optional(Type.String({ maxLength: 60 })),
    /** Exercises that usually follow when this one is spent; a swap, not a turn of a knob. */
    leadsTo: Type.Optional(Type.Array(id, { maxItems: 4 })),
    /** The starting exercise whose figure this one borrows; a clinic's own exercise has none of its own. */
    drawnLike: Type.Optional(id),
    variants: Type.Array(Variant, { minItems: 1, maxItems: 30 }),
    source: Source,
  },
  closed,
);
export type Exercise = Static<typeof Exercise>;

/** The variant with this id. @throws RangeError when the exercise has none */
export function variantOf(exercise: Pick<Exercise, "id" | "variants">, variantId: string): Variant {
  const found = exercise.variants.find((variant) => variant.id === variantId);
  if (!found) throw new RangeError(`exercise ${exercise.id} has no variant ${variantId}`);
  return found;
}

/** A variant as it is prescribed at first: its own settings with its own dose, for one leg alone where one is named. */
export function firstPrescription(
  { id: variantId, settings, dose }: Variant,
  leg?: Prescription["leg"] | undefined,
): Prescription {
  return { variantId, settings, dose, ...(leg === undefined ? {} : { leg }) };
}
