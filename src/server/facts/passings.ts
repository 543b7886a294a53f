import { signingRoles } from "~/contract/roles";
import type { Passing } from "~/core/gate/gate";
import { id, instant, text } from "./column";
import { fact } from "./fact";

/** How an episode's gates are passed from then on. */
export const passings = fact({
  table: "passing_settings",
  columns: {
    id: id("id"),
    at: instant("at"),
    passing: text<Passing>("passing"),
    reason: text("reason"),
  },
  by: "set_by",
  order: ["at", "id"],
  inCase: true,
  appendedBy: signingRoles,
  ofCase: (file) => file.passings ?? [],
});
