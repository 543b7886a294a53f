import { Type, type Static } from "@sinclair/typebox";
import { Proposal, SignedChange } from "~/core/decision/record/decide-input";
import { CaseCondition } from "~/core/condition/condition";
import { CaseEvent } from "~/core/event/event";
import { GateResult, Passing } from "~/core/gate/gate";
import { Lift } from "~/core/lift/lift";
import { SmallDoseStep } from "~/core/lift/small-dose";
import { Measure, MeasureResult } from "~/core/measure/measure";
import { InvolvedSide } from "~/core/measure/side-value";
import { oneOf } from "~/core/schema/one-of";
import { irritabilities } from "~/core/intake/irritability";
import { stopSignalCodes } from "~/core/intake/stop-signal";
import { Pathway } from "~/core/pathway/pathway";
import { Change } from "~/core/progression/change";
import { Lane } from "~/core/exercise/body";
import { ItemRole } from "~/core/exercise/role";
import { Arrangement } from "./arrangement";
import { Voided } from "~/core/schema/voided";
import { Exercise } from "~/core/exercise/exercise";
import { Prescription } from "~/core/exercise/prescription";
import { Restriction } from "~/core/limit/restriction";
import { Pain } from "~/core/response/pain-response";
import { PainSchoolCode } from "~/core/response/pain-school";
import { footwears, NextDayReport, otherLoads, SetRecord } from "~/core/response/session-record";

export const caseFormat = "patient-stair-case";
export const caseVersion = 1;

const id = Type.String({ minLength: 1, maxLength: 60 });
const instant = Type.String({ format: "date-time" });
const date = Type.String({ format: "date" });
const closed = { additionalProperties: false };

/** One prescription of an item; the latest one that has begun holds. */
export const PrescriptionEntry = Type.Object({ id, from: instant, prescription: Prescription }, closed);

export const CaseItem = Type.Object(
  {
    id,
    exerciseId: Type.String({ minLength: 1, maxLength: 80 }),
    lane: Lane,
    prescriptions: Type.Array(PrescriptionEntry, { minItems: 1 }),
    /** What it came into the plan for; `main` when left out. An arrangement signed later may say otherwise. */
    role: Type.Optional(ItemRole),
    /** Limits that a clinician went against in writing when it came into the plan; they do not bind this item. */
    against: Type.Optional(
      Type.Object(
        {
          limits: Type.Array(Type.Object({ says: Type.String(), origin: Type.String() }, closed), {
            minItems: 1,
          }),
          reason: Type.String(),
        },
        closed,
      ),
    ),
    /** When it left the plan; what was done with it stays in the record. */
    endedAt: Type.Optional(instant),
  },
  closed,
);

export const skipReasons = ["pain", "time", "kit", "how"] as const;
/** An exercise that somebody left out when it was its turn. */
export const Skipped = Type.Object({ itemId: id, why: oneOf(skipReasons) }, closed);
export type Skipped = Static<typeof Skipped>;

export const CaseSession = Type.Object(
  {
    id,
    at: instant,
    painBefore: Pain,
    minutes: Type.Optional(Type.Integer({ minimum: 1, maximum: 600 })),
    otherLoad: Type.Optional(oneOf(otherLoads, "Sport, work and steps of that day")),
    footwear: Type.Optional(oneOf(footwears, "What was on the feet")),
    /** When it reached the record, where that is known; entered later it does not alter what was proposed before. */
    receivedAt: Type.Optional(instant),
    /** The session that this one corrects; that one stays in the record and is judged no more. */
    supersedes: Type.Optional(id),
    /** The muscles were still sore from the last training day. */
    stillSore: Type.Optional(Type.Boolean()),
    /** Done at home or in a gym with nobody of the clinic there: nobody watched the form. */
    alone: Type.Optional(Type.Boolean()),
    /** What was left out of it, and why. */
    skipped: Type.Optional(Type.Array(Skipped, { maxItems: 40 })),
    /** It was written into the wrong record, or never was so: it stays, and is judged no more. */
    voided: Type.Optional(Voided),
    items: Type.Array(Type.Object({ itemId: id, sets: Type.Array(SetRecord, { minItems: 1 }) }, closed)),
  },
  closed,
);

export const moveKinds = ["place", "pass", "override", "back"] as const;

/**
 * A move to a stage: placed there, through an open gate, past a closed one (for ever shown as that), or back. The gate
 * stands with it as it was when it was signed.
 */
export const StageMove = Type.Object(
  {
    id,
    at: instant,
    stage: Type.String(),
    reason: Type.String(),
    kind: Type.Optional(oneOf(moveKinds)),
    gate: Type.Optional(GateResult),
  },
  closed,
);
export type StageMove = Static<typeof StageMove>;

/** What a clinician did with a proposal, kept with the proposal as it stood. */
export const CaseDecision = Type.Object(
  {
    id,
    itemId: id,
    at: instant,
    action: oneOf(["accept", "change", "refuse"]),
    signedBy: Type.String(),
    reason: Type.Union([Type.String(), Type.Null()]),
    school: PainSchoolCode,
    proposal: Proposal,
    applied: Type.Union([Change, Type.Null()]),
    signedChange: Type.Union([SignedChange, Type.Null()]),
  },
  closed,
);

/** A stop signal as it was raised, and as it was cleared in writing. */
export const CaseSignal = Type.Object(
  {
    id,
    code: oneOf(stopSignalCodes),
    at: instant,
    /** The exercise it was seen in; needed where only that, or its lane, is suspended. */
    itemId: Type.Optional(id),
    /** Raised in another episode of the same person, in this exercise where it was in one. */
    elsewhere: Type.Optional(
      Type.Object(
        {
          diagnosis: Type.String(),
          episodeId: id,
          exerciseId: Type.Optional(Type.String()),
          lane: Type.Optional(Lane),
        },
        closed,
      ),
    ),
    note: Type.Optional(Type.String({ maxLength: 400 })),
    cleared: Type.Optional(Type.Object({ at: instant, reason: Type.String() }, closed)),
  },
  closed,
);
export type CaseSignal = Static<typeof CaseSignal>;

/** A clinician's own choice of what a reaction is traced to, in place of the proposed suspects. */
export const FlareAttribution = Type.Object(
  { id, at: instant, trainingDate: date, itemId: id, reason: Type.String() },
  closed,
);
export type FlareAttribution = Static<typeof FlareAttribution>;

/**
 * A case file (*.stair.json): one episode with everything the core needs to judge it, definitions included, so
 * that a later version of the product judges the same words. It carries no name, no birth date, no address.
 */
export const CaseFile = Type.Object(
  {
    format: Type.Literal(caseFormat),
    version: Type.Literal(caseVersion),
    asOf: instant,
    zone: Type.String({ minLength: 1, maxLength: 60 }),
    episode: Type.Object(
      {
        id,
        involvedSide: InvolvedSide,
        onsetOn: date,
        surgeryOn: Type.Optional(date),
        graft: Type.Optional(Type.String({ maxLength: 40 })),
        /** The operation as it was stated at intake, done or planned, where events have said more since. */
        stated: Type.Optional(
          Type.Object({ surgeryOn: date, graft: Type.Optional(Type.String({ maxLength: 40 })) }, closed),
        ),
        irritability: Type.Optional(oneOf(irritabilities)),
        startedAt: instant,
      },
      closed,
    ),
    pathway: Pathway,
    exercises: Type.Array(Exercise),
    measures: Type.Array(Measure),
    stageMoves: Type.Array(StageMove, { minItems: 1 }),
    schools: Type.Array(
      Type.Object({ id, at: instant, school: PainSchoolCode, reason: Type.String() }, closed),
    ),
    passings: Type.Optional(
      Type.Array(Type.Object({ id, at: instant, passing: Passing, reason: Type.String() }, closed)),
    ),
    restrictions: Type.Array(Restriction),
    /** Limits signed later; from its instant on each takes the place of all those before. */
    limitSettings: Type.Optional(
      Type.Array(Type.Object({ at: instant, restrictions: Type.Array(Restriction) }, closed)),
    ),
    items: Type.Array(CaseItem),
    /** Order, roles and circuits as signed; the latest holds. */
    arrangements: Type.Optional(
      Type.Array(Type.Object({ id, at: instant, ...Arrangement.properties }, closed)),
    ),
    sessions: Type.Array(CaseSession),
    reports: Type.Array(
      Type.Object(
        { id, trainingDate: date, ...NextDayReport.properties, voided: Type.Optional(Voided) },
        closed,
      ),
    ),
    results: Type.Array(MeasureResult),
    /** What somebody lifted in training of their own. */
    lifts: Type.Optional(Type.Array(Lift)),
    /** What was tried for loads that stall, each with the day to look again. */
    smallDoses: Type.Optional(Type.Array(SmallDoseStep)),
    decisions: Type.Array(CaseDecision),
    signals: Type.Optional(Type.Array(CaseSignal)),
    attributions: Type.Optional(Type.Array(FlareAttribution)),
    /** What happened, and when; the clocks count from it. */
    events: Type.Optional(Type.Array(CaseEvent)),
    /** What is so with the person beside what hurts. */
    conditions: Type.Optional(Type.Array(CaseCondition)),
    /** Limits of the person's other episodes: they hold here as well. */
    limitsElsewhere: Type.Optional(Type.Array(Restriction)),
    /** Criteria that no number can decide, judged by a clinician in writing. */
    criterionWords: Type.Optional(
      Type.Array(
        Type.Object(
          { id, at: instant, stage: Type.String(), criterion: Type.String(), reason: Type.String() },
          closed,
        ),
      ),
    ),
    /** What norms need to know; no birth date. */
    person: Type.Optional(
      Type.Object(
        {
          ageYears: Type.Integer({ minimum: 0, maximum: 130 }),
          normGroup: Type.Optional(oneOf(["male", "female"])),
        },
        closed,
      ),
    ),
    clearances: Type.Array(Type.Object({ id, itemId: id, at: instant, reason: Type.String() }, closed)),
  },
  { ...closed, $id: "patient-stair-case-1" },
);
export type CaseFile = Static<typeof CaseFile>;
export type CaseItem = Static<typeof CaseItem>;
export type CaseSession = Static<typeof CaseSession>;
export type CaseDecision = Static<typeof CaseDecision>;

/** Writes a case file; the text is stable, so equal cases give equal files. */
export function exportCase(file: CaseFile): string {
  return `${JSON.stringify(file, null, 2)}\n`;
}
