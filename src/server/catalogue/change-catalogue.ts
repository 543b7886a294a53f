import { v5 as uuidOf } from "uuid";
import {
  exerciseFileProblems,
  newExerciseProblems,
  type ExerciseFile,
} from "~/core/progression/exercise-file";
import type { CatalogueWritten, ExerciseBody, ImportBody, RetirementBody } from "~/contract/library";
import type { FieldProblem } from "~/core/schema/field-problem";
import { bookOfBody } from "~/catalogue/demands/book";
import { firstPrescription, type Exercise } from "~/core/exercise/exercise";
import { t } from "~/messages/say";
import { writeAudit } from "~/server/audit/audit-repository";
import type { StaffContext } from "~/server/staff-context";
import { now } from "~/server/clock";
import type { Connection } from "~/server/db/connection";
import { inTransaction } from "~/server/db/transaction";
import { storeDefinition } from "~/server/case/definition-repository";
import { isKnownTwin, type Sent } from "~/server/receipt/known-twin";
import { keepReceipt } from "~/server/receipt/receipt-repository";
import { refused } from "~/server/http/problem";
import {
  hasCatalogueChange,
  insertCatalogueChange,
  raiseCatalogueVersion,
  type CatalogueAction,
} from "./catalogue-repository";
import { clinicCatalogue, type ClinicCatalogue } from "./clinic-catalogue";

interface Change {
  readonly id: string;
  readonly code: string;
  readonly action: CatalogueAction;
  readonly exercise?: Exercise;
  readonly reason?: string;
}

/** Adds an exercise of the clinic's own, or a version of the clinic's own of one that is there. */
export function saveExercise(staff: StaffContext, body: ExerciseBody): Promise<CatalogueWritten> {
  const { id, action, exercise } = body;
  return writeChanges(staff, body, (catalogue) => {
    const problems = [
      ...newExerciseProblems(exercise, "/exercise"),
      ...codeProblem(catalogue, action, exercise.id, "/exercise/id"),
      ...variantIdProblems(catalogue, exercise, "/exercise"),
    ];
    if (problems.length > 0) throw refused(problems);
    return [{ id, code: exercise.id, action, exercise }];
  });
}

/** Takes an exercise out of use, or back into it. Plans and records that have it keep it as it was. */
export function retireExercise(staff: StaffContext, body: RetirementBody): Promise<CatalogueWritten> {
  return writeChanges(staff, body, (catalogue) => {
    const known = exists(catalogue, body.code);
    if (!known) throw refused([{ path: "/code", problem: "is not in this catalogue" }]);
    if (catalogue.retired.has(body.code) === (body.action === "retire")) {
      const state = body.action === "retire" ? "is retired already" : "is in use already";
      throw refused([{ path: "/code", problem: state }]);
    }
    return [{ id: body.id, code: body.code, action: body.action, reason: body.reason.trim() }];
  });
}

/** Takes over a file of exercises, all or none: unknown codes are added, known ones revised. */
export function importExercises(staff: StaffContext, body: ImportBody): Promise<CatalogueWritten> {
  const { id, file } = body;
  return writeChanges(staff, body, (catalogue) => {
    const problems = [
      ...exerciseFileProblems(file, "/file"),
      ...file.exercises.flatMap((e, i) => variantIdProblems(catalogue, e, `/file/exercises/${i}`)),
    ];
    if (problems.length > 0) throw refused(problems.slice(0, 50));
    return file.exercises.map((exercise, n) => ({
      id: n === 0 ? id : uuidOf(exercise.id, id),
      code: exercise.id,
      action: exists(catalogue, exercise.id) ? "revise" : "add",
      exercise,
    }));
  });
}

/** The clinic's own exercises as a file. */
export async function exportExercises(staff: StaffContext): Promise<ExerciseFile> {
  const { exercises, own } = await clinicCatalogue(staff.clinicId);
  return {
    format: "patient-stair-exercises",
    version: 1,
    exercises: exercises.filter((exercise) => own.has(exercise.id)),
  };
}

async function writeChanges(
  staff: StaffContext,
  body: { readonly id: string },
  plan: (catalogue: ClinicCatalogue) => Change[],
): Promise<CatalogueWritten> {
  const at = now();
  const { id } = body;
  const sent: Sent = { id, kind: "catalogue", episodeId: null, body };
  return inTransaction(async (db: Connection) => {
    await raiseCatalogueVersion(db, staff.clinicId);
    await isKnownTwin(db, staff.clinicId, sent);
    if (await hasCatalogueChange(db, staff.clinicId, id))
      return { id, repeated: true, codes: [], unjudged: [] };
    const changes = plan(await clinicCatalogue(staff.clinicId, db));
    for (const { exercise, reason, ...change } of changes) {
      const hash = exercise
        ? await storeDefinition(
            db,
            staff.clinicId,
            { kind: "exercise", code: change.code, body: exercise },
            at,
          )
        : null;
      await insertCatalogueChange(db, { ...staff, at }, { ...change, hash, reason: reason ?? null });
    }
    await keepReceipt(db, staff, sent, at);
    await writeAudit(db, staff, { action: "change-catalogue", kind: "catalogue", id }, at);
    const written = changes.flatMap(({ exercise }) => exercise ?? []);
    return {
      id,
      repeated: false,
      codes: changes.map((change) => change.code),
      unjudged: written.flatMap(unjudged),
    };
  });
}

/** What limits cannot ask of an exercise, since nobody drew it or said it. */
function unjudged(exercise: Exercise): { code: string; says: string }[] {
  const book = bookOfBody({});
  const told = exercise.variants.map((variant) => book.demandOf(exercise, firstPrescription(variant)));
  const isUndrawn = told.some(({ ok }) => !ok);
  const isUnsaid =
    exercise.lane !== "upper-body" &&
    told.some((one, n) => !one.exercise.asks && !exercise.variants[n]?.asks);
  return [...(isUndrawn ? [t("catalogue.undrawn")] : []), ...(isUnsaid ? [t("catalogue.unsaid")] : [])].map(
    (says) => ({ code: exercise.id, says }),
  );
}

function exists({ exercises, retired }: ClinicCatalogue, code: string): boolean {
  return retired.has(code) || exercises.some((exercise) => exercise.id === code);
}

function codeProblem(catalogue: ClinicCatalogue, action: string, code: string, path: string): FieldProblem[] {
  const known = exists(catalogue, code);
  if (action === "add" && known)
    return [{ path, problem: "is taken; revise that exercise or choose another id" }];
  if (action === "revise" && !known) return [{ path, problem: "is not in this catalogue; add it instead" }];
  return [];
}

/** A variant's id names one variant in the whole catalogue. */
function variantIdProblems({ exercises }: ClinicCatalogue, exercise: Exercise, path: string): FieldProblem[] {
  const taken = new Map(
    exercises
      .filter((e) => e.id !== exercise.id)
      .flatMap((e) => e.variants.map((v) => [v.id, e.id] as const)),
  );
  return exercise.variants.flatMap(({ id }, i) => {
    const other = taken.get(id);
    return other ? [{ path: `${path}/variants/${i}/id`, problem: `is taken by the exercise ${other}` }] : [];
  });
}
