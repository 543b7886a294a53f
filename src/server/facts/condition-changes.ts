import { signingRoles } from "~/contract/roles";
import { v5 as uuidOf } from "uuid";
import type { ConditionCode } from "~/core/condition/condition";
import { flag, id, instant, text } from "./column";
import { fact } from "./fact";

/** A condition of the person that began or ended, signed. */
export const conditionChanges = fact({
  table: "condition_changes",
  columns: {
    id: id("id"),
    at: instant("at"),
    code: text<ConditionCode>("code"),
    present: flag("present"),
    reason: text("reason"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  ofPerson: true,
  whileResting: true,
  appendedBy: signingRoles,
  ofCase: (file) =>
    (file.conditions ?? [])
      .filter(({ code }) => code !== "growing")
      .map(({ code, at }) => ({
        id: uuidOf(`condition ${code}`, file.episode.id),
        at,
        code,
        present: true,
        reason: "Asked at intake",
      })),
});
