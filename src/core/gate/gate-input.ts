import { Type, type Static } from "@sinclair/typebox";
import { Measure, MeasureResult } from "~/core/measure/measure";
import { InvolvedSide } from "~/core/measure/side-value";
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
    stageEnteredOn: date,
    today: date,
    involvedSide: InvolvedSide,
    passing: Type.Optional(Passing),
    measures: Type.Array(Measure, { maxItems: 200 }),
    results: Type.Array(MeasureResult, { maxItems: 5000 }),
    effortDays: Type.Array(EffortDay, { maxItems: 2000 }),
    /** Codes of open stop signals that let nobody pass. */
    halts: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 60 }), { maxItems: 50 })),
    /** Lanes of which less than 70 % was done lately. */
    lanesLeftOut: Type.Optional(Type.Array(Lane, { maxItems: 20 })),
  },
  { additionalProperties: false },
);
export type GateInput = Static<typeof GateInput>;
