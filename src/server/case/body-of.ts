import { LRUCache } from "lru-cache";
import { bookOfHeight } from "~/catalogue/demands/book";
import type { CaseFile } from "~/core/case/case-file";
import { measuredHeight } from "~/core/case/measured-height";
import type { DemandBook } from "~/core/demand/demand-book";
import type { DrawnDemandOrWhy } from "~/core/demand/drawn-demand";

/** Drawings that were read, of all bodies: some hundred bytes each. */
const kept = new LRUCache<string, DrawnDemandOrWhy>({ max: 20_000 });

/** What settings ask of the body of a case, as tall as it was measured last. */
export const bookOf = (file: Pick<CaseFile, "results">): DemandBook =>
  bookOfHeight(measuredHeight(file), kept);
