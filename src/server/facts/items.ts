import { signingRoles } from "~/contract/roles";
import type { Lane } from "~/core/exercise/body";
import { id, instant, number, text } from "./column";
import { fact } from "./fact";

/** An exercise that came into a plan. */
export const items = fact({
  table: "plan_items",
  columns: {
    id: id("id"),
    exerciseId: text("exercise_id"),
    lane: text<Lane>("lane"),
    position: number("position"),
    createdAt: instant("created_at"),
  },
  order: ["position", "id"],
  inCase: true,
  appendedBy: signingRoles,
  bringsAlong: ["prescriptions"],
  ofCase: (file) =>
    file.items.map(({ id: itemId, exerciseId, lane, prescriptions }, position) => ({
      id: itemId,
      exerciseId,
      lane,
      position,
      createdAt: prescriptions[0]?.from ?? file.episode.startedAt,
    })),
});
