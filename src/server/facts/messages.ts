import { signingRoles } from "~/contract/roles";
import { id, instant, text } from "./column";
import { fact } from "./fact";

/** A short message from the clinic to the patient's phone. */
export const messages = fact({
  table: "messages",
  columns: { id: id("id"), words: text("words"), at: instant("at") },
  by: "written_by",
  order: ["at", "id"],
  inCase: false,
  whileResting: true,
  appendedBy: signingRoles,
});
