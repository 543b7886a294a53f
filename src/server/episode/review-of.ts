import type { CaseFile } from "~/core/case/case-file";
import { reviewCase, type CaseReview } from "~/core/review/review-case";

const reviews = new WeakMap<CaseFile, CaseReview>();

/** The review of a loaded case, made once however many views ask for it. */
export function reviewOf(file: CaseFile): CaseReview {
  const found = reviews.get(file) ?? reviewCase(file);
  reviews.set(file, found);
  return found;
}
