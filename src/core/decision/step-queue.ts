import type { Lane } from "~/core/exercise/body";
import type { Proposal } from "~/core/decision/record/decide-input";

export interface QueuedItem {
  readonly itemId: string;
  readonly lane: Lane;
  readonly proposal: Proposal;
}

/**
 * Who comes first for what is left of a week's change budget: items of lanes that block the gate, then the plan's order.
 * Only steps that turn a knob or change the variant use the budget.
 *
 * @param blocking lanes that block the gate
 * @param counted items that the week counts already: another step of theirs uses nothing more
 * @returns for every item that would step up, how many that the week does not count yet come before it
 */
export function stepQueue(
  items: readonly QueuedItem[],
  blocking: ReadonlySet<Lane>,
  counted: ReadonlySet<string> = new Set(),
): Map<string, number> {
  const stepping = items.filter(({ proposal: { outcome, change } }) => {
    return outcome === "step-up" && change !== undefined && "knob" in change;
  });
  const ordered = [
    ...stepping.filter(({ lane }) => blocking.has(lane)),
    ...stepping.filter(({ lane }) => !blocking.has(lane)),
  ];
  return new Map(
    ordered.map(({ itemId }, place) => [
      itemId,
      ordered.slice(0, place).filter((other) => !counted.has(other.itemId)).length,
    ]),
  );
}
