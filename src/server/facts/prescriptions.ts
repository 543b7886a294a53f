import type { Prescription } from "~/core/exercise/prescription";
import { id, instant, json, optional } from "./column";
import { fact } from "./fact";

/** What an item is prescribed from then on, and the decision that said so, where one did. */
export const prescriptions = fact({
  table: "prescriptions",
  columns: {
    id: id("id"),
    itemId: id("item_id"),
    from: instant("at"),
    decisionId: optional(id("decision_id")),
    prescription: json<Prescription>("body"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  ofCase: (file) => {
    const decided = new Map(file.decisions.map((d) => [`${d.itemId} ${d.at}`, d.id]));
    return file.items.flatMap(({ id: itemId, prescriptions: entries }) =>
      entries.map(({ id: entryId, from, prescription }) => {
        const decisionId = decided.get(`${itemId} ${from}`);
        return { id: entryId, itemId, from, prescription, ...(decisionId ? { decisionId } : {}) };
      }),
    );
  },
});
