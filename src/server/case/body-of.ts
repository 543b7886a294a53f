import { LRUCache } from "lru-cache";
import { bookOfBody } from "~/catalogue/demands/book";
import type { CaseFile } from "~/core/case/case-file";
import { measuredBody } from "~/core/case/measured-body";
import type { DemandBook, KeptDemands, KeptDrawings } from "~/core/demand/demand-book";
import type { DrawnDemandOrWhy } from "~/core/demand/drawn-demand";

/** Drawings that were read, of all bodies: some hundred bytes each. */
const drawings = new LRUCache<string, DrawnDemandOrWhy>({ max: 20_000 });
/** What the catalogue's variants ask of the bodies that were asked about last: about half a megabyte each. */
const demands = new LRUCache<string, KeptDemands>({ max: 24 });

const kept: KeptDrawings = {
  get: (key) => drawings.get(key),
  set: (key, drawn) => drawings.set(key, drawn),
  demandsFor: (body) => {
    const made = demands.get(body) ?? new WeakMap();
    demands.set(body, made);
    return made;
  },
};

/** What settings ask of the body of a case, as tall and heavy as it was measured last. */
export const bookOf = (file: Pick<CaseFile, "results">): DemandBook => bookOfBody(measuredBody(file), kept);
