import { canAccept } from "~/core/decision/record/can-accept";
import type { StairItem, StairView } from "~/contract/episode";

const order = ["stop", "flare", "ease", "step-up", "plateau", "wait", "hold"];

/** The items of a plan, those whose proposals ask for somebody first on top; alike ones keep the plan's order. */
export function byUrgency(items: readonly StairItem[]): StairItem[] {
  const rank = ({ proposal }: StairItem) =>
    order.indexOf(proposal.rule === "ease-flare" ? "flare" : proposal.outcome);
  return [...items].sort((a, b) => rank(a) - rank(b));
}

/** The items with a proposal that can be accepted, most pressing first. */
export function signable({ items }: Pick<StairView, "items">): StairItem[] {
  return byUrgency(items).filter((item) => canAccept(item.proposal));
}
