import { settingRoles } from "~/contract/roles";
import { id, instant, json, optional, text } from "./column";
import { fact } from "./fact";

/** Episodes of a person who was entered twice, given to the other entry; or given back. */
export const merges = fact({
  table: "person_merges",
  columns: {
    id: id("id"),
    at: instant("at"),
    personId: id("person_id"),
    otherPersonId: id("other_person_id"),
    moved: json<string[]>("moved"),
    takesBack: optional(id("takes_back")),
    reason: text("reason"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: false,
  ofPerson: true,
  changesHead: true,
  changesElsewhere: true,
  whileResting: true,
  appendedBy: settingRoles,
});
