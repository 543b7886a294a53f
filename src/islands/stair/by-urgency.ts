import type { StairItem } from "~/core/interchange/contract";

const order = ["stop", "ease", "step-up", "plateau", "wait", "hold"];

/** The items of a plan, those whose proposals ask for somebody first on top; alike ones keep the plan's order. */
export function byUrgency(items: readonly StairItem[]): StairItem[] {
  return [...items].sort((a, b) => order.indexOf(a.proposal.outcome) - order.indexOf(b.proposal.outcome));
}
