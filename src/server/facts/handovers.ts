import { signingRoles } from "~/contract/roles";
import { id, instant, orNull, text } from "./column";
import { fact } from "./fact";

/** An episode handed to a colleague, who looks after it from then on. */
export const handovers = fact({
  table: "handovers",
  columns: {
    id: id("id"),
    at: instant("at"),
    fromStaff: orNull(id("from_staff")),
    toStaff: id("to_staff"),
    reason: text("reason"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: false,
  changesHead: true,
  whileResting: true,
  appendedBy: signingRoles,
});
