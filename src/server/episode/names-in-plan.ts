import type { CaseFile } from "~/core/case/case-file";
import type { ItemReview } from "~/core/review/review-case";
import { itemNames } from "~/messages/item-names";

/** What the exercises of a plan are called, by the id of their place in it. */
export function namesInPlan(file: CaseFile, items: readonly ItemReview[]): Map<string, string> {
  return itemNames(
    items.flatMap((item) => {
      const exercise = file.exercises.find(({ id }) => id === item.exerciseId);
      return exercise ? [{ ...item, exercise }] : [];
    }),
  );
}
