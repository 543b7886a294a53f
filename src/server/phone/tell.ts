import type { PhoneMorningBody, PhoneSessionBody, PhoneSignalBody, PhoneWritten } from "~/contract/phone";
import { sidesOf } from "~/core/exercise/sides-of";
import { needsExercise } from "~/core/intake/stop-signal";
import { happenedAt } from "~/core/schedule/happened-at";
import { localDay } from "~/core/schedule/local-day";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import { setProblems } from "~/core/session/session-problems";
import { prescriptionInForce } from "~/core/case/in-force";
import { now } from "~/server/clock";
import type { LoadedCase } from "~/server/case/make-case";
import { reports } from "~/server/facts/reports";
import { sessions } from "~/server/facts/sessions";
import { sets, setsOf } from "~/server/facts/sets";
import { signals } from "~/server/facts/signals";
import { appendFact, appendFacts } from "~/server/facts/sql";
import type { FactName } from "~/server/facts/all";
import { refused } from "~/server/http/problem";
import { appendInto, type WriteScope } from "~/server/write/write-into";
import type { PhoneContext } from "~/server/phone-context";

interface Told {
  readonly id: string;
  readonly occurredAt: string;
  readonly sentAt: string;
}

/**
 * Writes what a phone tells: each thing once, however often and in whatever order it comes, and whether the plan rests by now or
 * has changed. When it happened is counted back from its arrival; what the phone's own clock said stays with what was received.
 */
async function tell<B extends Told>(
  phone: PhoneContext,
  of: FactName,
  action: string,
  { sentAt, ...body }: B,
  append: (scope: WriteScope, happened: string) => Promise<void>,
): Promise<PhoneWritten> {
  const receivedAt = now();
  const occurredAt = happenedAt({ occurredAt: body.occurredAt, sentAt, receivedAt });
  const { repeated } = await appendInto(
    phone,
    phone.episodeId,
    { of, action, body, evenResting: true },
    (scope) => append(scope, occurredAt),
  );
  return { id: body.id, repeated };
}

/** What was done alone. It counts for the setting that held when it was done, also of an exercise that has left the plan since. */
export function tellSession(phone: PhoneContext, body: PhoneSessionBody): Promise<PhoneWritten> {
  return tell(phone, "sessions", "tell-session", body, async ({ db, writing, loaded }, at) => {
    const problems = [...beforeInjury(at, loaded), ...itemProblems(body, at, loaded)];
    if (problems.length > 0) throw refused(problems);
    const { id, painBefore, minutes, items, skipped = [] } = body;
    const session = {
      id,
      painBefore,
      ...(minutes === undefined ? {} : { minutes }),
      ...(skipped.length > 0 ? { skipped } : {}),
    };
    await appendFact(db, writing, sessions, { ...session, at, receivedAt: writing.at, alone: true });
    await appendFacts(db, writing, sets, setsOf({ id, items }));
  });
}

function beforeInjury(at: string, { file }: LoadedCase): FieldProblem[] {
  if (localDay(at, file.zone) >= file.episode.onsetOn) return [];
  return [{ path: "/occurredAt", problem: `lies before the injury (${file.episode.onsetOn})` }];
}

function itemProblems(
  { items, skipped = [] }: PhoneSessionBody,
  at: string,
  { file }: LoadedCase,
): FieldProblem[] {
  const unknown = skipped.flatMap(({ itemId }, i) =>
    problemIf(
      !file.items.some(({ id }) => id === itemId),
      `/skipped/${i}/itemId`,
      "is not an exercise of this plan",
    ),
  );
  const wrong = items.flatMap(({ itemId, sets: done }, i) => {
    const item = file.items.find(({ id }) => id === itemId);
    const exercise = file.exercises.find(({ id }) => id === item?.exerciseId);
    if (!item || !exercise)
      return [{ path: `/items/${i}/itemId`, problem: "is not an exercise of this plan" }];
    if (items.findIndex((other) => other.itemId === itemId) < i)
      return [{ path: `/items/${i}/itemId`, problem: "stands twice in this session" }];
    const { prescription } = prescriptionInForce(item, at);
    const { dose, settings } = prescription;
    const expected = { dose, settings, sides: sidesOf(exercise, prescription) };
    return done.flatMap((set, s) => setProblems(set, expected, `/items/${i}/sets/${s}`));
  });
  return [...unknown, ...wrong];
}

/**
 * How the morning after was. It is kept also where nothing of that day has arrived: its session may lie on another phone; without
 * one it is judged of nothing.
 */
export function tellMorning(phone: PhoneContext, body: PhoneMorningBody): Promise<PhoneWritten> {
  return tell(phone, "reports", "tell-morning", body, async ({ db, writing, loaded }, occurredAt) => {
    if (localDay(occurredAt, loaded.file.zone) <= body.trainingDate) {
      throw refused([{ path: "/trainingDate", problem: "is not over: the report is for the next morning" }]);
    }
    const problems = beforeInjury(occurredAt, loaded);
    if (problems.length > 0) throw refused(problems);
    const { sentAt: _sent, ...report } = body;
    await appendFact(db, writing, reports, { ...report, occurredAt, receivedAt: writing.at });
  });
}

/**
 * That something is wrong: it suspends what its kind suspends until somebody of the clinic clears it in writing. No clock keeps a sign
 * from being taken: what a clock that was set meanwhile puts before the injury counts from its arrival.
 */
export function tellSignal(phone: PhoneContext, body: PhoneSignalBody): Promise<PhoneWritten> {
  return tell(phone, "signals", "tell-signal", body, async ({ db, writing, loaded }, happened) => {
    const { file } = loaded;
    const { id, code, itemId } = body;
    if (itemId !== undefined && !file.items.some((item) => item.id === itemId))
      throw refused([{ path: "/itemId", problem: "is not an exercise of this plan" }]);
    if (itemId === undefined && needsExercise(code))
      throw refused([{ path: "/itemId", problem: "is needed: say in which exercise it was" }]);
    const signal = { id, code, ...(itemId === undefined ? {} : { itemId }) };
    const occurredAt = beforeInjury(happened, loaded).length > 0 ? writing.at : happened;
    await appendFact(db, writing, signals, { ...signal, occurredAt, at: writing.at });
  });
}
