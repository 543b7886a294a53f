import type { CaseFile } from "~/core/case/case-file";

/** The name of an item's exercise, in the plan or out of it; null where nobody says which item, or the case has none of that id. */
export function exerciseName({ items, exercises }: CaseFile, itemId: string | undefined): string | null {
  const item = items.find(({ id }) => id === itemId);
  return exercises.find(({ id }) => id === item?.exerciseId)?.name ?? null;
}
