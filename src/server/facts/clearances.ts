import { signingRoles } from "~/contract/roles";
import { id, instant, text } from "./column";
import { fact } from "./fact";

/** A stopped item cleared in writing. */
export const clearances = fact({
  table: "clearances",
  columns: { id: id("id"), itemId: id("item_id"), at: instant("at"), reason: text("reason") },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  ofPerson: true,
  appendedBy: signingRoles,
  ofCase: (file) => file.clearances,
});
