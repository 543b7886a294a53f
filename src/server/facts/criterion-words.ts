import { signingRoles } from "~/contract/roles";
import { id, instant, text } from "./column";
import { fact } from "./fact";

/** A criterion that no number can decide, judged by a clinician in writing. */
export const criterionWords = fact({
  table: "criterion_words",
  columns: {
    id: id("id"),
    at: instant("at"),
    stage: text("stage"),
    criterion: text("criterion"),
    reason: text("reason"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  appendedBy: signingRoles,
  ofCase: (file) => file.criterionWords ?? [],
});
