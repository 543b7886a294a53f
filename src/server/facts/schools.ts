import { signingRoles } from "~/contract/roles";
import type { PainSchoolCode } from "~/core/response/pain-school";
import { id, instant, text } from "./column";
import { fact } from "./fact";

/** A pain school set for an episode, with the reason. */
export const schools = fact({
  table: "school_settings",
  columns: {
    id: id("id"),
    at: instant("at"),
    school: text<PainSchoolCode>("school"),
    reason: text("reason"),
  },
  by: "set_by",
  order: ["at", "id"],
  inCase: true,
  appendedBy: signingRoles,
  ofCase: (file) => file.schools,
});
