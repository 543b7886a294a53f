import { Type, type Static } from "@sinclair/typebox";
import { Skipped } from "~/core/case/case-file";
import { episodeStates } from "~/core/episode/episode-turn";
import { bodyPlaces } from "~/core/exercise/body-place";
import { Lane } from "~/core/exercise/body";
import { Prescription } from "~/core/exercise/prescription";
import { stopSignalCodes, urgencies } from "~/core/intake/stop-signal";
import { InvolvedSide } from "~/core/measure/side-value";
import { Pain } from "~/core/response/pain-response";
import { PainSchoolCode } from "~/core/response/pain-school";
import { SetRecord, swellings } from "~/core/response/session-record";
import { oneOf } from "~/core/schema/one-of";
import { Calls } from "./clinic";
import { endpoint, smallLimit } from "./endpoint";
import { Ways } from "./habits";
import { closed, code, date, HeightM, instant, orNull, uuid, written } from "./fields";

/** One change of an exercise for a day, easier or harder; the plan stays as it is. */
export const DayChange = Type.Object(
  { knob: Type.String(), to: Type.Union([Type.Number(), Type.String()]), prescription: Prescription },
  closed,
);
export type DayChange = Static<typeof DayChange>;

/** An exercise of the plan as the patient does it alone. */
export const PhoneItem = Type.Object(
  {
    itemId: uuid,
    name: Type.String(),
    lane: Lane,
    exerciseId: code,
    drawnLike: orNull(Type.String()),
    prescription: Prescription,
    /** Whether the legs share the work, each has its own sets, or one works alone. */
    sides: oneOf(["both-together", "each-side", "one-side"]),
    /** The leg that works first, or alone. */
    first: oneOf(["left", "right"]),
    circuit: orNull(Type.Object({ number: Type.Integer(), restSeconds: Type.Integer() }, closed)),
    cues: Type.Array(Type.String()),
    safety: orNull(Type.String()),
    caution: orNull(Type.String()),
    /** It must not be done until somebody of the clinic has cleared it. */
    stopped: Type.Boolean(),
    easier: orNull(DayChange),
    /** A notch more for a good day, where somebody of the clinic has allowed it in writing; as of the view's own day. */
    harder: Type.Optional(orNull(DayChange)),
    /** Where the body is; absent in a view that an older version sent. */
    place: Type.Optional(oneOf(bodyPlaces)),
    /** The last day on which it was done. */
    lastDoneOn: Type.Optional(orNull(date)),
    /** When the present setting began to hold. */
    since: instant,
    /** Days of this week on which it was done, and on how many it is wanted. */
    doneDays: Type.Integer(),
    wantedDays: Type.Integer(),
  },
  closed,
);
export type PhoneItem = Static<typeof PhoneItem>;

export const PhoneMessage = Type.Object(
  { id: uuid, at: instant, by: Type.String(), words: Type.String() },
  closed,
);
export type PhoneMessage = Static<typeof PhoneMessage>;

/** Days that are laid out, with their exercises in order. */
export const PlannedDays = Type.Array(
  Type.Object(
    {
      date,
      items: Type.Array(uuid),
      /** Where, if it is not at home. */
      where: Type.Optional(Type.Union([Type.Literal("clinic"), Type.Literal("away")])),
      /** On a day with a training: what goes before it; all the rest comes after. */
      beforeTraining: Type.Optional(Type.Array(uuid)),
    },
    closed,
  ),
);

/** Where somebody stands and what is still missing, in few words. */
const PhoneStair = Type.Object(
  {
    stages: Type.Array(Type.Object({ name: Type.String(), aim: Type.String() }, closed)),
    at: Type.Integer({ minimum: 0 }),
    /** What the next stage still waits for: the name of a test, or days. */
    waitsFor: Type.Array(
      Type.Union([
        Type.Object({ kind: Type.Literal("test"), name: Type.String() }, closed),
        Type.Object({ kind: Type.Literal("days"), days: Type.Integer() }, closed),
      ]),
    ),
  },
  closed,
);

/** Everything a patient's phone keeps of the plan: one person's own, and nothing of anybody else. */
export const PhoneView = Type.Object(
  {
    asOf: instant,
    zone: Type.String(),
    today: date,
    givenName: Type.String(),
    clinicName: Type.String(),
    calls: Calls,
    /** How the clinic writes weights, lengths and dates; a plan kept by an older version has none. */
    ways: Type.Optional(Ways),
    involvedSide: InvolvedSide,
    heightM: HeightM,
    state: oneOf(episodeStates),
    school: PainSchoolCode,
    /** Nothing may be done: the gravest sign that is open. */
    halted: orNull(Type.Object({ code: oneOf(stopSignalCodes), urgency: oneOf(urgencies) }, closed)),
    items: Type.Array(PhoneItem),
    /** Days that are laid out, from today, with their exercises in order; empty where no week was kept. */
    days: PlannedDays,
    /** Days of the last two weeks on which something was done. */
    doneOn: Type.Array(date),
    /** The training day whose morning after is still to be told. */
    morningOf: orNull(date),
    /** Pain by day: during the work, and on the morning after where it was told. */
    pains: Type.Array(Type.Object({ date, during: Pain, after: orNull(Pain) }, closed)),
    /** The own numbers over time; absent in a view that an older version sent. */
    numbers: Type.Optional(
      Type.Array(
        Type.Object(
          {
            name: Type.String(),
            unit: Type.String(),
            points: Type.Array(Type.Object({ date, value: Type.Number() }, closed)),
            /** The other leg's last one. */
            other: orNull(Type.Number()),
          },
          closed,
        ),
      ),
    ),
    stair: PhoneStair,
    messages: Type.Array(PhoneMessage),
  },
  closed,
);
export type PhoneView = Static<typeof PhoneView>;

const token = Type.String({ minLength: 20, maxLength: 100 });

export const PhoneOpeningBody = Type.Union([
  Type.Object({ token }, closed),
  Type.Object(
    {
      code: Type.String({ minLength: 5, maxLength: 20 }),
      birthYear: Type.Integer({ minimum: 1900, maximum: 2100 }),
    },
    closed,
  ),
]);
export type PhoneOpeningBody = Static<typeof PhoneOpeningBody>;

/** What every piece from a phone says besides itself: when it happened and when it was sent, both by the phone's clock. */
const told = { id: uuid, occurredAt: instant, sentAt: instant };

export const PhoneSessionBody = Type.Object(
  {
    ...told,
    painBefore: Pain,
    minutes: Type.Optional(Type.Integer({ minimum: 1, maximum: 600 })),
    items: Type.Array(
      Type.Object({ itemId: uuid, sets: Type.Array(SetRecord, { minItems: 1, maxItems: 60 }) }, closed),
      { minItems: 1, maxItems: 40 },
    ),
    skipped: Type.Optional(Type.Array(Skipped, { maxItems: 40 })),
  },
  closed,
);
export type PhoneSessionBody = Static<typeof PhoneSessionBody>;

export const PhoneMorningBody = Type.Object(
  {
    ...told,
    trainingDate: date,
    pain: Pain,
    stiffnessMinutes: Type.Optional(Type.Integer({ minimum: 0, maximum: 600 })),
    swelling: Type.Optional(oneOf(swellings)),
    settledHours: Type.Optional(Type.Integer({ minimum: 0, maximum: 72 })),
  },
  closed,
);
export type PhoneMorningBody = Static<typeof PhoneMorningBody>;

export const PhoneSignalBody = Type.Object(
  { ...told, code: oneOf(stopSignalCodes), itemId: Type.Optional(uuid) },
  closed,
);
export type PhoneSignalBody = Static<typeof PhoneSignalBody>;

const PhoneWritten = Type.Object(written, closed);
export type PhoneWritten = Static<typeof PhoneWritten>;

export const openPhone = endpoint({
  name: "openPhone",
  says: "Open a patient's own plan on a phone, by a link or by a code and the year of birth",
  roles: "anybody",
  body: PhoneOpeningBody,
  limit: smallLimit,
  answer: Type.Object({ givenName: Type.String() }, closed),
});

export const readPhone = endpoint({
  name: "readPhone",
  says: "The plan as a patient's phone keeps it",
  roles: "phone",
  answer: PhoneView,
});

export const forgetPhone = endpoint({
  name: "forgetPhone",
  says: "Forget the plan on this phone",
  roles: "phone",
  answer: Type.Object({ forgotten: Type.Boolean() }, closed),
});

export const tellSession = endpoint({
  name: "tellSession",
  says: "What was done alone, from a phone",
  roles: "phone",
  body: PhoneSessionBody,
  answer: PhoneWritten,
  status: 201,
});

export const tellMorning = endpoint({
  name: "tellMorning",
  says: "How the morning after was, from a phone",
  roles: "phone",
  body: PhoneMorningBody,
  limit: smallLimit,
  answer: PhoneWritten,
  status: 201,
});

export const tellSignal = endpoint({
  name: "tellSignal",
  says: "That something is wrong, from a phone",
  roles: "phone",
  body: PhoneSignalBody,
  limit: smallLimit,
  answer: PhoneWritten,
  status: 201,
});
