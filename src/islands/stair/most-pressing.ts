import type { StairItem } from "~/core/interchange/contract";

const order = ["stop", "ease", "step-up", "plateau", "wait", "hold"];

/** The item whose proposal asks for somebody first; null for an empty plan. */
export function mostPressing(items: readonly StairItem[]): string | null {
  const sorted = [...items].sort((a, b) => order.indexOf(a.proposal.outcome) - order.indexOf(b.proposal.outcome));
  return sorted[0]?.itemId ?? null;
}
