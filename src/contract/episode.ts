import { Type, type Static } from "@sinclair/typebox";
import { PainArc } from "~/core/case/pain-arcs";
import { CaseFile } from "~/core/case/case-file";
import { Proposal } from "~/core/decision/record/decide-input";
import { SymptomClock } from "~/core/review/symptom-clock";
import { LaneReadiness } from "~/core/decision/lane-readiness";
import { GateResult } from "~/core/gate/gate";
import { stopSignalCodes, urgencies } from "~/core/intake/stop-signal";
import { InvolvedSide } from "~/core/measure/side-value";
import { Lane } from "~/core/exercise/body";
import { Exercise } from "~/core/exercise/exercise";
import { ItemRole } from "~/core/exercise/role";
import { KnobValue, Prescription } from "~/core/exercise/prescription";
import { PainSchoolCode } from "~/core/response/pain-school";
import { oneOf } from "~/core/schema/one-of";
import { Calls } from "./clinic";
import { endpoint, smallLimit } from "./endpoint";
import { closed, date, HeightM, instant, LimitLine, Person, reason, uuid, written } from "./fields";
import { signingRoles } from "./roles";

/** A stop signal that nobody has cleared yet, as the stair shows it. */
export const OpenSignal = Type.Object(
  {
    id: uuid,
    code: oneOf(stopSignalCodes),
    urgency: oneOf(urgencies),
    scope: Type.String(),
    at: instant,
    by: Type.String(),
    exercise: Type.Union([Type.String(), Type.Null()]),
    note: Type.Union([Type.String(), Type.Null()]),
    /** Raised within the last minute by who looks: a slip of the finger can be taken back. */
    mayTakeBack: Type.Boolean(),
    /** The other episode of the same person that it was raised in, where it is cleared; null for one of this episode. */
    elsewhere: Type.Union([Type.Object({ episodeId: uuid, diagnosis: Type.String() }, closed), Type.Null()]),
  },
  closed,
);
export type OpenSignal = Static<typeof OpenSignal>;

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

export const StairItem = Type.Object(
  {
    itemId: uuid,
    exercise: Exercise,
    /** Its name, with what tells it apart where the exercise stands in the plan more than once. */
    name: Type.String(),
    role: ItemRole,
    circuit: Type.Union([
      Type.Object({ number: Type.Integer(), restSeconds: Type.Integer() }, closed),
      Type.Null(),
    ]),
    lane: Lane,
    prescription: Prescription,
    variantName: Type.String(),
    maximumN: Type.Union([Type.Number(), Type.Null()]),
    prescribedAt: instant,
    /** Where it hurt lately, day by day, oldest first. */
    painArcs: Type.Array(PainArc),
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
    /** What its gate asks for, by name. */
    asks: Type.Array(Type.String()),
  },
  closed,
);
export type StairStage = Static<typeof StairStage>;

/** The latest operation that was done, and how long ago; null where there was none. */
export const Surgery = Type.Union([
  Type.Object(
    {
      on: date,
      daysSince: Type.Integer(),
      procedures: Type.Array(Type.String()),
      graft: Type.Union([Type.String(), Type.Null()]),
    },
    closed,
  ),
  Type.Null(),
]);

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
    surgery: Surgery,
    /** A date that is only planned. */
    plannedOn: Type.Union([date, Type.Null()]),
    /** What else hurts, from the person's other episodes. */
    elsewhere: Type.Array(Type.String()),
    school: PainSchoolCode,
    schoolInForce: PainSchoolCode,
    schoolReason: Type.String(),
    pathwayName: Type.String(),
    stages: Type.Array(StairStage),
    stage: Type.String(),
    stageEnteredOn: date,
    gate: Type.Union([GateResult, Type.Null()]),
    items: Type.Array(StairItem),
    restrictions: Type.Array(LimitLine),
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
    /** Pain that has not fallen for weeks although the work was done, and what to try next. */
    symptomClock: Type.Union([SymptomClock, Type.Null()]),
    /** Days since anything was done, once everything is to be measured again. */
    rebaselineDays: Type.Union([Type.Integer(), Type.Null()]),
    /** The training day after which a worked muscle was sore, more than 48 h ago: the next session is asked about it. */
    soreFrom: Type.Union([date, Type.Null()]),
    /** Stop signals that nobody has cleared. */
    signals: Type.Array(OpenSignal),
    calls: Calls,
    /** Paused or closed: nothing of the plan is answered or changed until it is taken up again. */
    resting: Type.Boolean(),
    maySign: Type.Boolean(),
  },
  closed,
);
export type StairView = Static<typeof StairView>;

/** Answer of every write: what stands now, and whether this call wrote it or a twin before it did. */
export const Written = Type.Object({ ...written, stair: StairView }, closed);
export type Written = Static<typeof Written>;

export const SchoolBody = Type.Object({ id: uuid, school: PainSchoolCode, reason }, closed);
export type SchoolBody = Static<typeof SchoolBody>;

export const readStair = endpoint({
  name: "readStair",
  says: "The stair of a patient; with a pain school, a preview under that one",
  roles: "signed-in",
  query: Type.Object({ school: Type.Optional(PainSchoolCode) }, closed),
  answer: StairView,
});

export const exportCase = endpoint({
  name: "exportCase",
  says: "Export a case file, without identity",
  roles: "signed-in",
  answer: CaseFile,
  file: "case.stair.json",
});

export const setSchool = endpoint({
  name: "setSchool",
  says: "Set the pain school, with a reason",
  roles: signingRoles,
  body: SchoolBody,
  limit: smallLimit,
  answer: Written,
  status: 201,
});
