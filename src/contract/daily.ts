import { Type, type Static } from "@sinclair/typebox";
import { CaseSession } from "~/core/case/case-file";
import { Prescription } from "~/core/exercise/prescription";
import { stopSignalCodes } from "~/core/intake/stop-signal";
import { Pain } from "~/core/response/pain-response";
import { NextDayReport, SetRecord } from "~/core/response/session-record";
import { oneOf } from "~/core/schema/one-of";
import { endpoint, smallLimit } from "./endpoint";
import { StairView, Written } from "./episode";
import { closed, code, date, instant, meant, reason, uuid, written } from "./fields";
import { recordingRoles, signingRoles } from "./roles";

const sets = Type.Array(SetRecord, { minItems: 1, maxItems: 60 });

/** A session as it is sent; the id is made by the sender, so that sending twice is harmless. */
export const SessionBody = Type.Object(
  {
    id: uuid,
    occurredAt: instant,
    painBefore: Pain,
    minutes: CaseSession.properties.minutes,
    otherLoad: CaseSession.properties.otherLoad,
    footwear: CaseSession.properties.footwear,
    stillSore: CaseSession.properties.stillSore,
    items: Type.Array(Type.Object({ itemId: uuid, sets }, closed), { maxItems: 40 }),
    /** Exercises of the catalogue that were done and stand in no plan: kept in the record, not judged. */
    unplanned: Type.Optional(
      Type.Array(
        Type.Object(
          {
            itemId: uuid,
            exerciseId: code,
            variantId: code,
            sets,
          },
          closed,
        ),
        { maxItems: 10 },
      ),
    ),
    /** The session that this one corrects. */
    supersedes: Type.Optional(uuid),
    meant,
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
    /** A whole prescription by the clinician's own hand, in place of an alternative. */
    prescription: Type.Optional(Prescription),
    meant,
  },
  closed,
);
export type DecisionBody = Static<typeof DecisionBody>;

export const ClearanceBody = Type.Object({ id: uuid, itemId: uuid, reason }, closed);
export type ClearanceBody = Static<typeof ClearanceBody>;

export const SignalBody = Type.Object(
  {
    id: uuid,
    code: oneOf(stopSignalCodes),
    /** The exercise it was seen in; asked for where only that, or its lane, is suspended. */
    itemId: Type.Optional(uuid),
    note: Type.Optional(Type.String({ maxLength: 400 })),
  },
  closed,
);
export type SignalBody = Static<typeof SignalBody>;

export const SignalClearanceBody = Type.Object({ id: uuid, signalId: uuid, reason }, closed);
export type SignalClearanceBody = Static<typeof SignalClearanceBody>;

/** A signal raised by a slip of the finger. */
export const SignalTakenBackBody = Type.Object({ id: uuid, signalId: uuid }, closed);
export type SignalTakenBackBody = Static<typeof SignalTakenBackBody>;

export const AttributionBody = Type.Object({ id: uuid, trainingDate: date, itemId: uuid, reason }, closed);
export type AttributionBody = Static<typeof AttributionBody>;

/** A session being recorded, as the device sees it; what it holds is checked when it is recorded. */
export const SessionDraftBody = Type.Object(
  { id: uuid, body: Type.Record(Type.String(), Type.Unknown()) },
  closed,
);
export type SessionDraftBody = Static<typeof SessionDraftBody>;

export const KeptSessionDraft = Type.Object({
  draft: Type.Union([
    Type.Object({
      id: uuid,
      body: Type.Record(Type.String(), Type.Unknown()),
      savedAt: instant,
      by: Type.String(),
    }),
    Type.Null(),
  ]),
});
export type KeptSessionDraft = Static<typeof KeptSessionDraft>;

/** A session is kept; what follows from it is read next, by whoever wants to know. */
export const Recorded = Type.Object(written, closed);
export type Recorded = Static<typeof Recorded>;

export const recordSession = endpoint({
  name: "recordSession",
  says: "Record a session",
  roles: recordingRoles,
  body: SessionBody,
  answer: Recorded,
  status: 201,
});

export const readSessionDraft = endpoint({
  name: "readSessionDraft",
  says: "The unfinished session",
  roles: "signed-in",
  answer: KeptSessionDraft,
});

export const keepSessionDraft = endpoint({
  name: "keepSessionDraft",
  says: "Keep an unfinished session",
  roles: recordingRoles,
  body: SessionDraftBody,
  answer: Type.Object({ id: uuid, savedAt: instant }, closed),
  status: 201,
});

export const recordReport = endpoint({
  name: "recordReport",
  says: "Record the next day",
  roles: recordingRoles,
  body: ReportBody,
  limit: smallLimit,
  answer: Written,
  status: 201,
});

export const signDecision = endpoint({
  name: "signDecision",
  says: "Sign, change or refuse a proposal",
  roles: signingRoles,
  body: DecisionBody,
  limit: smallLimit,
  answer: Written,
  stale: Type.Object({ stair: StairView }),
  status: 201,
});

export const clearStop = endpoint({
  name: "clearStop",
  says: "Clear a stopped item in writing",
  roles: signingRoles,
  body: ClearanceBody,
  limit: smallLimit,
  answer: Written,
  status: 201,
});

export const raiseSignal = endpoint({
  name: "raiseSignal",
  says: "Raise a stop signal",
  roles: recordingRoles,
  body: SignalBody,
  limit: smallLimit,
  answer: Written,
  status: 201,
});

export const clearSignal = endpoint({
  name: "clearSignal",
  says: "Clear a stop signal in writing",
  roles: signingRoles,
  body: SignalClearanceBody,
  limit: smallLimit,
  answer: Written,
  status: 201,
});

export const takeBackSignal = endpoint({
  name: "takeBackSignal",
  says: "Take back a signal raised by mistake, within a minute",
  roles: recordingRoles,
  body: SignalTakenBackBody,
  limit: smallLimit,
  answer: Written,
  status: 201,
});

export const attributeFlare = endpoint({
  name: "attributeFlare",
  says: "Trace a reaction to another exercise",
  roles: signingRoles,
  body: AttributionBody,
  limit: smallLimit,
  answer: Written,
  status: 201,
});
