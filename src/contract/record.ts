import { Type, type Static } from "@sinclair/typebox";
import { CaseDecision, CaseSession } from "~/core/case/case-file";
import { Dose } from "~/core/dose/dose";
import { episodeTurns } from "~/core/episode/episode-turn";
import { eventKinds } from "~/core/event/event";
import { MeasureResult } from "~/core/measure/measure";
import { InvolvedSide } from "~/core/measure/side-value";
import { Exercise } from "~/core/exercise/exercise";
import { Pain } from "~/core/response/pain-response";
import { Passing } from "~/core/gate/gate";
import { PainSchoolCode } from "~/core/response/pain-school";
import { oneOf } from "~/core/schema/one-of";
import { voidedKinds } from "~/core/schema/voided";
import { documentKinds } from "./document-kinds";
import { recordKinds } from "./record-kinds";
import { endpoint } from "./endpoint";
import { Written } from "./episode";
import { closed, date, instant, Person, reason, uuid } from "./fields";
import { signingRoles } from "./roles";

const text = Type.String({ minLength: 1, maxLength: 20_000, pattern: "\\S" });

export const DocumentBody = Type.Object(
  {
    id: uuid,
    kind: oneOf(documentKinds),
    body: text,
    /** The text that was proposed, and the mark that came with it; without one the record's own proposal of now is kept. */
    proposed: text,
    mark: Type.Optional(Type.String({ maxLength: 60 })),
  },
  closed,
);
export type DocumentBody = Static<typeof DocumentBody>;

/** What every line says that was signed with a reason. */
const signed = { at: instant, by: Type.String(), reason: Type.String() };

/** Something that is voided: by whom, when and why; null while it stands. */
const voided = Type.Union([
  Type.Object({ at: instant, by: Type.String(), reason: Type.String() }, closed),
  Type.Null(),
]);

/** One entry of an episode's record, by its kind. */
export const RecordEntry = Type.Union([
  Type.Object(
    {
      kind: Type.Literal("session"),
      at: instant,
      by: Type.String(),
      session: CaseSession,
      /** True when a later session has corrected this one. */
      corrected: Type.Boolean(),
      voided,
      /** Exercises of it that another session of the same day holds as well, more often than is prescribed for a day. */
      alsoIn: Type.Array(Type.Object({ itemId: uuid, at: instant }, closed)),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("report"),
      id: uuid,
      at: instant,
      by: Type.String(),
      trainingDate: date,
      pain: Pain,
      stiffnessMinutes: Type.Union([Type.Integer(), Type.Null()]),
      swelling: Type.Union([Type.String(), Type.Null()]),
      settledHours: Type.Union([Type.Integer(), Type.Null()]),
      loadTestPain: Type.Union([Type.Integer(), Type.Null()]),
      otherLoad: Type.Union([Type.String(), Type.Null()]),
      late: Type.Boolean(),
      /** True when a later report for the same day has taken its place. */
      corrected: Type.Boolean(),
      voided,
    },
    closed,
  ),
  Type.Object(
    { kind: Type.Literal("decision"), at: instant, by: Type.String(), decision: CaseDecision },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("stage"),
      at: instant,
      by: Type.String(),
      stageName: Type.String(),
      reason: Type.String(),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("turn"),
      at: instant,
      by: Type.String(),
      turn: oneOf(episodeTurns),
      reason: Type.String(),
      summary: Type.Union([Type.String(), Type.Null()]),
    },
    closed,
  ),
  Type.Object(
    { kind: Type.Literal("message"), at: instant, by: Type.String(), words: Type.String() },
    closed,
  ),
  Type.Object({ kind: Type.Literal("harder"), ...signed, itemId: uuid, allowed: Type.Boolean() }, closed),
  Type.Object({ kind: Type.Literal("school"), ...signed, school: PainSchoolCode }, closed),
  Type.Object({ kind: Type.Literal("passing"), ...signed, passing: Passing }, closed),
  Type.Object(
    {
      kind: Type.Literal("event"),
      at: instant,
      by: Type.String(),
      event: oneOf(eventKinds),
      on: date,
      procedures: Type.Array(Type.String()),
      graft: Type.Union([Type.String(), Type.Null()]),
      /** It corrects an earlier entry, or takes one back. */
      corrects: Type.Boolean(),
      withdrawn: Type.Boolean(),
      reason: Type.String(),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("condition"),
      at: instant,
      by: Type.String(),
      asks: Type.String(),
      present: Type.Boolean(),
      reason: Type.String(),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("plan"),
      at: instant,
      by: Type.String(),
      act: oneOf(["put-in", "taken-out", "put-back"]),
      exercise: Type.String(),
      reason: Type.Union([Type.String(), Type.Null()]),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("word"),
      at: instant,
      by: Type.String(),
      criterion: Type.String(),
      reason: Type.String(),
    },
    closed,
  ),
  Type.Object(
    { kind: Type.Literal("clearance"), at: instant, by: Type.String(), itemId: uuid, reason: Type.String() },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("signal"),
      at: instant,
      by: Type.String(),
      code: Type.String(),
      exercise: Type.Union([Type.String(), Type.Null()]),
      note: Type.Union([Type.String(), Type.Null()]),
      cleared: Type.Union([
        Type.Object({ at: instant, by: Type.String(), reason: Type.String() }, closed),
        Type.Null(),
      ]),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("suspect"),
      at: instant,
      by: Type.String(),
      trainingDate: date,
      itemId: uuid,
      reason: Type.String(),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("document"),
      at: instant,
      by: Type.String(),
      id: uuid,
      document: oneOf(documentKinds),
      body: Type.String(),
      voided,
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("measures"),
      at: instant,
      by: Type.String(),
      results: Type.Array(
        Type.Object(
          {
            result: MeasureResult,
            name: Type.String(),
            unit: Type.String(),
            corrected: Type.Boolean(),
            voided,
          },
          closed,
        ),
      ),
    },
    closed,
  ),
]);
export type RecordEntry = Static<typeof RecordEntry>;

export const RecordView = Type.Object(
  {
    episodeId: uuid,
    zone: Type.String(),
    person: Person,
    involvedSide: InvolvedSide,
    /** Everything that was ever in the plan, with its present dose. */
    items: Type.Array(
      Type.Object({ itemId: uuid, name: Type.String(), exercise: Exercise, dose: Dose }, closed),
    ),
    entries: Type.Array(RecordEntry),
    /** How many there are of each kind in the whole record. */
    counts: Type.Record(Type.String(), Type.Integer({ minimum: 1 })),
    /** What asks for the entries after these; null at the end. */
    next: Type.Union([Type.String(), Type.Null()]),
    school: PainSchoolCode,
    mayRecord: Type.Boolean(),
    maySign: Type.Boolean(),
  },
  closed,
);
export type RecordView = Static<typeof RecordView>;

/** What is asked for of a record: all of it, or so many entries, of one kind, after those that were seen. */
export const RecordQuery = Type.Object(
  {
    limit: Type.Optional(Type.String({ pattern: "^[1-9][0-9]{0,3}$" })),
    /** What a page named as its next. */
    after: Type.Optional(Type.String({ pattern: "^\\d{4}-[0-9TZ:.\\-]{5,25} \\d{1,6}$" })),
    only: Type.Optional(oneOf(recordKinds)),
  },
  closed,
);
export type RecordQuery = Static<typeof RecordQuery>;

export const readRecord = endpoint({
  name: "readRecord",
  says: "The record of an episode, whole or a part of it",
  roles: "signed-in",
  query: RecordQuery,
  answer: RecordView,
});

export const VoidingBody = Type.Object(
  { id: uuid, kind: oneOf(voidedKinds), targetId: uuid, reason },
  closed,
);
export type VoidingBody = Static<typeof VoidingBody>;

export const voidEntry = endpoint({
  name: "voidEntry",
  says: "Take a session, a report, a result or a document out of the judgement, with a reason",
  roles: signingRoles,
  body: VoidingBody,
  answer: Written,
  status: 201,
});

export const signDocument = endpoint({
  name: "signDocument",
  says: "Sign a visit note or a letter",
  roles: signingRoles,
  body: DocumentBody,
  answer: Written,
  status: 201,
});
