import type { HandoutView } from "~/contract/handout";
import type { Speaker } from "./speaker";

type Day = HandoutView["days"][number];

/** A day on the sheet: the numbers of its exercises, what comes before a training and what after it, and where it is done. */
export function sayPlannedDay(
  items: readonly { readonly itemId: string }[],
  { items: ids, where, beforeTraining }: Day,
  say: Pick<Speaker, "t">,
): string {
  const numbers = (of: readonly string[]) =>
    of
      .map((id) => items.findIndex(({ itemId }) => itemId === id) + 1)
      .sort((a, b) => a - b)
      .join(", ");
  const before = numbers(beforeTraining ?? []);
  const after = numbers(ids.filter((id) => !beforeTraining?.includes(id)));
  const work = beforeTraining
    ? [before, say.t("handout.training"), after].filter((part) => part !== "").join(" – ")
    : after || say.t("handout.restDay");
  return where ? `${work} (${say.t(`handout.where.${where}`)})` : work;
}
