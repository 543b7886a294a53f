import { planMinutes } from "~/core/dose/plan-minutes";
import type { PlacedItem, Placing } from "./placing";

/** What is chosen in each lane of a placing, in its order; null where nothing is. */
export type PlacedChoice = readonly (PlacedItem | null)[];

/** The choice as it is proposed. */
export const proposedChoice = ({ lanes }: Placing): PlacedChoice => lanes.map((lane) => lane.chosen);

/**
 * A choice with another variant in one lane: one of those offered there, or none.
 *
 * @param at place of the lane
 */
export function chosenInstead(
  { lanes }: Placing,
  choice: PlacedChoice,
  at: number,
  variantId: string,
): PlacedChoice {
  const lane = lanes[at];
  const offered = [lane?.chosen ?? null, ...(lane?.alternatives ?? [])];
  const found = offered.find((item) => item?.variantId === variantId) ?? null;
  return choice.map((item, n) => (n === at ? found : item));
}

/** What of a choice makes the plan, and how long that takes, minutes. */
export function planOfChoice(choice: PlacedChoice): { items: PlacedItem[]; minutes: number } {
  const items = choice.filter((item) => item !== null);
  return { items, minutes: planMinutes(items.map((item) => item.time)).minutes };
}
