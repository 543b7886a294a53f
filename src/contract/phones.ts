import { Type, type Static } from "@sinclair/typebox";
import { Pain } from "~/core/response/pain-response";
import { KnobValue } from "~/core/exercise/prescription";
import { HarderBar } from "~/core/review/harder-alone";
import { oneOf } from "~/core/schema/one-of";
import { endpoint, smallLimit } from "./endpoint";
import { ClockTime, closed, date, instant, orNull, PersonName, reason, uuid, written } from "./fields";
import { PhoneMessage } from "./phone";
import { recordingRoles, signingRoles } from "./roles";

/** A phone as the clinic sees it. */
export const KnownPhone = Type.Object(
  {
    id: uuid,
    openedAt: instant,
    seenAt: instant,
    endedAt: orNull(instant),
    endedBy: orNull(oneOf(["patient", "clinic"])),
  },
  closed,
);

/** An exercise of the plan, with whether it may be done harder on a good day, and what the phone offers right now. */
export const HarderItem = Type.Object(
  {
    itemId: uuid,
    name: Type.String(),
    /** The latest word on it; null where nobody has said anything. */
    word: orNull(
      Type.Object({ allowed: Type.Boolean(), reason: Type.String(), by: Type.String(), at: instant }, closed),
    ),
    /** The knob that would be turned today. */
    change: orNull(Type.Object({ knob: Type.String(), to: KnobValue }, closed)),
    /** Why nothing is offered today. */
    bar: orNull(HarderBar),
  },
  closed,
);
export type HarderItem = Static<typeof HarderItem>;

/** What the clinic sees of a patient's phones. */
export const PhonesView = Type.Object(
  {
    episodeId: uuid,
    person: PersonName,
    zone: Type.String(),
    phones: Type.Array(KnownPhone),
    /** A link that can still be opened, and until when. */
    openUntil: orNull(instant),
    /** The address that a calendar reads; null where none was made, or it was ended. */
    feed: orNull(Type.Object({ madeAt: instant, time: orNull(ClockTime), readAt: orNull(instant) }, closed)),
    /** Days with work that are laid out from today on: what a calendar would show. */
    laidDays: Type.Integer(),
    messages: Type.Array(PhoneMessage),
    harder: Type.Array(HarderItem),
    /** What came from phones lately: a day's work, a morning, a sign; with when it happened and when it arrived. */
    told: Type.Array(
      Type.Object(
        {
          kind: oneOf(["session", "report", "signal"]),
          occurredAt: instant,
          receivedAt: instant,
          pain: orNull(Pain),
        },
        closed,
      ),
    ),
    /** Days of work lately of whose morning after nobody has told in time: still waited for, or not any more; and until when. */
    mornings: Type.Array(Type.Object({ date, isOpen: Type.Boolean(), until: instant }, closed)),
    mayWrite: Type.Boolean(),
    /** Codes and addresses may be made and ended. */
    mayRecord: Type.Boolean(),
  },
  closed,
);
export type PhonesView = Static<typeof PhonesView>;

export const PhoneLink = Type.Object(
  {
    /** What the phone's camera reads, as a drawing. */
    picture: Type.String(),
    /** Where the code is typed. */
    address: Type.String(),
    token: Type.String(),
    code: Type.String(),
    expiresAt: instant,
    phones: PhonesView,
  },
  closed,
);
export type PhoneLink = Static<typeof PhoneLink>;

/** One phone, or all phones and links. */
export const PhonesEndedBody = Type.Object({ phoneId: orNull(uuid) }, closed);
export type PhonesEndedBody = Static<typeof PhonesEndedBody>;

export const MessageBody = Type.Object(
  { id: uuid, words: Type.String({ minLength: 2, maxLength: 400, pattern: "\\S" }) },
  closed,
);
export type MessageBody = Static<typeof MessageBody>;

export const MessageWritten = Type.Object({ ...written, phones: PhonesView }, closed);
export type MessageWritten = Static<typeof MessageWritten>;

export const HarderBody = Type.Object({ id: uuid, itemId: uuid, allowed: Type.Boolean(), reason }, closed);
export type HarderBody = Static<typeof HarderBody>;

export const readPhones = endpoint({
  name: "readPhones",
  says: "The phones on which a patient's plan was opened, and what came from them",
  roles: "signed-in",
  answer: PhonesView,
});

export const makePhoneLink = endpoint({
  name: "makePhoneLink",
  says: "Make a link and a code that open a patient's plan on a phone",
  roles: recordingRoles,
  answer: PhoneLink,
});

export const endPhones = endpoint({
  name: "endPhones",
  says: "Close a patient's plan on a phone, or on all of them",
  roles: recordingRoles,
  body: PhonesEndedBody,
  limit: smallLimit,
  answer: PhonesView,
});

export const writeMessage = endpoint({
  name: "writeMessage",
  says: "Write a short message to a patient's phone",
  roles: signingRoles,
  body: MessageBody,
  limit: smallLimit,
  answer: MessageWritten,
  status: 201,
});

export const allowHarder = endpoint({
  name: "allowHarder",
  says: "Allow a patient in writing to do an exercise a notch harder on a good day, or take that back",
  roles: signingRoles,
  body: HarderBody,
  limit: smallLimit,
  answer: MessageWritten,
  status: 201,
});
