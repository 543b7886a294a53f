import { signingRoles } from "~/contract/roles";
import { v5 as uuidOf } from "uuid";
import { id, instant, text } from "./column";
import { fact } from "./fact";

/** An exercise that left a plan. */
export const endings = fact({
  table: "item_endings",
  columns: { id: id("id"), itemId: id("item_id"), reason: text("reason"), at: instant("at") },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  appendedBy: signingRoles,
  ofCase: (file) =>
    file.items.flatMap(({ id: itemId, endedAt }) =>
      endedAt === undefined
        ? []
        : [{ id: uuidOf("left", itemId), itemId, reason: "Left the plan", at: endedAt }],
    ),
});
