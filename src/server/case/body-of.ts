import { LRUCache } from "lru-cache";
import { bookOfBody } from "~/catalogue/demands/book";
import type { CaseFile } from "~/core/case/case-file";
import { measuredBody } from "~/core/case/measured-body";
import type { DemandBook } from "~/core/demand/demand-book";
import type { DrawnDemandOrWhy } from "~/core/demand/drawn-demand";

/** Drawings that were read, of all bodies: some hundred bytes each. */
const kept = new LRUCache<string, DrawnDemandOrWhy>({ max: 20_000 });

/** What settings ask of the body of a case, as tall and heavy as it was measured last. */
export const bookOf = (file: Pick<CaseFile, "results">): DemandBook => bookOfBody(measuredBody(file), kept);
