import { signingRoles } from "~/contract/roles";
import type { Intake } from "~/core/intake/intake";
import type { Placing } from "~/core/intake/placing";
import { id, instant, json } from "./column";
import { fact } from "./fact";

/** An intake as it was signed, with the placing that was proposed for it. */
export const intakes = fact({
  table: "intakes",
  columns: {
    id: id("id"),
    at: instant("at"),
    intake: json<Intake>("body"),
    placing: json<Placing>("placing"),
  },
  by: "taken_by",
  order: ["at", "id"],
  inCase: false,
  appendedBy: signingRoles,
  bringsAlong: [
    "stageMoves",
    "schools",
    "passings",
    "circumstances",
    "items",
    "prescriptions",
    "signals",
    "signalClearances",
    "events",
    "visits",
    "results",
  ],
});
