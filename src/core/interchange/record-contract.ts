import { Type, type Static } from "@sinclair/typebox";
import { Dose } from "~/core/dose/dose";
import { oneOf } from "~/core/schema/one-of";
import { InvolvedSide } from "~/core/measure/side-value";
import { Exercise } from "~/core/progression/exercise";
import { Pain } from "~/core/response/pain-response";
import { PainSchoolCode } from "~/core/response/pain-school";
import { CaseDecision, CaseSession } from "~/core/case/case-file";
import { documentKinds } from "./daily-contract";

const closed = { additionalProperties: false };
const uuid = Type.String({ format: "uuid" });
const instant = Type.String({ format: "date-time" });
const date = Type.String({ format: "date" });
const Person = Type.Object(
  { givenName: Type.String(), familyName: Type.String(), activity: Type.String() },
  closed,
);

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
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("report"),
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
      kind: Type.Literal("school"),
      at: instant,
      by: Type.String(),
      school: PainSchoolCode,
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
          { name: Type.String(), side: Type.String(), value: Type.Number(), unit: Type.String() },
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
    items: Type.Array(Type.Object({ itemId: uuid, exercise: Exercise, dose: Dose }, closed)),
    entries: Type.Array(RecordEntry),
  },
  closed,
);
export type RecordView = Static<typeof RecordView>;
