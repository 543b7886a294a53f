import { cuesFirstHalf } from "./cues-first-half";
import { cuesSecondHalf } from "./cues-second-half";
import { limits } from "./limits";
import { names } from "./names";
import { notes } from "./notes";
import type { CatalogueWords } from "../language";

/** The words of the catalogue that a patient takes home, in German. Written for this product; not yet read by a practice there. */
export const catalogueDe: CatalogueWords = {
  ...names,
  ...cuesFirstHalf,
  ...cuesSecondHalf,
  ...notes,
  ...limits,
};
