import type { CriterionResult } from "./gate";

const notes: ReadonlySet<CriterionResult["note"]> = new Set([
  "both-sides-injured",
  "above-115",
  "norm-unknown",
]);

/**
 * Whether a clinician may judge a criterion in writing: no number decides it, or only with a word on the other side.
 *
 * @example canBeJudged({ note: "above-115" }) // true
 * @example canBeJudged({ note: "needs-the-other-side" }) // false
 */
export const canBeJudged = ({ note }: Pick<CriterionResult, "note">): boolean => notes.has(note);
