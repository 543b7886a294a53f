import { recordingRoles } from "~/contract/roles";
import type { StopSignalCode } from "~/core/intake/stop-signal";
import { id, instant, optional, text } from "./column";
import { fact } from "./fact";

/** A stop signal as it was raised. */
export const signals = fact({
  table: "stop_signals",
  columns: {
    id: id("id"),
    code: text<StopSignalCode>("code"),
    itemId: optional(id("item_id")),
    note: optional(text("note")),
    occurredAt: instant("occurred_at"),
    at: instant("received_at"),
  },
  by: "recorded_by",
  order: ["received_at", "id"],
  inCase: true,
  whileResting: true,
  appendedBy: recordingRoles,
  fromPhones: true,
  ofPerson: true,
  ofCase: (file) =>
    (file.signals ?? [])
      .filter(({ elsewhere }) => elsewhere === undefined)
      .map(({ cleared: _later, elsewhere: _here, ...signal }) => ({ ...signal, occurredAt: signal.at })),
});
