import { recordingRoles } from "~/contract/roles";
import type { Lift } from "~/core/lift/lift";
import { date, flag, id, instant, number, optional, text } from "./column";
import { fact } from "./fact";

/** What somebody lifted in training of their own. */
export const lifts = fact({
  table: "lifts",
  columns: {
    id: id("id"),
    at: instant("at"),
    on: date("lifted_on"),
    movement: text("movement"),
    sets: number("sets"),
    reps: number("reps"),
    loadKg: number("load_kg"),
    felt: optional(text<NonNullable<Lift["felt"]>>("felt")),
    note: optional(text("note")),
    supersedes: optional(id("supersedes")),
    withdrawn: optional(flag("withdrawn")),
  },
  by: "recorded_by",
  order: ["lifted_on", "at", "id"],
  inCase: true,
  appendedBy: recordingRoles,
  ofCase: (file) => file.lifts ?? [],
});
