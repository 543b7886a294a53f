import { recordingRoles } from "~/contract/roles";
import { date, id, instant } from "./column";
import { fact } from "./fact";

/** A visit at which measures were taken. */
export const visits = fact({
  table: "measure_visits",
  columns: { id: id("id"), takenOn: date("taken_on"), recordedAt: instant("recorded_at") },
  by: "recorded_by",
  order: ["recorded_at", "id"],
  inCase: false,
  appendedBy: recordingRoles,
  bringsAlong: ["results", "traces", "stills"],
});
