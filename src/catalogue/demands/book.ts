import { demandBook, type AskedBody, type DemandBook, type KeptDrawings } from "~/core/demand/demand-book";
import { withAsks } from "~/catalogue/exercises/asks";
import { figureOf } from "~/catalogue/figures/all";

/**
 * What prescriptions ask of a body, by the catalogue's drawings. Versions of starting exercises that were stored before
 * movements said what they ask are read with what they ask now.
 */
export function bookFor(body: AskedBody, kept?: KeptDrawings): DemandBook {
  const book = demandBook(body, figureOf, kept);
  return {
    demandOf: (exercise, prescription) =>
      book.demandOf(exercise.asks ? exercise : withAsks(exercise), prescription),
  };
}
