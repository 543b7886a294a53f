import { Type, type Static } from "@sinclair/typebox";
import { Proposal } from "~/core/decision/decide-input";
import { Evidence } from "~/core/decision/evidence";
import { LaneReadiness } from "~/core/decision/lane-readiness";
import { oneOf } from "~/core/schema/one-of";
import { GateResult } from "~/core/gate/gate";
import { InvolvedSide } from "~/core/measure/side-value";
import { Lane } from "~/core/progression/body";
import { Exercise } from "~/core/progression/exercise";
import { KnobValue, Prescription } from "~/core/progression/prescription";
import { Pain } from "~/core/response/pain-response";
import { PainSchoolCode } from "~/core/response/pain-school";
import { NextDayReport, SetRecord } from "~/core/response/session-record";
import { CaseSession } from "~/core/case/case-file";
import { Calls } from "./clinic-contract";
import { OpenSignal } from "./daily-contract";

const closed = { additionalProperties: false };
const uuid = Type.String({ format: "uuid" });
const instant = Type.String({ format: "date-time" });
const date = Type.String({ format: "date" });
const reason = Type.String({ minLength: 3, maxLength: 400, pattern: "\\S" });

export const roles = ["clinician", "assistant", "lead"] as const;
export const Role = oneOf(roles);
export type Role = Static<typeof Role>;

export const SignInBody = Type.Object(
  {
    email: Type.String({ minLength: 3, maxLength: 190 }),
    password: Type.String({ minLength: 1, maxLength: 200 }),
  },
  closed,
);

/** A session as it is sent; the id is made by the sender, so that sending twice is harmless. */
const sets = Type.Array(SetRecord, { minItems: 1, maxItems: 60 });

export const SessionBody = Type.Object(
  {
    id: uuid,
    occurredAt: instant,
    painBefore: Pain,
    minutes: CaseSession.properties.minutes,
    otherLoad: CaseSession.properties.otherLoad,
    items: Type.Array(Type.Object({ itemId: uuid, sets }, closed), { maxItems: 40 }),
    /** Exercises of the catalogue that were done and stand in no plan: kept in the record, not judged. */
    unplanned: Type.Optional(
      Type.Array(
        Type.Object(
          {
            itemId: uuid,
            exerciseId: Type.String({ maxLength: 80 }),
            variantId: Type.String({ maxLength: 80 }),
            sets,
          },
          closed,
        ),
        { maxItems: 10 },
      ),
    ),
    /** The session that this one corrects. */
    supersedes: Type.Optional(uuid),
  },
  closed,
);
export type SessionBody = Static<typeof SessionBody>;

export const ReportBody = Type.Object(
  {
    id: uuid,
    trainingDate: date,
    pain: Pain,
    stiffnessMinutes: Type.Optional(Type.Integer({ minimum: 0, maximum: 600 })),
    swelling: Type.Optional(oneOf(["less", "same", "more"])),
    settledHours: NextDayReport.properties.settledHours,
    loadTestPain: NextDayReport.properties.loadTestPain,
    otherLoad: NextDayReport.properties.otherLoad,
  },
  closed,
);
export type ReportBody = Static<typeof ReportBody>;

/** One knob turned one notch, or the neighbouring variant: what a clinician may choose instead. */
export const Alternative = Type.Object(
  {
    direction: oneOf(["harder", "easier"]),
    kind: oneOf(["knob", "variant"]),
    knob: Type.String(),
    from: KnobValue,
    to: KnobValue,
    prescription: Prescription,
    /** What stands in the way; a clinician's signature does not lift it. */
    blockedBy: Type.Union([Type.String(), Type.Null()]),
  },
  closed,
);
export type Alternative = Static<typeof Alternative>;

export const DecisionBody = Type.Object(
  {
    id: uuid,
    itemId: uuid,
    expectedVersion: Type.Integer({ minimum: 1 }),
    action: oneOf(["accept", "change", "refuse"]),
    reason: Type.Optional(reason),
    alternative: Type.Optional(
      Type.Object(
        { direction: oneOf(["harder", "easier"]), kind: oneOf(["knob", "variant"]), knob: Type.String() },
        closed,
      ),
    ),
  },
  closed,
);
export type DecisionBody = Static<typeof DecisionBody>;

export const SchoolBody = Type.Object({ id: uuid, school: PainSchoolCode, reason }, closed);
export type SchoolBody = Static<typeof SchoolBody>;

export const ClearanceBody = Type.Object({ id: uuid, itemId: uuid, reason }, closed);
export type ClearanceBody = Static<typeof ClearanceBody>;

/** Which of a caseload's people come first; worst first. */
export const attentionCodes = [
  "stop",
  "flare",
  "ease",
  "wait",
  "report-missing",
  "step-up",
  "gate-open",
  "lane-ready",
  "plateau",
  "quiet",
  "maintenance-due",
  "target-at-risk",
  "hold",
] as const;
export const Attention = oneOf(attentionCodes);
export type Attention = Static<typeof Attention>;

const Person = Type.Object(
  { givenName: Type.String(), familyName: Type.String(), activity: Type.String() },
  closed,
);

/** What the caseload shows of an episode, as computed from its record: no identity in it. */
export const CaseloadState = Type.Object(
  {
    stageName: Type.String(),
    stageNumber: Type.Integer(),
    stageCount: Type.Integer(),
    daysSinceOnset: Type.Integer(),
    attention: Attention,
    /** The item or day behind the attention, for the one-line reason. */
    reason: Type.Object(
      {
        rule: Type.String(),
        exercise: Type.String(),
        date: Type.String(),
        /** What stands first among the item's evidence; null when the attention is not about an item. */
        evidence: Type.Union([Evidence, Type.Null()]),
      },
      closed,
    ),
    alsoWaiting: Type.Integer({ description: "Further items with something to sign" }),
    lastSessionOn: Type.Union([date, Type.Null()]),
  },
  closed,
);
export type CaseloadState = Static<typeof CaseloadState>;

export const CaseloadRow = Type.Object(
  {
    episodeId: uuid,
    person: Person,
    diagnosis: Type.String(),
    involvedSide: InvolvedSide,
    ...CaseloadState.properties,
  },
  closed,
);
export type CaseloadRow = Static<typeof CaseloadRow>;

export const StairItem = Type.Object(
  {
    itemId: uuid,
    exercise: Exercise,
    lane: Lane,
    prescription: Prescription,
    variantName: Type.String(),
    maximumN: Type.Union([Type.Number(), Type.Null()]),
    prescribedAt: instant,
    proposal: Proposal,
    /** The proposal's change in numbers of force, when it moves an effort band. */
    alternatives: Type.Array(Alternative),
    /** 0…1: how far the lane has come in this stage's own order of knobs. */
    progress: Type.Number({ minimum: 0, maximum: 1 }),
    lastDecision: Type.Union([
      Type.Object(
        { action: oneOf(["accept", "change", "refuse"]), at: instant, signedBy: Type.String() },
        closed,
      ),
      Type.Null(),
    ]),
  },
  closed,
);
export type StairItem = Static<typeof StairItem>;

export const StairStage = Type.Object(
  {
    code: Type.String(),
    name: Type.String(),
    aim: Type.String(),
    expect: Type.String(),
    caution: Type.Union([Type.String(), Type.Null()]),
    lanes: Type.Array(Lane),
    gateCriteria: Type.Integer(),
  },
  closed,
);
export type StairStage = Static<typeof StairStage>;

/** Measured height, metres, for figures; null while nobody measured it. */
export const HeightM = Type.Union([Type.Number({ minimum: 1, maximum: 2.4 }), Type.Null()]);

/** Everything the stair of one patient shows. */
export const StairView = Type.Object(
  {
    episodeId: uuid,
    version: Type.Integer(),
    asOf: instant,
    today: date,
    zone: Type.String(),
    person: Person,
    age: Type.Integer(),
    diagnosis: Type.String(),
    involvedSide: InvolvedSide,
    heightM: HeightM,
    onsetOn: date,
    daysSinceOnset: Type.Integer(),
    school: PainSchoolCode,
    schoolInForce: PainSchoolCode,
    schoolReason: Type.String(),
    pathwayName: Type.String(),
    stages: Type.Array(StairStage),
    stage: Type.String(),
    stageEnteredOn: date,
    gate: Type.Union([GateResult, Type.Null()]),
    items: Type.Array(StairItem),
    restrictions: Type.Array(
      Type.Object(
        { says: Type.String(), until: Type.Union([date, Type.Null()]), origin: Type.String() },
        closed,
      ),
    ),
    /** Local date of the latest training day that is open, if any. */
    openDay: Type.Union([date, Type.Null()]),
    /** Latest training day whose report is not in, open or not, if a report can still be given. */
    reportDay: Type.Union([date, Type.Null()]),
    lastSessionOn: Type.Union([date, Type.Null()]),
    /** The day the patient wants to be ready for, and how the minimum times stand to it; null without one. */
    target: Type.Union([
      Type.Object({ on: date, weeksLeft: Type.Integer(), weeksNeeded: Type.Integer() }, closed),
      Type.Null(),
    ]),
    /** How each lane of the stage stands to its gate. */
    lanes: Type.Array(LaneReadiness),
    changeBudget: Type.Object({ used: Type.Integer(), limit: Type.Integer() }, closed),
    /** Stop signals that nobody has cleared. */
    signals: Type.Array(OpenSignal),
    calls: Calls,
    maySign: Type.Boolean(),
  },
  closed,
);
export type StairView = Static<typeof StairView>;

/** Answer of every write: what stands now, and whether this call wrote it or a twin before it did. */
export const Written = Type.Object({ id: uuid, repeated: Type.Boolean(), stair: StairView }, closed);
export type Written = Static<typeof Written>;

/** application/problem+json. `type` is stable; `problems` names fields. */
export const Problem = Type.Object({
  type: Type.String(),
  title: Type.String(),
  status: Type.Integer(),
  detail: Type.Optional(Type.String()),
  problems: Type.Optional(Type.Array(Type.Object({ path: Type.String(), problem: Type.String() }))),
  changed: Type.Optional(Type.Unknown({ description: "What stands now, after a 409" })),
});
export type Problem = Static<typeof Problem>;
