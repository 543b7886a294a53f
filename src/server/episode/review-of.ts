import type { CaseFile } from "~/core/interchange/case-file";
import { reviewCase, type CaseReview } from "~/core/interchange/review-case";

const reviews = new WeakMap<CaseFile, CaseReview>();

/** The review of a loaded case, made once however many views ask for it. */
export function reviewOf(file: CaseFile): CaseReview {
  const found = reviews.get(file) ?? reviewCase(file);
  reviews.set(file, found);
  return found;
}
