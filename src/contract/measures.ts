import { Type, type Static } from "@sinclair/typebox";
import { MeasureNext } from "~/core/gate/gate";
import { KeptTrace } from "~/core/device/pack-trace";
import { EarlyPercent } from "~/core/measure/early-reference";
import { Measure } from "~/core/measure/measure";
import { takenWith } from "~/core/measure/taken-result";
import { MeasureStatus } from "~/core/measure/measure-status";
import { InvolvedSide } from "~/core/measure/side-value";
import { Still } from "~/core/measure/still";
import { Source } from "~/core/schema/source";
import { oneOf } from "~/core/schema/one-of";
import { endpoint, tracesLimit } from "./endpoint";
import { closed, date, orNull, PersonName, uuid, written } from "./fields";
import { recordingRoles } from "./roles";

/** What a device told while one trial was taken. */
const TraceBody = Type.Object(
  { id: uuid, trial: Type.Integer({ minimum: 0, maximum: 4 }), ...KeptTrace.properties },
  closed,
);

/** Points placed in a picture; the picture too, where the patient agreed that it is kept. */
const StillBody = Type.Object(
  {
    id: uuid,
    ...Still.properties,
    picture: Type.Optional(
      Type.String({
        minLength: 4,
        maxLength: 600_000,
        pattern: "^[A-Za-z0-9+/]+={0,2}$",
        description: "JPEG in base64, without anything that a camera wrote about it",
      }),
    ),
  },
  closed,
);

/** Results of one visit. Values are in the store's unit; a value outside the usual must say that it is meant. */
export const VisitBody = Type.Object(
  {
    id: uuid,
    takenOn: date,
    results: Type.Array(
      takenWith({
        id: uuid,
        supersedes: Type.Optional(uuid),
        /** What a device told, of the trials that one took. */
        traces: Type.Optional(Type.Array(TraceBody, { maxItems: 5 })),
      }),
      { minItems: 1, maxItems: 120 },
    ),
    stills: Type.Optional(Type.Array(StillBody, { maxItems: 4 })),
  },
  closed,
);
export type VisitBody = Static<typeof VisitBody>;

/** What can be measured, where each measure stands, and what the next gate needs. */
export const MeasuresView = Type.Object(
  {
    episodeId: uuid,
    version: Type.Integer(),
    person: PersonName,
    involvedSide: InvolvedSide,
    today: date,
    stageName: Type.String(),
    measures: Type.Array(Measure),
    status: Type.Array(MeasureStatus),
    battery: Type.Array(MeasureNext),
    /** Everything that the present gate reads. */
    gateMeasures: Type.Array(Type.String()),
    /** What a limit in force forbids to take now, with its words. */
    barred: Type.Array(Type.Object({ measure: Type.String(), says: Type.String() }, closed)),
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

/** What devices told while a measure was taken. */
export const TracesView = Type.Object(
  {
    episodeId: uuid,
    traces: Type.Array(
      Type.Object(
        {
          id: uuid,
          takenOn: date,
          side: oneOf(["left", "right", "none"]),
          trial: Type.Integer(),
          value: orNull(Type.Number()),
          ...KeptTrace.properties,
        },
        closed,
      ),
    ),
  },
  closed,
);
export type TracesView = Static<typeof TracesView>;

/** Points of pictures, the latest first. */
export const StillsView = Type.Object(
  {
    episodeId: uuid,
    /** Whether pictures can be kept here; else points alone. */
    mayKeepPictures: Type.Boolean(),
    stills: Type.Array(
      Type.Object(
        { id: uuid, takenOn: Type.String(), ...Still.properties, picture: orNull(Type.String()) },
        closed,
      ),
    ),
  },
  closed,
);
export type StillsView = Static<typeof StillsView>;

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

export const VisitWritten = Type.Object({ ...written, measures: MeasuresView }, closed);
export type VisitWritten = Static<typeof VisitWritten>;

export const readMeasures = endpoint({
  name: "readMeasures",
  says: "What can be measured and where each measure stands",
  roles: "signed-in",
  answer: MeasuresView,
});

export const recordVisit = endpoint({
  name: "recordVisit",
  says: "Record the results of a visit",
  roles: recordingRoles,
  body: VisitBody,
  limit: tracesLimit,
  answer: VisitWritten,
  status: 201,
});

/** Results of several days out of one table: all of them or none. */
export const ImportBody = Type.Object(
  { visits: Type.Array(VisitBody, { minItems: 1, maxItems: 200 }) },
  closed,
);
export type ImportBody = Static<typeof ImportBody>;

export const importVisits = endpoint({
  name: "importVisits",
  says: "Record the results of several days out of one table, all of them or none",
  roles: recordingRoles,
  body: ImportBody,
  limit: tracesLimit,
  answer: VisitWritten,
  status: 201,
});

export const exportResults = endpoint({
  name: "exportResults",
  says: "Every result that stands, trial by trial, as a table",
  roles: "signed-in",
  answer: Type.String(),
  media: "text/csv",
  file: "results.csv",
});

export const exportDictionary = endpoint({
  name: "exportDictionary",
  says: "What the columns and measures of the table of results mean",
  roles: "signed-in",
  answer: Type.String(),
  media: "text/csv",
  file: "results-dictionary.csv",
});

export const readStills = endpoint({
  name: "readStills",
  says: "Points of pictures taken of a patient, with the picture where it was kept",
  roles: "signed-in",
  answer: StillsView,
});

export const readTraces = endpoint({
  name: "readTraces",
  says: "What devices told while a measure was taken, the latest first",
  roles: "signed-in",
  query: Type.Object({ measure: Type.String({ maxLength: 60 }) }, closed),
  answer: TracesView,
});

export const readTrend = endpoint({
  name: "readTrend",
  says: "One measure over time",
  roles: "signed-in",
  query: Type.Object({ measure: Type.String({ maxLength: 60 }) }, closed),
  answer: TrendView,
});
