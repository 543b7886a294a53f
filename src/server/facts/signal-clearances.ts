import { recordingRoles } from "~/contract/roles";
import { v5 as uuidOf } from "uuid";
import { id, instant, text } from "./column";
import { fact } from "./fact";

/** A stop signal cleared in writing, once; or taken back at once by who raised it. */
export const signalClearances = fact({
  table: "signal_clearances",
  columns: { id: id("id"), signalId: id("signal_id"), reason: text("reason"), at: instant("at") },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  ofPerson: true,
  whileResting: true,
  appendedBy: recordingRoles,
  ofCase: (file) =>
    (file.signals ?? []).flatMap(({ id: signalId, cleared, elsewhere }) =>
      cleared && !elsewhere ? [{ id: uuidOf("cleared", signalId), signalId, ...cleared }] : [],
    ),
});
