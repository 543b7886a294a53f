import { Type, type Static } from "@sinclair/typebox";
import { Measure, MeasureResult } from "~/core/measure/measure";
import { InvolvedSide } from "~/core/measure/side-value";
import { oneOf } from "~/core/schema/one-of";
import { Lane } from "~/core/exercise/body";
import { EffortDay, Gate, Passing } from "./gate";

const date = Type.String({ format: "date" });

/** What a gate is judged on. */
export const GateInput = Type.Object(
  {
    gate: Gate,
    /** The day that the minimum time counts from: the injury, or the operation. */
    onsetOn: date,
    surgeryOn: Type.Optional(date),
    /** The latest injury anew of the same site: what was measured before it counts no more. */
    reinjuredOn: Type.Optional(date),
    stageEnteredOn: date,
    today: date,
    involvedSide: InvolvedSide,
    passing: Type.Optional(Passing),
    measures: Type.Array(Measure, { maxItems: 200 }),
    results: Type.Array(MeasureResult, { maxItems: 5000 }),
    effortDays: Type.Array(EffortDay, { maxItems: 2000 }),
    /** For norms; left out where nobody said. */
    person: Type.Optional(
      Type.Object(
        {
          ageYears: Type.Integer({ minimum: 0, maximum: 130 }),
          normGroup: Type.Optional(oneOf(["male", "female"])),
        },
        { additionalProperties: false },
      ),
    ),
    /** Criteria that no number can decide, judged by a clinician in writing. */
    words: Type.Optional(
      Type.Array(Type.Object({ criterion: Type.String(), on: date }, { additionalProperties: false }), {
        maxItems: 500,
      }),
    ),
    /** Measures that a limit in force forbids to take, with its words. */
    barred: Type.Optional(
      Type.Array(
        Type.Object({ measure: Type.String(), says: Type.String() }, { additionalProperties: false }),
        {
          maxItems: 200,
        },
      ),
    ),
    /** Codes of open stop signals that let nobody pass. */
    halts: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 60 }), { maxItems: 50 })),
    /** Lanes of which less than 70 % was done lately. */
    lanesLeftOut: Type.Optional(Type.Array(Lane, { maxItems: 20 })),
  },
  { additionalProperties: false },
);
export type GateInput = Static<typeof GateInput>;
