import { Type, type Static } from "@sinclair/typebox";
import { endpoint, smallLimit } from "./endpoint";
import { ClockTime, closed, orNull } from "./fields";
import { PhonesView } from "./phones";
import { recordingRoles } from "./roles";

const CalendarQuery = Type.Object({ at: Type.Optional(ClockTime) }, closed);
const media = "text/calendar; charset=utf-8";
const file = "exercise-days.ics";

export const readCalendar = endpoint({
  name: "readCalendar",
  says: "The laid out exercise days of a patient as a calendar file; at a time of the day, or as whole days",
  roles: "signed-in",
  query: CalendarQuery,
  answer: Type.String(),
  media,
  file,
});

export const readOwnCalendar = endpoint({
  name: "readOwnCalendar",
  says: "The same for the phone's own plan",
  roles: "phone",
  query: CalendarQuery,
  answer: Type.String(),
  media,
  file,
});

export const readFeed = endpoint({
  name: "readFeed",
  says: "The same for a calendar that reads it by itself, by a secret address that the clinic can end",
  roles: "anybody",
  answer: Type.String(),
  media,
  file,
});

export const FeedBody = Type.Object({ at: orNull(ClockTime) }, closed);
export type FeedBody = Static<typeof FeedBody>;

/** The address is told once. */
export const FeedMade = Type.Object({ address: Type.String(), phones: PhonesView }, closed);
export type FeedMade = Static<typeof FeedMade>;

export const makeFeed = endpoint({
  name: "makeFeed",
  says: "Make a secret address that a patient's calendar reads; the one before ends",
  roles: recordingRoles,
  body: FeedBody,
  limit: smallLimit,
  answer: FeedMade,
});

export const endFeed = endpoint({
  name: "endFeed",
  says: "End the address that a patient's calendar reads",
  roles: recordingRoles,
  body: Type.Object({}, closed),
  limit: smallLimit,
  answer: PhonesView,
});
