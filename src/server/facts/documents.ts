import { signingRoles } from "~/contract/roles";
import type { DocumentKind } from "~/contract/document-kinds";
import { id, instant, text } from "./column";
import { fact } from "./fact";

/** A signed note or letter, with the text that was proposed for it. */
export const documents = fact({
  table: "documents",
  columns: {
    id: id("id"),
    at: instant("at"),
    kind: text<DocumentKind>("kind"),
    body: text("body"),
    proposed: text("proposed"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: false,
  whileResting: true,
  appendedBy: signingRoles,
});
