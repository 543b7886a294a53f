import { Type, type Static } from "@sinclair/typebox";
import { Dose, oneOf } from "~/core/dose/dose";
import { KnobValue, Prescription } from "./prescription";

export const laneCodes = [
  "knee-extensors",
  "hamstrings",
  "adductors",
  "hip-abductors",
  "hip-extensors",
  "hip-flexors",
  "hip-rotators",
  "trunk",
  "calf",
  "balance",
  "landing",
  "running",
  "mobility",
  "upper-body",
] as const;
export const Lane = oneOf(laneCodes, "A capacity that a stage trains");
export type Lane = Static<typeof Lane>;

export const bodyPositions = ["supine", "prone", "side-lying", "kneeling", "sitting", "standing"] as const;

/** Where a number or statement comes from; `recalled` until somebody has re-read the paper. */
export const Source = Type.Object(
  {
    kind: oneOf(["published", "common-practice", "product"]),
    cite: Type.Optional(Type.String({ maxLength: 200 })),
    recalled: Type.Optional(Type.Boolean()),
  },
  { additionalProperties: false },
);

/**
 * How one knob of a variant is turned: either along a ladder of values from easy to hard,
 * or, for load, by a percentage rounded to what the kit can do.
 */
export const Turn = Type.Union([
  Type.Object(
    { knob: Type.String(), ladder: Type.Array(KnobValue, { minItems: 2, maxItems: 20 }) },
    { additionalProperties: false },
  ),
  Type.Object(
    {
      knob: Type.Literal("load"),
      stepPercent: Type.Number({ exclusiveMinimum: 0, maximum: 25 }),
      incrementKg: Type.Number({ exclusiveMinimum: 0, maximum: 25 }),
      maximumKg: Type.Number({ exclusiveMinimum: 0, maximum: 500 }),
    },
    { additionalProperties: false },
  ),
]);
export type Turn = Static<typeof Turn>;

/** A variant: a movement with its knobs set; `turns` is the order in which its own knobs are turned. */
export const Variant = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 80 }),
    name: Type.String({ minLength: 1, maxLength: 120 }),
    settings: Prescription.properties.settings,
    dose: Dose,
    turns: Type.Array(Turn, { maxItems: 8 }),
    position: oneOf(bodyPositions),
    kit: Type.Array(Type.String({ minLength: 1, maxLength: 40 })),
  },
  { additionalProperties: false },
);
export type Variant = Static<typeof Variant>;

/** An exercise: a movement, its variants from easy to hard (its progression), and how it is taught. */
export const Exercise = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 80 }),
    name: Type.String({ minLength: 1, maxLength: 120 }),
    lane: Lane,
    sides: oneOf(["both-together", "each-side"], "Whether both legs share the work or each has its own sets"),
    feltIn: Type.String({ maxLength: 200 }),
    cues: Type.Array(Type.String({ maxLength: 160 }), { minItems: 1, maxItems: 4 }),
    faults: Type.Array(
      Type.Object(
        {
          code: Type.String({ minLength: 1, maxLength: 60 }),
          name: Type.String({ minLength: 1, maxLength: 120 }),
          steersKnee: Type.Optional(Type.Boolean({ description: "The knee drifts inward" })),
        },
        { additionalProperties: false },
      ),
      { maxItems: 8 },
    ),
    caution: Type.Optional(Type.String({ maxLength: 240 })),
    variants: Type.Array(Variant, { minItems: 1, maxItems: 30 }),
    source: Source,
  },
  { additionalProperties: false },
);
export type Exercise = Static<typeof Exercise>;

/** The variant with this id. @throws RangeError when the exercise has none */
export function variantOf(exercise: Exercise, variantId: string): Variant {
  const found = exercise.variants.find((variant) => variant.id === variantId);
  if (!found) throw new RangeError(`exercise ${exercise.id} has no variant ${variantId}`);
  return found;
}

/** A variant as it is prescribed at first: its own settings with its own dose. */
export function firstPrescription(variant: Variant): Prescription {
  return { variantId: variant.id, settings: variant.settings, dose: variant.dose };
}
