import { signingRoles } from "~/contract/roles";
import { flag, id, instant, text } from "./column";
import { fact } from "./fact";

/** Whether a patient may do an exercise a notch harder on a good day; the latest word on an exercise holds. */
export const harderDays = fact({
  table: "harder_days",
  columns: {
    id: id("id"),
    itemId: id("item_id"),
    allowed: flag("allowed"),
    reason: text("reason"),
    at: instant("at"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: false,
  appendedBy: signingRoles,
});
