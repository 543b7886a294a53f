import type { WeekDayBody } from "~/contract/week";
import { recordingRoles } from "~/contract/roles";
import type { Lock, Placed } from "~/core/week/week";
import { date, id, instant, json } from "./column";
import { fact } from "./fact";

/** A week as it was laid out; the latest of a week stands. */
export const weeks = fact({
  table: "weeks",
  columns: {
    id: id("id"),
    at: instant("at"),
    startsOn: date("starts_on"),
    days: json<readonly WeekDayBody[]>("days"),
    placed: json<readonly Placed[]>("placed"),
    locks: json<readonly Lock[]>("locks"),
  },
  by: "kept_by",
  order: ["at", "id"],
  inCase: false,
  appendedBy: recordingRoles,
});
