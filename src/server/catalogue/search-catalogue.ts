import { doseMinutes } from "~/core/dose/dose-minutes";
import type { CatalogueAnswer, CatalogueHit } from "~/contract/library";
import { check } from "~/core/schema/check";
import { type FieldProblem } from "~/core/schema/field-problem";
import { firstPrescription } from "~/core/exercise/exercise";
import {
  ExerciseQuery,
  exerciseSearch,
  nearestTo,
  type ExerciseHit,
} from "~/core/progression/exercise-search";
import { kitByCode } from "~/core/exercise/kit";
import { sidesOf } from "~/core/exercise/sides-of";
import type { StaffContext } from "~/server/staff-context";
import { refused } from "~/server/http/problem";
import { clinicCatalogue, type ClinicCatalogue } from "./clinic-catalogue";

const shownAtMost = 60;
/** How many are shown that fit the words, but not the filters. */
const outsideAtMost = 20;
/** How many are shown where nothing fits the words. */
export const nearestAtMost = 5;
const lists = new Set(["kit", "positions"]);

/**
 * Searches the clinic's catalogue. Parameters are those of the calculation `exercise-search`; lists are written with
 * commas, a stage as `pathway/stage`.
 */
export async function searchCatalogue(
  staff: StaffContext,
  params: URLSearchParams,
): Promise<CatalogueAnswer> {
  const query = readQuery(params);
  const catalogue = await clinicCatalogue(staff.clinicId);
  const { limit = shownAtMost, ...asked } = query;
  const hits = exerciseSearch(catalogue.index, asked);
  const { text } = asked;
  const outside = text ? exerciseSearch(catalogue.index, { text }).filter(isNotIn(hits)) : [];
  const nearest =
    text && hits.length + outside.length === 0 ? nearestTo(catalogue.index, text, nearestAtMost) : [];
  return {
    count: hits.length,
    hits: hits.slice(0, limit).map((hit) => shown(hit, catalogue)),
    outside: outside.slice(0, outsideAtMost).map((hit) => shown(hit, catalogue)),
    nearest: nearest.map((hit) => shown(hit, catalogue)),
  };
}

const isNotIn = (hits: readonly ExerciseHit[]) => {
  const found = new Set(hits.map(({ variant }) => variant));
  return ({ variant }: ExerciseHit) => !found.has(variant);
};

function shown({ exercise, variant }: ExerciseHit, { own }: ClinicCatalogue): CatalogueHit {
  const prescription = firstPrescription(variant);
  return {
    exerciseId: exercise.id,
    exerciseName: exercise.name,
    lane: exercise.lane,
    variantId: variant.id,
    variantName: variant.name,
    position: variant.position,
    kit: variant.kit,
    phase: variant.phase ?? null,
    prescription,
    time: doseMinutes({ dose: variant.dose, sides: sidesOf(exercise, prescription) }),
    own: own.has(exercise.id),
    drawnLike: exercise.drawnLike ?? null,
  };
}

/** The query that parameters of an address ask. @throws ApiProblem 422 naming what does not fit */
export function readQuery(params: URLSearchParams): ExerciseQuery {
  const raw: Record<string, unknown> = {};
  for (const [key, value] of params) {
    if (value === "") continue;
    const [pathway, stage] = value.split("/");
    if (lists.has(key)) raw[key] = value.split(",");
    else if (key === "stage") raw[key] = { pathway, stage };
    else if (key === "lowKneeBend") raw[key] = value === "true";
    else raw[key] = key === "limit" ? Number(value) : value;
  }
  const checked = check(ExerciseQuery, raw);
  if (!checked.ok) throw refused(checked.problems);
  const unknown = (checked.value.kit ?? []).flatMap((piece): FieldProblem[] =>
    kitByCode(piece) || piece === "none" ? [] : [{ path: "/kit", problem: `${piece} is not a piece of kit` }],
  );
  if (unknown.length > 0) throw refused(unknown);
  return checked.value;
}
