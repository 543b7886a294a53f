import type { LibraryAnswer, LibraryEntry, LibraryPatient } from "~/contract/library";
import { limitsOf } from "~/core/case/in-force";
import { moveInForce } from "~/core/case/stage-in-force";
import { measuredHeight } from "~/core/case/measured-body";
import { check } from "~/core/schema/check";
import { eachInSteps } from "~/core/work/in-steps";
import { stageOf } from "~/core/pathway/pathway";
import { suitsUnder } from "~/core/progression/stage-need";
import { activationRanking, enoughPercent } from "~/core/progression/activation-ranking";
import { Muscle, type Muscle as MuscleCode } from "~/core/exercise/body";
import { firstPrescription } from "~/core/exercise/exercise";
import { exerciseSearch, nearestTo, type ExerciseHit } from "~/core/progression/exercise-search";
import { obstacleUnder } from "~/core/limit/obstacle";
import { localDay } from "~/core/schedule/local-day";
import { signingRoles } from "~/contract/roles";
import { patientName } from "~/server/case/patient-name";
import type { StaffContext } from "~/server/staff-context";
import type { LoadedCase } from "~/server/case/make-case";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { ApiProblem, refused } from "~/server/http/problem";
import { inSlices } from "~/server/solve/in-slices";
import { clinicCatalogue, type ClinicCatalogue } from "./clinic-catalogue";
import { nearestAtMost, readQuery } from "./search-catalogue";

/** Searches the library. `activity` orders it by how active that muscle was in published studies. */
export async function readLibrary(staff: StaffContext, params: URLSearchParams): Promise<LibraryAnswer> {
  const catalogue = await clinicCatalogue(staff.clinicId);
  const { hits, muscle } = searched(catalogue, params);
  return answer(catalogue, hits, muscle, null, [], nearest(catalogue, hits, params));
}

/** The library for one patient: what their limits, kit, positions and stage leave, and what fell out for which reason. */
export async function readPatientLibrary(
  staff: StaffContext,
  episodeId: string,
  params: URLSearchParams,
): Promise<LibraryAnswer> {
  const loaded = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "read-library");
  const catalogue = await clinicCatalogue(staff.clinicId);
  const { hits, muscle } = searched(catalogue, params);
  const hindrance = hindranceFor(loaded, catalogue);
  // A body of a height that nobody had yet is drawn with every exercise.
  const judged = await inSlices(eachInSteps(hits, (hit) => ({ hit, says: hindrance(hit) })));
  const fitting = judged.filter(({ says }) => says === undefined).map(({ hit }) => hit);
  const reasons = new Map<string | null, ExerciseHit[]>();
  for (const { hit, says } of judged) {
    if (says !== undefined) reasons.set(says, [...(reasons.get(says) ?? []), hit]);
  }
  const leftOut = [...reasons]
    .map(([says, variants]) => ({
      says,
      count: variants.length,
      variants: variants.map(({ exercise, variant }) => ({
        exerciseId: exercise.id,
        variantId: variant.id,
        name: `${exercise.name}: ${variant.name}`,
      })),
    }))
    .sort((a, b) => b.count - a.count);
  return answer(
    catalogue,
    fitting,
    muscle,
    patientOf(staff, loaded),
    leftOut,
    nearest(catalogue, hits, params),
  );
}

/** For pages: an address that asks what does not exist is answered as one that asks nothing. Other failures stay failures. */
export function nothingAsked(error: unknown): null {
  if (error instanceof ApiProblem && error.status === 422) return null;
  throw error;
}

function searched(catalogue: ClinicCatalogue, params: URLSearchParams) {
  const asked = new URLSearchParams(params);
  const wanted = asked.get("activity");
  asked.delete("activity");
  if (!wanted) return { hits: exerciseSearch(catalogue.index, readQuery(asked)), muscle: null };
  const checked = check(Muscle, wanted);
  if (!checked.ok) throw refused([{ path: "/activity", problem: "is not a muscle" }]);
  return { hits: exerciseSearch(catalogue.index, readQuery(asked)), muscle: checked.value };
}

/** Tells why a variant is not for this patient now: a limit's words, null where it is not work of their stage, undefined when it is. */
function hindranceFor(
  { file, book }: LoadedCase,
  { index }: ClinicCatalogue,
): (hit: ExerciseHit) => string | null | undefined {
  const stage = stageOf(file.pathway, moveInForce(file).stage);
  const today = localDay(file.asOf, file.zone);
  const obstacle = obstacleUnder(limitsOf(file, stage), today, book());
  const need = index.stageNeeds.find((n) => n.pathway === file.pathway.code && n.stage === stage.code);
  const suitsStage = need && suitsUnder(need);
  return ({ exercise, variant }) => {
    const limit = obstacle(firstPrescription(variant), variant, exercise);
    if (limit) return limit.says;
    return !suitsStage || suitsStage(exercise, variant, exercise.lane) ? undefined : null;
  };
}

/** For whom a library is filtered: who, which side, how tall, at which stage. */
export function patientOf(staff: StaffContext, loaded: LoadedCase): LibraryPatient {
  const { head, file } = loaded;
  const stage = stageOf(file.pathway, moveInForce(file).stage);
  return {
    episodeId: head.id,
    person: patientName(loaded),
    involvedSide: head.involvedSide,
    heightM: measuredHeight(file),
    pathway: file.pathway.code,
    stage: stage.code,
    stageName: stage.name,
    maySign: signingRoles.includes(staff.role),
    inPlan: file.items.filter((item) => item.endedAt === undefined).map((item) => item.exerciseId),
  };
}

function answer(
  catalogue: ClinicCatalogue,
  hits: readonly ExerciseHit[],
  muscle: MuscleCode | null,
  patient: LibraryPatient | null,
  leftOut: LibraryAnswer["leftOut"],
  near: LibraryAnswer["nearest"],
): LibraryAnswer {
  const groups = new Map<string, ExerciseHit[]>();
  for (const hit of hits) groups.set(hit.exercise.id, [...(groups.get(hit.exercise.id) ?? []), hit]);
  const rows = muscle
    ? activationRanking(catalogue.exercises, { muscle, thresholdPercent: enoughPercent }).rows
    : [];
  const exercises = [...groups.values()].flatMap((group): LibraryEntry[] => {
    const [first] = group;
    if (!first) return [];
    const { exercise } = first;
    // The middle of a progression shows best what the exercise is.
    const shown = group[Math.floor((group.length - 1) / 2)] ?? first;
    return [
      {
        exerciseId: exercise.id,
        name: exercise.name,
        lane: exercise.lane,
        own: catalogue.own.has(exercise.id),
        drawnLike: exercise.drawnLike ?? null,
        variants: group.map(({ variant }) => ({ variantId: variant.id, name: variant.name })),
        shown: firstPrescription(shown.variant),
        position: shown.variant.position,
        kit: shown.variant.kit,
        activity: rows
          .filter((row) => row.exerciseId === exercise.id)
          .map(({ exerciseId: _same, ...row }) => row),
      },
    ];
  });
  const strongest = ({ activity }: LibraryEntry) => Math.max(-1, ...activity.map((row) => row.meanPercent));
  return {
    exercises: muscle ? exercises.sort((a, b) => strongest(b) - strongest(a)) : exercises,
    variantCount: hits.length,
    muscle,
    patient,
    leftOut,
    nearest: near,
  };
}

/** What comes nearest to the words of a search that found nothing at all. */
function nearest(
  { index }: ClinicCatalogue,
  hits: readonly ExerciseHit[],
  params: URLSearchParams,
): LibraryAnswer["nearest"] {
  const text = params.get("text")?.trim();
  if (hits.length > 0 || !text) return [];
  return nearestTo(index, text, nearestAtMost).map(({ exercise: { id, name } }) => ({
    exerciseId: id,
    name,
  }));
}
