import { signingRoles } from "~/contract/roles";
import { id, instant } from "./column";
import { fact } from "./fact";

/** An exercise that left a plan by a slip and was put back at once: its leaving never was. */
export const returns = fact({
  table: "item_returns",
  columns: { id: id("id"), endingId: id("ending_id"), at: instant("at") },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  appendedBy: signingRoles,
});
