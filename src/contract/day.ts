import { Type, type Static } from "@sinclair/typebox";
import { endpoint, type BodyLimit } from "./endpoint";
import { ClockTime, closed, date, orNull, uuid } from "./fields";
import { recordingRoles } from "./roles";

/** Somebody who comes today, and when; null where no time is known. */
const Expected = Type.Object({ episodeId: uuid, time: orNull(ClockTime) }, closed);

/** Who is expected today after all, and who is not; everybody else stays as they stand. */
export const ExpectedBody = Type.Object(
  {
    on: Type.Array(Expected, { maxItems: 500 }),
    off: Type.Array(uuid, { maxItems: 500 }),
  },
  closed,
);
export type ExpectedBody = Static<typeof ExpectedBody>;

export const ExpectedToday = Type.Object({ date, people: Type.Array(Expected) }, closed);
export type ExpectedToday = Static<typeof ExpectedToday>;

/** A calendar of a usual practice of a year is some hundred kilobytes. */
const calendarLimit: BodyLimit = { bytes: 2_097_152, depth: 4 };

export const DayFileBody = Type.Object({ text: Type.String({ minLength: 1, maxLength: 2_000_000 }) }, closed);
export type DayFileBody = Static<typeof DayFileBody>;

/** Today's entries of a calendar file, each with whose name it holds: nobody, one, or several to choose from. */
export const DayFileView = Type.Object(
  {
    date,
    entries: Type.Array(
      Type.Object({ title: Type.String(), time: orNull(ClockTime), episodeIds: Type.Array(uuid) }, closed),
    ),
    /** There was more in the file than is read. */
    cut: Type.Boolean(),
  },
  closed,
);
export type DayFileView = Static<typeof DayFileView>;

export const markExpected = endpoint({
  name: "markExpected",
  says: "Mark who is expected today",
  roles: recordingRoles,
  body: ExpectedBody,
  answer: ExpectedToday,
});

export const readDayFile = endpoint({
  name: "readDayFile",
  says: "Whom today's entries of a calendar file (RFC 5545) name; nothing of the file is kept",
  roles: recordingRoles,
  body: DayFileBody,
  limit: calendarLimit,
  answer: DayFileView,
});
