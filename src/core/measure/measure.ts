import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/dose/dose";
import { Source } from "~/core/progression/source";

/** A measure: what is taken, in which unit, on which sides, and which values are possible at all. */
export const Measure = Type.Object(
  {
    code: Type.String({ minLength: 1, maxLength: 60 }),
    name: Type.String({ minLength: 1, maxLength: 120 }),
    unit: Type.String({
      maxLength: 20,
      description: "UCUM code; '1' for counts, '{0-10}' for a rating scale",
    }),
    sides: oneOf(["each", "none"], "Taken on each leg, or once for the person"),
    better: oneOf(["higher", "lower"]),
    summary: oneOf(["best", "worst", "latest"], "How results of one day become one value"),
    plausible: Type.Object({ low: Type.Number(), high: Type.Number() }, { additionalProperties: false }),
    source: Source,
  },
  { additionalProperties: false },
);
export type Measure = Static<typeof Measure>;

/** One result; `occasion` tells a value from before the injury from those taken since. */
export const MeasureResult = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 60 }),
    measure: Type.String({ minLength: 1, maxLength: 60 }),
    side: oneOf(["left", "right", "none"]),
    value: Type.Number(),
    takenOn: Type.String({ format: "date" }),
    occasion: oneOf(["pre-injury", "clinic-norm", "since-injury"]),
    position: Type.Optional(Type.String({ maxLength: 120, description: "Way of testing: position, device" })),
  },
  { additionalProperties: false },
);
export type MeasureResult = Static<typeof MeasureResult>;
