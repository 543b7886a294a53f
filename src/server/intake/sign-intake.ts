import { v7 as uuid } from "uuid";
import { personalLimits } from "~/core/intake/intake";
import type { IntakeBody, IntakeWritten } from "~/contract/intake";
import type { FieldProblem } from "~/core/schema/field-problem";
import type { Placing } from "~/core/intake/placing";
import { stageOf, type Pathway } from "~/core/pathway/pathway";
import { firstPrescription, type Exercise } from "~/core/exercise/exercise";
import { obstacle } from "~/core/limit/obstacle";
import { sayPlacingReason } from "~/messages/placing";
import { writeAudit } from "~/server/audit/audit-repository";
import type { StaffContext } from "~/server/staff-context";
import { now } from "~/server/clock";
import { pool, type Connection } from "~/server/db/connection";
import { isDuplicate } from "~/server/db/away";
import { inTransaction } from "~/server/db/transaction";
import { attachDefinitions, storeDefinition } from "~/server/case/definition-repository";
import { findEpisode, insertEpisode } from "~/server/case/episode-repository";
import { insertPerson } from "~/server/case/person-repository";
import type { Trail } from "~/server/facts/trail";
import { isKnownTwin, type Sent } from "~/server/receipt/known-twin";
import { keepReceipt } from "~/server/receipt/receipt-repository";
import { circumstances } from "~/server/facts/circumstances";
import { events } from "~/server/facts/events";
import { intakes } from "~/server/facts/intakes";
import { signalClearances } from "~/server/facts/signal-clearances";
import { signals } from "~/server/facts/signals";
import { items as itemFacts } from "~/server/facts/items";
import { passings } from "~/server/facts/passings";
import { prescriptions } from "~/server/facts/prescriptions";
import { schools } from "~/server/facts/schools";
import { appendFact, type Writing } from "~/server/facts/sql";
import { stageMoves } from "~/server/facts/stage-moves";
import { refused } from "~/server/http/problem";
import { loadEpisode } from "~/server/case/load-episode";
import { haltsOf } from "~/core/case/stops";
import { dropDraft } from "./draft-repository";
import { measuresUsed, storeBaseline } from "./baseline";
import { flagsEverTicked, type FlagTick } from "./flag-ticks";
import { checkIntake, surgeryCodes, surgeryLimits, type CheckedIntake } from "./propose-placing";
import { legProblems } from "~/core/exercise/leg-problems";
import type { Prescription } from "~/core/exercise/prescription";

interface SignedItem {
  readonly id: string;
  readonly exercise: Exercise;
  readonly prescription: Prescription;
}

/**
 * Signs an intake: person, episode, limits, stage and plan come into being together or not at all. Sent twice with one id it
 * is written once.
 */
export async function signIntake(staff: StaffContext, body: IntakeBody): Promise<IntakeWritten> {
  try {
    return await writeIntake(staff, body);
  } catch (error) {
    // A twin of this call was faster: the episode is there, and was written whole. What it said is compared once more.
    if (isDuplicate(error) && (await findEpisode(pool(), staff.clinicId, body.id)))
      return writeIntake(staff, body);
    throw error;
  }
}

function writeIntake(staff: StaffContext, body: IntakeBody): Promise<IntakeWritten> {
  const at = now();
  const { clinicId } = staff;
  const sent: Sent = { id: body.id, kind: "intakes", episodeId: body.id, body };
  return inTransaction(async (db) => {
    const twin = await isKnownTwin(db, staff.clinicId, sent);
    if (twin || (await findEpisode(db, staff.clinicId, body.id))) return { id: body.id, repeated: true };
    const checked = await checkIntake(staff, body.intake, at, db);
    const ticked = await untickedFlags(db, clinicId, body);
    if (body.beside !== undefined) await refuseWhileHalted(db, staff, body.beside, at);
    const items = chosenItems(body, checked);
    const trail: Trail = [];
    const w: Writing = { clinicId, staffId: staff.staffId, episodeId: body.id, at, trail };
    await store(db, staff, body, checked, items, w);
    await keepUnticked(db, w, body, ticked);
    await keepReceipt(db, staff, sent, at);
    await dropDraft(db, staff.clinicId, body.id);
    await writeAudit(
      db,
      staff,
      { action: "sign-intake", kind: "episode", id: body.id, episodeId: body.id, wrote: trail },
      at,
    );
    return { id: body.id, repeated: false };
  });
}

/** The red flags that were ticked and are not any more. @throws ApiProblem 422 for one without a reason */
async function untickedFlags(
  db: Connection,
  clinicId: string,
  { id, intake }: IntakeBody,
): Promise<FlagTick[]> {
  const ticked = await flagsEverTicked(db, clinicId, id);
  const said = new Set((intake.unticked ?? []).map(({ code }) => code));
  const silent = ticked.filter(({ code }) => !said.has(code));
  if (silent.length > 0) {
    throw refused(
      silent.map(({ code, by }) => ({
        path: "/intake/unticked",
        problem: `says nothing of ${code}, which ${by} had ticked: say why it is not so`,
      })),
    );
  }
  return ticked;
}

/** What was ticked and unticked stands in the record as a signal that was raised and cleared, with who and why. */
async function keepUnticked(
  db: Connection,
  w: Writing,
  { intake }: IntakeBody,
  ticked: readonly FlagTick[],
): Promise<void> {
  for (const { code, at: occurredAt, by } of ticked) {
    const id = uuid();
    const note = `Ticked at intake by ${by}`;
    const reason = intake.unticked?.find((entry) => entry.code === code)?.reason.trim() ?? "";
    await appendFact(db, w, signals, { id, code, note, occurredAt, at: w.at });
    await appendFact(db, w, signalClearances, { id: uuid(), signalId: id, reason, at: w.at });
  }
}

/** A signal that halts everything belongs to the person: it keeps a second episode from beginning as well. */
async function refuseWhileHalted(
  db: Connection,
  staff: StaffContext,
  beside: string,
  at: string,
): Promise<void> {
  if (!(await findEpisode(db, staff.clinicId, beside))) throw refused([strangerProblem]);
  const { file } = await loadEpisode(staff, beside, db, at);
  if (haltsOf(file).length === 0) return;
  const problem = "has an open stop signal: it is cleared in writing before anything begins";
  throw refused([{ path: "/beside", problem }]);
}

const reasonLetters = 10;

/** Whether the stage signed lies beyond the one proposed: that goes past a gate which is not open. */
const goesPast = (stage: string, { stages }: Pathway, placing: Placing) =>
  stages.findIndex(({ code }) => code === stage) > stages.findIndex(({ code }) => code === placing.stage);

/** Another stage than the one proposed needs a reason; a later one a reason in words, and no operation still to come. */
function stageProblems({ stage, reason }: IntakeBody, pathway: Pathway, placing: Placing): FieldProblem[] {
  if (stage === placing.stage) return [];
  if (!reason) return [{ path: "/reason", problem: "is needed for another stage than the one proposed" }];
  if (!goesPast(stage, pathway, placing)) return [];
  const before = pathway.stages.find(({ code }) => code === placing.stage)?.beforeSurgery === true;
  if (before) return [{ path: "/stage", problem: "comes after the operation, which has not been done" }];
  const isShort = reason.trim().length < reasonLetters;
  return isShort
    ? [
        {
          path: "/reason",
          problem: `is short for a stage whose gate is not met: at least ${reasonLetters} letters, kept for ever`,
        },
      ]
    : [];
}

function chosenItems(
  body: IntakeBody,
  { pathway, catalogue, placing, today, book, known }: CheckedIntake,
): SignedItem[] {
  const problems: FieldProblem[] = [];
  const stage = pathway.stages.find((candidate) => candidate.code === body.stage);
  if (!stage) throw refused([{ path: "/stage", problem: "is not a stage of this pathway" }]);
  problems.push(...stageProblems(body, pathway, placing));
  const limits = [
    ...body.intake.limits,
    ...personalLimits(body.intake),
    ...known,
    ...stageOf(pathway, body.stage).limits,
  ];
  const items = body.items.flatMap(({ id, exerciseId, variantId, sets, leg }, i): SignedItem[] => {
    const path = `/items/${i}`;
    const exercise = catalogue.exercises.find((candidate) => candidate.id === exerciseId);
    const variant = exercise?.variants.find((candidate) => candidate.id === variantId);
    if (!exercise || !variant) {
      problems.push({ path: `${path}/exerciseId`, problem: "is not in this clinic's catalogue" });
      return [];
    }
    if (body.items.findIndex((other) => other.exerciseId === exerciseId) < i)
      problems.push({ path: `${path}/exerciseId`, problem: "stands twice" });
    const first = firstPrescription(variant, leg);
    problems.push(...legProblems(exercise, first, body.intake.involvedSide === "both", `${path}/leg`));
    const stop = obstacle(first, variant, exercise, limits, today, book);
    if (stop) problems.push({ path: `${path}/variantId`, problem: `is blocked: ${stop.says}` });
    const prescription = sets === undefined ? first : { ...first, dose: { ...first.dose, sets } };
    return [{ id, exercise, prescription }];
  });
  if (problems.length > 0) throw refused(problems);
  return items;
}

async function store(
  db: Connection,
  staff: StaffContext,
  body: IntakeBody,
  { pathway, placing, today, results }: CheckedIntake,
  items: readonly SignedItem[],
  w: Writing,
): Promise<void> {
  const { intake, id: episodeId } = body;
  const { clinicId, staffId } = staff;
  const { at } = w;
  const personId = await personOf(db, clinicId, body, at);
  const define = (kind: "exercise" | "measure" | "pathway", code: string, definition: object) =>
    storeDefinition(db, clinicId, { kind, code, body: definition }, at);
  const pathwayHash = await define("pathway", pathway.code, pathway);
  const hashes = [pathwayHash];
  for (const { exercise } of items) hashes.push(await define("exercise", exercise.id, exercise));
  for (const measure of measuresUsed(pathway, results))
    hashes.push(await define("measure", measure.code, measure));

  await insertEpisode(db, clinicId, {
    id: episodeId,
    personId,
    region: pathway.region ?? "groin",
    diagnosis: intake.diagnosis,
    involvedSide: intake.involvedSide,
    onsetOn: intake.onsetOn,
    surgeryOn: intake.surgery?.on,
    graft: intake.surgery?.graft,
    targetOn: intake.targetOn,
    pathwayHash,
    startedAt: at,
    heldBy: staffId,
  });
  await attachDefinitions(db, clinicId, episodeId, hashes);
  const reason = body.reason?.trim() ?? placing.reasons.map(sayPlacingReason).join(" ");
  const isPast = goesPast(body.stage, pathway, placing);
  await appendFact(db, w, stageMoves, {
    id: uuid(),
    at,
    stage: body.stage,
    reason: `Placed at intake: ${reason}`,
    // Beyond what was proposed is past a closed gate, and stays on record as that, with what was not met.
    kind: isPast ? "override" : "place",
    ...(isPast && placing.gate ? { gate: placing.gate } : {}),
  });
  if (intake.school)
    await appendFact(db, w, schools, { id: uuid(), at, school: intake.school, reason: "Set at intake" });
  if (staff.habits.passing !== null) {
    const { passing } = staff.habits;
    await appendFact(db, w, passings, { id: uuid(), at, passing, reason: "As this clinic does" });
  }
  if (intake.surgery && intake.surgery.on <= today) {
    const { on, graft } = intake.surgery;
    await appendFact(db, w, events, {
      id: uuid(),
      at,
      kind: "operation",
      on,
      procedures: surgeryCodes(intake.surgery),
      ...(graft === undefined ? {} : { graft }),
      limits: surgeryLimits(intake, today),
      reason: `As taken at intake: ${intake.surgery.procedure}`,
    });
  }
  const { limits, reachesFloor, daysPerWeek, minutesPerDay, kit, cannotPositions } = intake;
  await appendFact(db, w, circumstances, {
    id: uuid(),
    at,
    circumstances: { limits, reachesFloor, daysPerWeek, minutesPerDay, kit, cannotPositions },
    reason: "As taken at intake",
  });
  for (const [position, { id, exercise, prescription }] of items.entries()) {
    const { id: exerciseId, lane } = exercise;
    await appendFact(db, w, itemFacts, { id, exerciseId, lane, position, createdAt: at });
    await appendFact(db, w, prescriptions, { id: uuid(), itemId: id, from: at, prescription });
  }
  await storeBaseline(db, w, intake.baseline?.takenOn, results);
  await appendFact(db, w, intakes, { id: uuid(), at, intake, placing });
}

const strangerProblem: FieldProblem = { path: "/beside", problem: "is not an episode of this clinic" };

/** Who the episode is for: the person of the episode it stands beside, or a new one. */
async function personOf(db: Connection, clinicId: string, body: IntakeBody, at: string): Promise<string> {
  if (body.beside === undefined) {
    const id = uuid();
    await insertPerson(db, clinicId, { id, ...body.intake.person, at });
    return id;
  }
  const other = await findEpisode(db, clinicId, body.beside);
  if (!other) throw refused([strangerProblem]);
  return other.personId;
}
