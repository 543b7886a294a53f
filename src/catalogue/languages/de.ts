import { cuesLyingAndBending } from "./de/cues-lying-and-bending";
import { cuesStandingAndMoving } from "./de/cues-standing-and-moving";
import { limits } from "./de/limits";
import { names } from "./de/names";
import { notes } from "./de/notes";
import type { CatalogueWords } from "./language";

/** The words of the catalogue that a patient takes home, in German. Written for this product; not yet read by a practice there. */
export const catalogueDe: CatalogueWords = {
  ...names,
  ...cuesLyingAndBending,
  ...cuesStandingAndMoving,
  ...notes,
  ...limits,
};
