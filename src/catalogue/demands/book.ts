import { drawnHeights } from "~/core/pose/body-lengths";
import type { MeasuredBody } from "~/core/case/measured-body";
import {
  demandBook,
  usualMassKg,
  type AskedBody,
  type DemandBook,
  type KeptDrawings,
} from "~/core/demand/demand-book";
import { withAsks, withAsksOf } from "~/catalogue/exercises/asks";
import { figureOf, recipes } from "~/catalogue/figures/all";
import { loadsOf } from "~/catalogue/loads/loads-of";
import { kneecapShare } from "~/core/load/kneecap-share";
import type { Exercise } from "~/core/exercise/exercise";

/** Height that is drawn where nobody measured one, metres: the middle of adults (common practice). */
export const usualHeightM = 1.7;

/**
 * The book of a body as far as it was measured, of usual height and build else; a height at which nobody is drawn is taken as
 * the nearest that is.
 */
export function bookOfBody(
  { heightM: measured = null, massKg = null }: Partial<MeasuredBody>,
  kept?: KeptDrawings,
): DemandBook {
  const heightM = Math.min(drawnHeights.high, Math.max(drawnHeights.low, measured ?? usualHeightM));
  return bookFor(massKg === null ? { heightM } : { heightM, massKg }, kept);
}

/** Kilograms of an adult of middle build, where nobody weighed them. */
export const massOf = ({ heightM, massKg }: MeasuredBody): number =>
  massKg ?? usualMassKg(heightM ?? usualHeightM);

/**
 * What prescriptions ask of a body, by the catalogue's drawings. Versions of starting exercises that were stored before
 * movements said what they ask are read with what they ask now, and a clinic's own that say nothing with what the movement
 * asks that they are drawn like.
 */
export function bookFor(body: AskedBody, kept?: KeptDrawings): DemandBook {
  const book = demandBook(body, figureOf, kept);
  return {
    demandOf: (exercise, prescription) =>
      book.demandOf(exercise.asks ? exercise : asKnown(exercise), prescription),
    kneecapOf: (exercise, { settings, dose }) => {
      const { heightM, massKg = usualMassKg(heightM) } = body;
      const loads = loadsOf({ heightM, massKg }, { exercise, settings, loadKg: dose.loadKg ?? 0 });
      return loads.ok ? kneecapShare(loads, dose).sessionMPaS : null;
    },
  };
}

function asKnown(exercise: Exercise): Exercise {
  const { id, drawnLike } = exercise;
  if (id in recipes) return withAsks(exercise);
  return drawnLike !== undefined && drawnLike in recipes ? withAsksOf(drawnLike, exercise) : exercise;
}
