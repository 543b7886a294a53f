import { v7 as uuid } from "uuid";
import type { Recorded, SessionBody } from "~/contract/daily";
import type { FieldProblem } from "~/core/schema/field-problem";
import { firstPrescription } from "~/core/exercise/exercise";
import { sidesOf } from "~/core/exercise/sides-of";
import { localDay } from "~/core/schedule/local-day";
import { leastSeconds, setProblems } from "~/core/session/session-problems";
import type { StaffContext } from "~/server/staff-context";
import { clinicCatalogue } from "~/server/catalogue/clinic-catalogue";
import { pool, type Connection } from "~/server/db/connection";
import { log } from "~/server/http/log";
import { refused } from "~/server/http/problem";
import { amountsOfSets } from "~/core/dose/amounts";
import { doneBefore } from "~/core/case/done-before";
import { askIfMeant, type Typed } from "~/server/write/meant-so";
import type { LoadedCase } from "~/server/case/make-case";
import { attachDefinitions, storeDefinition } from "~/server/case/definition-repository";
import { endings } from "~/server/facts/endings";
import { items } from "~/server/facts/items";
import { prescriptions } from "~/server/facts/prescriptions";
import { sessions } from "~/server/facts/sessions";
import { sets, setsOf } from "~/server/facts/sets";
import { appendFact, appendFacts, type Writing } from "~/server/facts/sql";
import { dropSessionDraft } from "./session-draft-repository";
import { appendInto } from "~/server/write/write-into";

const clockSkewMs = 2 * 60_000;

/**
 * Records a session. Sending it twice with one id gives one row and the same answer. Exercises outside the plan become
 * items that have left it at once: kept in the record, not judged. A session that corrects another takes its place.
 */
export async function recordSession(
  staff: StaffContext,
  episodeId: string,
  body: SessionBody,
): Promise<Recorded> {
  const fact = { of: "sessions", body, action: "record-session" } as const;
  const { repeated } = await appendInto(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const unplanned = await findUnplanned(staff, body, loaded, db);
    const problems = [
      ...timeProblems(body, loaded, writing.at),
      ...itemProblems(body, loaded),
      ...unplanned.flatMap((found) => found.problems),
      ...wholeProblems(body, loaded),
    ];
    if (problems.length > 0) throw refused(problems);
    askIfMeant(typedAmounts(body, loaded), loaded.file, body.meant);
    for (const [n, found] of unplanned.entries()) {
      await insertUnplanned(db, writing, found, loaded.file.items.length + n);
    }
    const { items: planned, unplanned: others = [], occurredAt, meant: _asked, ...session } = body;
    await appendFact(db, writing, sessions, { ...session, at: occurredAt, receivedAt: writing.at });
    await appendFacts(db, writing, sets, setsOf({ id: body.id, items: [...planned, ...others] }));
  });
  // Nobody waits for that: a draft of what is recorded is passed over from now on.
  dropSessionDraft(pool(), staff.clinicId, episodeId, body.id).catch((error: unknown) =>
    log.warn({ error: String((error as Error).message) }, "a draft that is over was left"),
  );
  return { id: body.id, repeated };
}

function timeProblems(body: SessionBody, { file }: LoadedCase, at: string): FieldProblem[] {
  const path = "/occurredAt";
  if (Date.parse(body.occurredAt) > Date.parse(at) + clockSkewMs)
    return [{ path, problem: "lies in the future" }];
  if (localDay(body.occurredAt, file.zone) < file.episode.onsetOn) {
    return [{ path, problem: `lies before the injury (${file.episode.onsetOn})` }];
  }
  return [];
}

/** What is wrong with the session as a whole: nothing in it, too little time for its work, a correction of nothing. */
function wholeProblems(body: SessionBody, { file }: LoadedCase): FieldProblem[] {
  const problems: FieldProblem[] = [];
  const worked = [...body.items, ...(body.unplanned ?? [])];
  if (worked.length === 0)
    problems.push({ path: "/items", problem: "is empty: record at least one exercise" });
  const least = Math.ceil(leastSeconds(worked.flatMap(({ sets }) => sets)) / 60);
  if (body.minutes !== undefined && least > body.minutes) {
    problems.push({
      path: "/minutes",
      problem: `is less than the ${least} minutes that this work takes at least`,
    });
  }
  const corrected = file.sessions.some((session) => session.supersedes === body.supersedes);
  const known = file.sessions.some((session) => session.id === body.supersedes);
  if (body.supersedes !== undefined && (!known || corrected)) {
    const problem = known ? "has been corrected already" : "is not a session of this patient";
    problems.push({ path: "/supersedes", problem });
  }
  return problems;
}

function itemProblems(body: SessionBody, { file }: LoadedCase): FieldProblem[] {
  const seen = new Set<string>();
  return body.items.flatMap(({ itemId, sets }, i) => {
    const path = `/items/${i}`;
    const item = file.items.find((candidate) => candidate.id === itemId);
    const exercise = file.exercises.find((candidate) => candidate.id === item?.exerciseId);
    const prescription = item?.prescriptions.at(-1)?.prescription;
    if (!item || !exercise || !prescription)
      return [{ path: `${path}/itemId`, problem: "is not in this patient's plan" }];
    if (item.endedAt !== undefined && item.endedAt <= body.occurredAt && body.supersedes === undefined)
      return [{ path: `${path}/itemId`, problem: "had left the plan by then" }];
    if (seen.has(itemId)) return [{ path: `${path}/itemId`, problem: "stands twice in this session" }];
    seen.add(itemId);
    const { dose, settings } = prescription;
    const expected = { dose, settings, sides: sidesOf(exercise, prescription) };
    return sets.flatMap((set, s) => setProblems(set, expected, `${path}/sets/${s}`));
  });
}

/** What was typed of every exercise, beside the most that was prescribed or done of it before. */
function typedAmounts(body: SessionBody, { file }: LoadedCase): Typed[] {
  const planned = body.items.map(({ itemId, sets }, i) => ({
    exerciseId: file.items.find(({ id }) => id === itemId)?.exerciseId ?? "",
    sets,
    path: `/items/${i}/sets`,
  }));
  const others = (body.unplanned ?? []).map(({ exerciseId, sets }, i) => ({
    exerciseId,
    sets,
    path: `/unplanned/${i}/sets`,
  }));
  return [...planned, ...others].map(({ exerciseId, sets, path }) => ({
    now: amountsOfSets(sets),
    before: doneBefore(file, exerciseId, body.supersedes),
    pathOf: (key) => {
      if (key === "sets" || key === "contacts") return path;
      const most = Math.max(...sets.map((set) => set[key] ?? 0));
      return `${path}/${sets.findIndex((set) => set[key] === most)}/${key}`;
    },
  }));
}

type Unplanned = Awaited<ReturnType<typeof findUnplanned>>[number];

/** The catalogue's entry of everything that was done outside the plan, with what is wrong about it. */
async function findUnplanned(staff: StaffContext, body: SessionBody, { file }: LoadedCase, db: Connection) {
  if (!body.unplanned?.length) return [];
  const { exercises } = await clinicCatalogue(staff.clinicId, db);
  return body.unplanned.map(({ itemId, exerciseId, variantId, sets }, i) => {
    const path = `/unplanned/${i}`;
    const attached = file.exercises.find((candidate) => candidate.id === exerciseId);
    const exercise = attached ?? exercises.find((candidate) => candidate.id === exerciseId);
    const variant = exercise?.variants.find((candidate) => candidate.id === variantId);
    if (!exercise || !variant) {
      return {
        itemId,
        found: null,
        problems: [{ path: `${path}/variantId`, problem: "is not in this clinic's catalogue" }],
      };
    }
    const sides = sidesOf(exercise, variant);
    const expected = { dose: variant.dose, settings: variant.settings, sides };
    const problems = sets.flatMap((set, s) => setProblems(set, expected, `${path}/sets/${s}`));
    return { itemId, found: { exercise, variant, isAttached: attached !== undefined }, problems };
  });
}

async function insertUnplanned(db: Connection, w: Writing, { itemId, found }: Unplanned, position: number) {
  if (!found) return;
  const { exercise, variant, isAttached } = found;
  if (!isAttached) {
    const definition = { kind: "exercise", code: exercise.id, body: exercise } as const;
    const hash = await storeDefinition(db, w.clinicId, definition, w.at);
    await attachDefinitions(db, w.clinicId, w.episodeId, [hash]);
  }
  const { id: exerciseId, lane } = exercise;
  const prescription = firstPrescription(variant);
  await appendFact(db, w, items, { id: itemId, exerciseId, lane, position, createdAt: w.at });
  await appendFact(db, w, prescriptions, { id: uuid(), itemId, from: w.at, prescription });
  await appendFact(db, w, endings, {
    id: uuid(),
    itemId,
    reason: "Done once, outside the plan",
    at: w.at,
  });
}
