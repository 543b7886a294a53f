import { Type, type Static } from "@sinclair/typebox";
import { Outcome } from "~/core/decision/decide-input";
import { Evidence } from "~/core/decision/evidence";
import { oneOf } from "~/core/schema/one-of";
import { stopSignalCodes, urgencies } from "~/core/intake/stop-signal";
import { Change } from "~/core/progression/change";
import { PainSchoolCode } from "~/core/response/pain-school";

/** Bodies and answers of the daily loop: stop signals, suspects of a reaction, drafts, documents, schools side by side. */
const closed = { additionalProperties: false };
const uuid = Type.String({ format: "uuid" });
const instant = Type.String({ format: "date-time" });
const date = Type.String({ format: "date" });
const reason = Type.String({ minLength: 3, maxLength: 400, pattern: "\\S" });

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
  },
  closed,
);
export type OpenSignal = Static<typeof OpenSignal>;

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

export const documentKinds = ["visit-note", "handover-letter"] as const;
const text = Type.String({ minLength: 1, maxLength: 20_000, pattern: "\\S" });

export const DocumentBody = Type.Object(
  { id: uuid, kind: oneOf(documentKinds), body: text, proposed: text },
  closed,
);
export type DocumentBody = Static<typeof DocumentBody>;

/** What one school would have said of an item on one training day, once that day was closed (or as it stands now). */
export const SchoolVerdict = Type.Object(
  {
    date,
    outcome: Outcome,
    rule: Type.String(),
    evidence: Type.Array(Evidence),
    change: Type.Union([Change, Type.Null()]),
  },
  closed,
);
export type SchoolVerdict = Static<typeof SchoolVerdict>;

/** One record of one item judged by every school, day by day. */
export const SchoolComparison = Type.Object(
  {
    itemId: Type.String(),
    inForce: PainSchoolCode,
    days: Type.Array(
      Type.Object(
        {
          date,
          painBefore: Type.Integer(),
          painDuring: Type.Integer(),
          painNextDay: Type.Union([Type.Integer(), Type.Null()]),
        },
        closed,
      ),
    ),
    schools: Type.Array(Type.Object({ school: PainSchoolCode, verdicts: Type.Array(SchoolVerdict) }, closed)),
    /** First day on which not all schools say the same; null while they agree. */
    partedOn: Type.Union([date, Type.Null()]),
  },
  closed,
);
export type SchoolComparison = Static<typeof SchoolComparison>;
