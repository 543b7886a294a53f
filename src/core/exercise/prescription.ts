import { Type, type Static } from "@sinclair/typebox";
import { Dose } from "~/core/dose/dose";

/** Where a knob stands: a number with the knob's unit, or one of its words. */
export const KnobValue = Type.Union([Type.Number(), Type.String({ minLength: 1, maxLength: 40 })]);
export type KnobValue = Static<typeof KnobValue>;

/** A variant with its knobs set, and what is done with it. */
export const Prescription = Type.Object(
  {
    variantId: Type.String({ minLength: 1, maxLength: 80 }),
    settings: Type.Record(Type.String(), KnobValue, {
      description:
        "Knobs that belong to the movement; those of the dose (effort, hold, reps, …) stand in the dose",
    }),
    dose: Dose,
  },
  { additionalProperties: false },
);
export type Prescription = Static<typeof Prescription>;
