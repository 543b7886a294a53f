import type { PlanUndo } from "~/contract/plan";
import type { LoadedCase } from "~/server/case/make-case";

/**
 * What the last write into an episode did to its plan, where that can be undone: an exercise put in or taken out, and nothing
 * written since. Null for anything else, and for what a session brought along that was never planned.
 */
export function lastPlanAct({
  head,
  parts,
}: Pick<LoadedCase, "head" | "parts">): Omit<PlanUndo, "name"> | null {
  const added = parts.items.find(({ createdAt }) => createdAt === head.writtenAt);
  const ending = parts.endings.find(({ at }) => at === head.writtenAt);
  if (ending) return added ? null : { act: "taken-out", itemId: ending.itemId };
  const isNew = added !== undefined && head.writtenAt !== head.startedAt;
  return isNew ? { act: "put-in", itemId: added.id } : null;
}
