import { signingRoles } from "~/contract/roles";
import type { SmallDoseStep } from "~/core/lift/small-dose";
import { date, id, instant, text } from "./column";
import { fact } from "./fact";

/** What was tried for loads that stall, each with the day to look again. */
export const smallDoses = fact({
  table: "small_doses",
  columns: {
    id: id("id"),
    at: instant("at"),
    step: text<SmallDoseStep["step"]>("step"),
    lookOn: date("look_on"),
    note: text("note"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  appendedBy: signingRoles,
  ofCase: (file) => file.smallDoses ?? [],
});
