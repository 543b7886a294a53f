import { bookOfBody } from "~/catalogue/demands/book";
import type { CaseFile } from "~/core/case/case-file";
import { measuredBody } from "~/core/case/measured-body";
import type { DrawnDemandOrWhy } from "~/core/demand/drawn-demand";
import { reviewCase, type CaseReview } from "~/core/review/review-case";

const kept = new Map<string, DrawnDemandOrWhy>();

/** What the application will say of a case: with its own book of what settings ask of this body. */
export function reviewed(file: CaseFile): CaseReview {
  return reviewCase(file, { book: bookOfBody(measuredBody(file), kept) });
}
