import { signingRoles } from "~/contract/roles";
import type { Arrangement } from "~/core/case/arrangement";
import { id, instant, json } from "./column";
import { fact } from "./fact";

/** Order, roles and circuits of a plan from then on. */
export const arrangements = fact({
  table: "arrangements",
  columns: {
    id: id("id"),
    at: instant("at"),
    entries: json<Arrangement["entries"]>("entries"),
    circuits: json<Arrangement["circuits"]>("circuits"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  appendedBy: signingRoles,
  ofCase: (file) => file.arrangements ?? [],
});
