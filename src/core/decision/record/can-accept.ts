import type { Proposal } from "./decide-input";

/**
 * Whether a proposal can be signed as it stands: hold and wait leave the plan as it is without a signature.
 *
 * @example canAccept({ outcome: "hold" }) // false
 */
export const canAccept = ({ outcome }: Pick<Proposal, "outcome">): boolean =>
  outcome !== "hold" && outcome !== "wait";
