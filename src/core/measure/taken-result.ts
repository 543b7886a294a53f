import { Type, type Static, type TSchema } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { MeasureResult, ResultDetail, type Measure } from "./measure";
import { summariseTrials } from "./side-value";

/** What is taken of one measure on one side, as it is sent: values in the store's unit. */
const taken = {
  measure: Type.String({ minLength: 1, maxLength: 60 }),
  side: oneOf(["left", "right", "none"]),
  trials: Type.Array(Type.Number(), { minItems: 1, maxItems: 5 }),
  way: Type.Optional(Type.String({ minLength: 1, maxLength: 120 })),
  detail: Type.Optional(ResultDetail),
  occasion: Type.Optional(MeasureResult.properties.occasion),
  /** A value outside the usual says that it is meant. */
  confirmed: Type.Optional(Type.Boolean()),
};

/** The same with further fields beside it. */
export const takenWith = <T extends Record<string, TSchema>>(more: T) =>
  Type.Object({ ...taken, ...more }, { additionalProperties: false });

export const TakenResult = takenWith({});
export type TakenResult = Static<typeof TakenResult>;

/**
 * What was taken as a result of the record: its trials as one value, by the measure's own rule.
 *
 * @param id of the result
 * @param takenOn local date
 */
export function resultOf(
  { trials, way, occasion, side, detail }: TakenResult,
  measure: Measure,
  id: string,
  takenOn: string,
): MeasureResult {
  return {
    id,
    measure: measure.code,
    side,
    trials,
    value: summariseTrials(measure, trials),
    takenOn,
    occasion: occasion ?? "since-injury",
    ...(way === undefined ? {} : { position: way }),
    ...(detail === undefined ? {} : { detail }),
  };
}
