import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { Gate, Passing } from "~/core/gate/gate";
import { Lane, Region } from "~/core/exercise/body";
import { Source } from "~/core/schema/source";
import { Restriction } from "~/core/limit/restriction";
import { PainSchoolCode } from "~/core/response/pain-school";

/** A tread of the stair. */
export const Stage = Type.Object(
  {
    code: Type.String({ minLength: 1, maxLength: 40 }),
    name: Type.String({ minLength: 1, maxLength: 40 }),
    aim: Type.String({ minLength: 1, maxLength: 240 }),
    expect: Type.String({
      minLength: 1,
      maxLength: 400,
      description: "What the patient should be told to expect",
    }),
    school: PainSchoolCode,
    lanes: Type.Array(
      Type.Object(
        {
          lane: Lane,
          exercises: Type.Array(Type.String(), { minItems: 1 }),
          /** What the stage needs most of the lane, the first choice first. */
          first: Type.Optional(Type.Array(Type.String(), { maxItems: 10 })),
        },
        { additionalProperties: false },
      ),
      { minItems: 1, maxItems: 14 },
    ),
    limits: Type.Array(Restriction, { maxItems: 20 }),
    caution: Type.Optional(Type.String({ maxLength: 240 })),
    /** A stage for the time before an operation; nobody is placed there afterwards. */
    beforeSurgery: Type.Optional(Type.Boolean()),
    /** The gate out of this stage; the last stage has none. */
    gate: Type.Optional(Gate),
  },
  { additionalProperties: false },
);
export type Stage = Static<typeof Stage>;

/** A limit that begins and ends on a day counted from the operation or the injury. */
export const TimedLimit = Type.Object(
  {
    fromDay: Type.Optional(Type.Integer({ minimum: 0, maximum: 1000 })),
    untilDay: Type.Integer({ minimum: 1, maximum: 1000 }),
    grafts: Type.Optional(Type.Array(Type.String({ maxLength: 40 }))),
    limit: Restriction,
    source: Source,
  },
  { additionalProperties: false },
);
export type TimedLimit = Static<typeof TimedLimit>;

/** A pathway: stages in order, each but the last with the gate that lets a patient leave it. */
export const Pathway = Type.Object(
  {
    code: Type.String({ minLength: 1, maxLength: 60 }),
    name: Type.String({ minLength: 1, maxLength: 120 }),
    siteLane: Lane,
    region: Type.Optional(Region),
    /** Operations after which it is used; a pathway without any follows an injury or a complaint. */
    procedures: Type.Optional(Type.Array(Type.String({ maxLength: 60 }), { minItems: 1, maxItems: 10 })),
    grafts: Type.Optional(Type.Array(Type.String({ maxLength: 40 }), { minItems: 1, maxItems: 8 })),
    /** Limits that hold between two days counted from the operation (or the injury), for some grafts or for all. */
    timedLimits: Type.Optional(Type.Array(TimedLimit, { maxItems: 20 })),
    /** What the minimum times of its gates count from; the injury unless it says the operation. */
    countsFrom: Type.Optional(oneOf(["injury", "surgery"])),
    /** How its gates are passed unless the patient's own setting says otherwise. */
    passing: Type.Optional(Passing),
    stages: Type.Array(Stage, { minItems: 2, maxItems: 10 }),
    source: Source,
  },
  { additionalProperties: false },
);
export type Pathway = Static<typeof Pathway>;

/** The stage with this code. @throws RangeError when the pathway has none */
export function stageOf(pathway: Pathway, code: string): Stage {
  const found = pathway.stages.find((stage) => stage.code === code);
  if (!found) throw new RangeError(`pathway ${pathway.code} has no stage ${code}`);
  return found;
}
