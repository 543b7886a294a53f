import { signingRoles } from "~/contract/roles";
import type { Lane } from "~/core/exercise/body";
import type { ItemRole } from "~/core/exercise/role";
import { id, instant, json, number, optional, text } from "./column";
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
    /** What it is in the plan for, until an arrangement says otherwise; `main` when left out. */
    role: optional(text<ItemRole>("role")),
    /** Limits that it goes against, and why a clinician wanted it so. */
    against: optional(json<{ says: string; origin: string }[]>("against")),
    againstReason: optional(text("against_reason")),
  },
  order: ["position", "id"],
  inCase: true,
  appendedBy: signingRoles,
  bringsAlong: ["prescriptions"],
  ofCase: (file) =>
    file.items.map(({ id: itemId, exerciseId, lane, prescriptions, role, against }, position) => ({
      id: itemId,
      exerciseId,
      lane,
      position,
      createdAt: prescriptions[0]?.from ?? file.episode.startedAt,
      ...(role ? { role } : {}),
      ...(against ? { against: against.limits, againstReason: against.reason } : {}),
    })),
});
