import type { Identity } from "~/contract/people";
import { signingRoles } from "~/contract/roles";
import { id, instant, json, text } from "./column";
import { fact } from "./fact";

/** A person's name, birth date or another part of who they are, put right: what it was, and what it is. */
export const identityChanges = fact({
  table: "identity_changes",
  columns: {
    id: id("id"),
    at: instant("at"),
    before: json<Identity>("before_it"),
    after: json<Identity>("after_it"),
    reason: text("reason"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: false,
  ofPerson: true,
  changesHead: true,
  whileResting: true,
  appendedBy: signingRoles,
});
