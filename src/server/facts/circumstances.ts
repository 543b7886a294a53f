import { signingRoles } from "~/contract/roles";
import type { Circumstances } from "~/core/intake/intake";
import { id, instant, json, text } from "./column";
import { fact } from "./fact";

/** What a plan must fit into from then on: time, kit, positions, the surgeon's limits. */
export const circumstances = fact({
  table: "circumstances",
  columns: {
    id: id("id"),
    at: instant("at"),
    circumstances: json<Circumstances>("body"),
    reason: text("reason"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  ofPerson: true,
  appendedBy: signingRoles,
});
