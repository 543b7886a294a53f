import { signingRoles } from "~/contract/roles";
import { date, id, instant, text } from "./column";
import { fact } from "./fact";

/** A clinician's own choice of what a day's reaction is traced to. */
export const attributions = fact({
  table: "flare_attributions",
  columns: {
    id: id("id"),
    at: instant("at"),
    trainingDate: date("training_date"),
    itemId: id("item_id"),
    reason: text("reason"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  appendedBy: signingRoles,
  ofCase: (file) => file.attributions ?? [],
});
