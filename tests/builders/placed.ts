import { bookFor } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import { startingMeasures } from "~/catalogue/measures/all";
import { pathwayByCode } from "~/catalogue/pathways/all";
import type { Intake } from "~/core/intake/intake";
import { placePatient, type PlaceInput } from "~/core/intake/place";
import type { Placing } from "~/core/intake/placing";

/** The body of which placings in tests are asked, and its drawings. */
export const placedBody = bookFor({ heightM: 1.75 }, new Map());

/** The placing of an intake on 10 March 2026 with the starting catalogue and nothing measured; anything of it may be another. */
export const placed = (intake: Intake, over: Partial<PlaceInput> = {}): Placing =>
  placePatient({
    intake,
    pathway: pathwayByCode(intake.pathway),
    exercises: startingExercises,
    measures: startingMeasures,
    results: [],
    known: [],
    today: "2026-03-10",
    book: placedBody,
    ...over,
  });
