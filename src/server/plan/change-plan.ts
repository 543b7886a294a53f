import { v7 as uuid } from "uuid";
import { prescriptionProblems } from "~/core/progression/prescription-problems";
import { amountsOfDose, mostOf } from "~/core/dose/amounts";
import { planTotals } from "~/core/progression/plan-totals";
import { countedItem } from "~/core/progression/counted-item";
import { doneBefore } from "~/core/case/done-before";
import { arrangedItems } from "~/core/case/arranged";
import { limitsOf, prescriptionInForce } from "~/core/case/in-force";
import { haltsOf } from "~/core/case/stops";
import { circumstanceProblems } from "~/core/intake/intake";
import type { CircumstancesBody, EndingBody, ItemBody, PlanWritten, PutBackBody } from "~/contract/plan";
import type { FieldProblem } from "~/core/schema/field-problem";
import { stageOf } from "~/core/pathway/pathway";
import { firstPrescription, type Exercise, type Variant } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import type { ItemRole } from "~/core/exercise/role";
import { sameSetting } from "~/core/exercise/same-setting";
import { obstacle } from "~/core/limit/obstacle";
import { isBinding, type Restriction } from "~/core/limit/restriction";
import { localDay } from "~/core/schedule/local-day";
import type { StaffContext } from "~/server/staff-context";
import { clinicCatalogue } from "~/server/catalogue/clinic-catalogue";
import { attachDefinitions, storeDefinition } from "~/server/case/definition-repository";
import type { Fact, WriteScope } from "~/server/write/write-into";
import { circumstances } from "~/server/facts/circumstances";
import { endings } from "~/server/facts/endings";
import { returns } from "~/server/facts/returns";
import { items } from "~/server/facts/items";
import { prescriptions } from "~/server/facts/prescriptions";
import { appendFact } from "~/server/facts/sql";
import { refused } from "~/server/http/problem";
import type { LoadedCase } from "~/server/case/make-case";
import { sayPlanTotal } from "~/messages/plan-totals";
import { askIfMeant, type Typed } from "~/server/write/meant-so";
import { countedItems } from "./read-plan";
import { lastPlanAct } from "./last-plan-act";
import { writePlan } from "./write-plan";
import { sidesOf } from "~/core/exercise/sides-of";

/**
 * Puts an exercise of the clinic's catalogue into a patient's plan. An exercise that the episode has used before is
 * taken in the version it began with. Against a limit that is neither the surgeon's nor a procedure's it goes with a written
 * reason, which stays with it; against those only by changing the limit.
 */
export function addItem(staff: StaffContext, episodeId: string, body: ItemBody): Promise<PlanWritten> {
  const fact: Fact = { of: "items", body, action: "add-item" };
  return writePlan(staff, episodeId, fact, async (scope) => {
    const { db, writing, loaded } = scope;
    const { file } = loaded;
    const attached = file.exercises.find((exercise) => exercise.id === body.exerciseId);
    const { exercises } = await clinicCatalogue(staff.clinicId, db);
    const exercise = attached ?? exercises.find((candidate) => candidate.id === body.exerciseId);
    if (!exercise) throw refused([{ path: "/exerciseId", problem: "is not in this clinic's catalogue" }]);
    const variant = exercise.variants.find((candidate) => candidate.id === body.variantId);
    if (!variant) throw refused([{ path: "/variantId", problem: "is not a variant of this exercise" }]);
    const prescription = prescribed(variant, body);
    const barred = limitsInTheWay(loaded, exercise, variant, prescription);
    const problems = [
      ...prescriptionProblems(exercise, prescription, file.episode.involvedSide === "both"),
      ...planProblems(scope, exercise, prescription, body.role),
    ];
    if (problems.length > 0) throw refused(problems);
    const reason = body.against?.trim();
    const isAgainst = barred.length > 0 && reason !== undefined && !barred.some(isBinding);
    if (barred.length > 0 && !isAgainst)
      throw againstLimits(barred, legsLeft(loaded, exercise, variant, prescription));
    const typed: Typed[] = [];
    if (body.dose) {
      const before = mostOf([amountsOfDose(variant.dose), doneBefore(file, exercise.id)]);
      typed.push({ now: amountsOfDose(body.dose), before, pathOf: (key) => `/dose/${key}` });
    }
    askIfMeant(typed, file, body.meant, totalsPassed(loaded, exercise, prescription));
    if (!attached) {
      const definition = { kind: "exercise", code: exercise.id, body: exercise } as const;
      const hash = await storeDefinition(db, staff.clinicId, definition, writing.at);
      await attachDefinitions(db, staff.clinicId, episodeId, [hash]);
    }
    const { id: exerciseId, lane } = exercise;
    const position = file.items.length;
    const { at } = writing;
    await appendFact(db, writing, items, {
      id: body.id,
      exerciseId,
      lane,
      position,
      createdAt: at,
      ...(body.role && body.role !== "main" ? { role: body.role } : {}),
      ...(isAgainst
        ? { against: barred.map(({ says, origin }) => ({ says, origin })), againstReason: reason }
        : {}),
    });
    await appendFact(db, writing, prescriptions, { id: uuid(), itemId: body.id, from: at, prescription });
  });
}

/** Takes an item out of the plan, with the reason; its record stays. */
export function endItem(staff: StaffContext, episodeId: string, body: EndingBody): Promise<PlanWritten> {
  const fact: Fact = { of: "endings", body, action: "end-item" };
  return writePlan(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const item = loaded.file.items.find((candidate) => candidate.id === body.itemId);
    if (!item || item.endedAt !== undefined) {
      throw refused([{ path: "/itemId", problem: "is not in this patient's plan" }]);
    }
    await appendFact(db, writing, endings, { ...body, reason: body.reason.trim(), at: writing.at });
  });
}

/** Puts back what the last act took out of the plan, as it was; both stay in the record. */
export function putBackItem(staff: StaffContext, episodeId: string, body: PutBackBody): Promise<PlanWritten> {
  const fact: Fact = { of: "returns", body, action: "put-back-item" };
  return writePlan(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const last = lastPlanAct(loaded);
    const ending = loaded.parts.endings.findLast(({ itemId }) => itemId === body.itemId);
    if (!ending || last?.act !== "taken-out" || last.itemId !== body.itemId) {
      const problem = "cannot be put back: something was written since. Put it into the plan anew";
      throw refused([{ path: "/itemId", problem }]);
    }
    await appendFact(db, writing, returns, { id: body.id, endingId: ending.id, at: writing.at });
  });
}

/** Sets what the plan must fit into from now on; items that no longer fit stay, and say what they break. */
export function setCircumstances(
  staff: StaffContext,
  episodeId: string,
  body: CircumstancesBody,
): Promise<PlanWritten> {
  const fact: Fact = { of: "circumstances", body, action: "set-circumstances" };
  return writePlan(staff, episodeId, fact, async ({ db, writing }) => {
    const problems = circumstanceProblems(body.circumstances);
    if (problems.length > 0) {
      throw refused(problems.map(({ path, problem }) => ({ path: `/circumstances${path}`, problem })));
    }
    await appendFact(db, writing, circumstances, {
      ...body,
      reason: body.reason.trim(),
      at: writing.at,
    });
  });
}

function prescribed(variant: Variant, { settings, dose, leg }: ItemBody): Prescription {
  const first = firstPrescription(variant, leg);
  return { ...first, settings: { ...first.settings, ...settings }, dose: dose ?? first.dose };
}

const haltedProblem: FieldProblem = {
  path: "/exerciseId",
  problem: "cannot be added: a stop signal is open. It is cleared in writing first",
};

function planProblems(
  { loaded: { file } }: WriteScope,
  exercise: Exercise,
  prescription: Prescription,
  role: ItemRole = "main",
): FieldProblem[] {
  if (haltsOf(file).length > 0) return [haltedProblem];
  const already = arrangedItems(file).some(
    (entry) =>
      entry.item.exerciseId === exercise.id &&
      entry.role === role &&
      sameSetting(prescriptionInForce(entry.item, file.asOf).prescription, prescription),
  );
  return already ? [{ path: "/exerciseId", problem: "is in the plan already with this setting" }] : [];
}

/** Every limit in force that a prescription would break, the surgeon's and a procedure's first. */
function limitsInTheWay(
  loaded: WriteScope["loaded"],
  exercise: Exercise,
  variant: Variant,
  prescription: Prescription,
): Restriction[] {
  const { file } = loaded;
  const today = localDay(file.asOf, file.zone);
  const found: Restriction[] = [];
  let limits = limitsOf(file, stageOf(file.pathway, loaded.review().stage));
  for (;;) {
    const stop = obstacle(prescription, variant, exercise, limits, today, loaded.book());
    if (!stop) return found;
    found.push(stop);
    limits = limits.filter((limit) => limit !== stop);
  }
}

/** Sums of the plan that this exercise takes beyond what is usual, minutes apart: those are shown, and shortened by hand. */
function totalsPassed(loaded: LoadedCase, exercise: Exercise, prescription: Prescription): FieldProblem[] {
  const { circumstances } = loaded;
  const present = countedItems(loaded);
  const minutes = circumstances?.minutesPerDay ?? null;
  const before = new Set(planTotals(present, minutes).map(({ code }) => code));
  return planTotals([...present, countedItem(exercise, prescription, loaded.book())], minutes)
    .filter(({ code }) => code !== "minutes" && !before.has(code))
    .map((total) => ({ path: "/dose", problem: sayPlanTotal(total) }));
}

/** The leg that may do alone what both in turn may not; empty where neither may, or the legs share the work. */
function legsLeft(
  loaded: LoadedCase,
  exercise: Exercise,
  variant: Variant,
  prescription: Prescription,
): ("affected" | "other")[] {
  if (loaded.file.episode.involvedSide === "both" || sidesOf(exercise, prescription) !== "each-side")
    return [];
  return (["affected", "other"] as const).filter(
    (leg) => limitsInTheWay(loaded, exercise, variant, { ...prescription, leg }).length === 0,
  );
}

/** What stands in the way, whether a clinician may go against it with a written reason, and the leg that may do it alone. */
function againstLimits(barred: readonly Restriction[], legs: readonly string[]): Error {
  const binding = barred.filter(isBinding);
  const named = binding.length > 0 ? binding : barred;
  const problems = named.map(({ says }) => ({ path: "/variantId", problem: `is blocked: ${says}` }));
  const changed = {
    ...(binding.length > 0 ? {} : { against: barred.map(({ says }) => says) }),
    ...(legs.length > 0 ? { legs } : {}),
  };
  return refused(problems, Object.keys(changed).length > 0 ? { changed } : {});
}
