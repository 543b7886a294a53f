import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { GateResult, MeasureNext, Passing } from "~/core/gate/gate";
import { EarlyPercent } from "~/core/measure/early-reference";
import { Measure, MeasureResult, ResultDetail } from "~/core/measure/measure";
import { MeasureStatus } from "~/core/measure/measure-status";
import { InvolvedSide } from "~/core/measure/side-value";
import { Source } from "~/core/progression/source";
import { moveKinds } from "~/core/case/case-file";

const closed = { additionalProperties: false };
const uuid = Type.String({ format: "uuid" });
const instant = Type.String({ format: "date-time" });
const date = Type.String({ format: "date" });
const reason = Type.String({ minLength: 3, maxLength: 400, pattern: "\\S" });
const orNull = <T extends Parameters<typeof Type.Union>[0][number]>(schema: T) =>
  Type.Union([schema, Type.Null()]);
const Person = Type.Object({ givenName: Type.String(), familyName: Type.String() }, closed);

/** Results of one visit. Values are in the store's unit; a value outside the usual must say that it is meant. */
export const VisitBody = Type.Object(
  {
    id: uuid,
    takenOn: date,
    results: Type.Array(
      Type.Object(
        {
          id: uuid,
          measure: Type.String({ minLength: 1, maxLength: 60 }),
          side: oneOf(["left", "right", "none"]),
          trials: Type.Array(Type.Number(), { minItems: 1, maxItems: 5 }),
          way: Type.Optional(Type.String({ minLength: 1, maxLength: 120 })),
          detail: Type.Optional(ResultDetail),
          occasion: Type.Optional(MeasureResult.properties.occasion),
          supersedes: Type.Optional(uuid),
          confirmed: Type.Optional(Type.Boolean()),
        },
        closed,
      ),
      { minItems: 1, maxItems: 120 },
    ),
  },
  closed,
);
export type VisitBody = Static<typeof VisitBody>;

/** What can be measured, where each measure stands, and what the next gate needs. */
export const MeasuresView = Type.Object(
  {
    episodeId: uuid,
    version: Type.Integer(),
    person: Person,
    involvedSide: InvolvedSide,
    today: date,
    stageName: Type.String(),
    measures: Type.Array(Measure),
    status: Type.Array(MeasureStatus),
    battery: Type.Array(MeasureNext),
    /** Everything that the present gate reads. */
    gateMeasures: Type.Array(Type.String()),
    mayRecord: Type.Boolean(),
  },
  closed,
);
export type MeasuresView = Static<typeof MeasuresView>;

export const TrendPoint = Type.Object(
  {
    side: oneOf(["left", "right", "none"]),
    takenOn: date,
    value: Type.Number(),
    /** Half the width of the 95 % band; null where no error is known. */
    error95: orNull(Type.Number()),
    trials: Type.Integer(),
    way: orNull(Type.String()),
    wayChanged: Type.Boolean(),
  },
  closed,
);
export type TrendPoint = Static<typeof TrendPoint>;

/** One measure over time, with everything that belongs beside it. */
export const TrendView = Type.Object(
  {
    episodeId: uuid,
    measure: Measure,
    involvedSide: InvolvedSide,
    points: Type.Array(TrendPoint),
    thresholds: Type.Array(
      Type.Object(
        {
          name: Type.String(),
          value: Type.Number(),
          side: oneOf(["uninvolved-share", "value"]),
          source: Source,
        },
        closed,
      ),
    ),
    early: orNull(Type.Object({ value: Type.Number(), takenOn: date, kind: EarlyPercent.properties.kind })),
    stages: Type.Array(Type.Object({ name: Type.String(), on: date }, closed)),
    sessions: Type.Array(date),
  },
  closed,
);
export type TrendView = Static<typeof TrendView>;

/** A move through the gate, past it, or back. */
export const GateBody = Type.Object(
  {
    id: uuid,
    expectedVersion: Type.Integer({ minimum: 1 }),
    action: oneOf(["pass", "override", "back"]),
    stage: Type.String({ minLength: 1, maxLength: 40 }),
    reason: Type.Optional(reason),
  },
  closed,
);
export type GateBody = Static<typeof GateBody>;

export const PassingBody = Type.Object({ id: uuid, passing: Passing, reason }, closed);
export type PassingBody = Static<typeof PassingBody>;

/** The gate on one page, and how the patient came to stand before it. */
export const GateView = Type.Object(
  {
    episodeId: uuid,
    version: Type.Integer(),
    today: date,
    zone: Type.String(),
    clinicName: Type.String(),
    person: Person,
    age: Type.Integer(),
    activity: Type.String(),
    diagnosis: Type.String(),
    involvedSide: InvolvedSide,
    onsetOn: date,
    surgeryOn: orNull(date),
    pathwayName: Type.String(),
    stages: Type.Array(Type.Object({ code: Type.String(), name: Type.String() }, closed)),
    stage: Type.String(),
    stageEnteredOn: date,
    gate: orNull(GateResult),
    sources: Type.Record(Type.String(), Source),
    measureNames: Type.Record(Type.String(), Type.String()),
    moves: Type.Array(
      Type.Object(
        {
          at: instant,
          by: Type.String(),
          stageName: Type.String(),
          kind: oneOf(moveKinds),
          reason: Type.String(),
          unmet: Type.Array(Type.String()),
        },
        closed,
      ),
    ),
    maySign: Type.Boolean(),
  },
  closed,
);
export type GateView = Static<typeof GateView>;

const written = { id: uuid, repeated: Type.Boolean() };
export const VisitWritten = Type.Object({ ...written, measures: MeasuresView }, closed);
export type VisitWritten = Static<typeof VisitWritten>;
export const GateWritten = Type.Object({ ...written, gate: GateView }, closed);
export type GateWritten = Static<typeof GateWritten>;
