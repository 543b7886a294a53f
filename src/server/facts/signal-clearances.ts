import { signingRoles } from "~/contract/roles";
import { v5 as uuidOf } from "uuid";
import { id, instant, text } from "./column";
import { fact } from "./fact";

/** A stop signal cleared in writing, once. */
export const signalClearances = fact({
  table: "signal_clearances",
  columns: { id: id("id"), signalId: id("signal_id"), reason: text("reason"), at: instant("at") },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  appendedBy: signingRoles,
  ofCase: (file) =>
    (file.signals ?? []).flatMap(({ id: signalId, cleared }) =>
      cleared ? [{ id: uuidOf("cleared", signalId), signalId, ...cleared }] : [],
    ),
});
