import { cuesFirstHalf } from "./de/cues-first-half";
import { cuesSecondHalf } from "./de/cues-second-half";
import { limits } from "./de/limits";
import { names } from "./de/names";
import { notes } from "./de/notes";
import type { CatalogueWords } from "./language";

/** The words of the catalogue that a patient takes home, in German. Written for this product; not yet read by a practice there. */
export const catalogueDe: CatalogueWords = {
  ...names,
  ...cuesFirstHalf,
  ...cuesSecondHalf,
  ...notes,
  ...limits,
};
