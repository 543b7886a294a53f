import { Type, type Static } from "@sinclair/typebox";
import { Dose } from "~/core/dose/dose";
import { oneOf } from "~/core/schema/one-of";

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
    /** Only this leg works, of an exercise that each leg does by itself; left out, both do it in turn. */
    leg: Type.Optional(oneOf(["affected", "other"])),
  },
  { additionalProperties: false },
);
export type Prescription = Static<typeof Prescription>;
