import { Type, type Static } from "@sinclair/typebox";
import type { DemandBook } from "~/core/demand/demand-book";
import { Proposal } from "~/core/decision/record/decide-input";
import { caseDays, itemDays, type CaseDay } from "~/core/case/case-days";
import type { CaseFile } from "~/core/case/case-file";
import { knownAt } from "~/core/case/known-at";
import { addDays, localDay } from "~/core/schedule/local-day";
import { instantOfLocal } from "~/core/schedule/local-time";
import { stopSignalCodes } from "~/core/intake/stop-signal";
import { eachInSteps, type InSteps } from "~/core/work/in-steps";
import { oneOf } from "~/core/schema/one-of";
import { judgedItem } from "./flare-trace";
import { itemInput } from "~/core/case/item-input";
import { schoolInForce } from "~/core/case/in-force";
import { moveInForce } from "~/core/case/stage-in-force";
import { stageOf } from "~/core/pathway/pathway";
import { reviewCase } from "./review-case";

const closed = { additionalProperties: false };
const date = Type.String({ format: "date" });
const instant = Type.String({ format: "date-time" });
const pain = Type.Integer();

/** How one item fared on a training day: pain before, worst during, the next morning. */
const Fared = Type.Object(
  {
    date,
    painBefore: pain,
    painDuring: pain,
    painNextDay: Type.Union([pain, Type.Null()]),
    during: Type.String(),
    nextDay: Type.String(),
  },
  closed,
);

/** What was proposed for an item that day, what was signed of it, and how its next training day went. */
export const ReviewedItem = Type.Object(
  {
    itemId: Type.String(),
    exerciseId: Type.String(),
    proposal: Proposal,
    signed: Type.Union([
      Type.Object(
        { action: oneOf(["accept", "change", "refuse"]), at: instant, reason: Type.String() },
        closed,
      ),
      Type.Null(),
    ]),
    /** How it fared on that day; null when it was not done. */
    done: Type.Union([Fared, Type.Null()]),
    /** The first training day after it; null when there was none. */
    next: Type.Union([Fared, Type.Null()]),
  },
  closed,
);

/** One local date of an episode on which anything happened: what was known by then, proposed, signed, and what came of it. */
export const ReviewedDay = Type.Object(
  {
    date,
    /** The instant that it is judged at: before the first signature of the date, else its end. */
    judgedAt: instant,
    stage: Type.String(),
    sessions: Type.Integer(),
    /** Reports that came in on this date, and the training day they are about. */
    reports: Type.Array(Type.Object({ trainingDate: date, pain }, closed)),
    results: Type.Array(
      Type.Object(
        { name: Type.String(), side: Type.String(), value: Type.Number(), unit: Type.String() },
        closed,
      ),
    ),
    signals: Type.Array(oneOf(stopSignalCodes)),
    events: Type.Array(Type.String()),
    items: Type.Array(ReviewedItem),
  },
  closed,
);
export type ReviewedDay = Static<typeof ReviewedDay>;

export const DayByDay = Type.Object(
  {
    /** Every date on which anything happened, oldest first. */
    dates: Type.Array(date),
    days: Type.Array(ReviewedDay),
  },
  closed,
);
export type DayByDay = Static<typeof DayByDay>;

const daysAtOnce = 31;

/**
 * An episode read again day by day: on every date on which anything happened what was known by then, what the rules proposed from
 * it, what was signed, and how the next training day went. It is how rules and signatures are checked against what came of them.
 *
 * @param from first local date wanted; the latest 31 dates when left out
 * @returns in steps, a date at a time
 */
export function* dayByDay(file: CaseFile, from: string | null = null, book?: DemandBook): InSteps<DayByDay> {
  const dates = datesOf(file);
  const wanted =
    from === null ? dates.slice(-daysAtOnce) : dates.filter((one) => one >= from).slice(0, daysAtOnce);
  const fared = faredBy(file);
  const days = yield* eachInSteps(wanted, (one) => reviewedDay(file, one, fared, book));
  return { dates, days };
}

function datesOf(file: CaseFile): string[] {
  const day = (at: string) => localDay(at, file.zone);
  const all = [
    ...caseDays(file).map((one) => one.date),
    ...file.reports.map(({ receivedAt }) => day(receivedAt)),
    ...file.decisions.map(({ at }) => day(at)),
    ...file.results.map(({ takenOn }) => takenOn),
    ...file.stageMoves.map(({ at }) => day(at)),
    ...(file.signals ?? []).map(({ at }) => day(at)),
    ...(file.events ?? []).map(({ at }) => day(at)),
  ];
  const begins = day(beganAt(file));
  return [...new Set(all.filter((one) => one >= begins && one <= day(file.asOf)))].sort();
}

/** When the episode got its first stage: nothing is judged before. */
const beganAt = ({ stageMoves, asOf }: CaseFile): string =>
  stageMoves.map(({ at }) => at).reduce((a, b) => (Date.parse(b) < Date.parse(a) ? b : a), asOf);

type Fared = Static<typeof Fared>;

/** How every item fared on its training days, by the rules in force at the end. */
function faredBy(file: CaseFile): Map<string, Fared[]> {
  const days: readonly CaseDay[] = caseDays(file);
  const stage = stageOf(file.pathway, moveInForce(file).stage);
  const school = schoolInForce(file);
  return new Map(
    file.items.map((item) => {
      const input = itemInput(file, days, item, stage, school);
      const judged = judgedItem(item, { ...input, trainingDays: itemDays(days, item.id) }).days;
      return [
        item.id,
        judged.map(({ date: on, painBefore, painDuring, painNextDay, during, nextDay }) => ({
          date: on,
          painBefore,
          painDuring,
          painNextDay,
          during,
          nextDay,
        })),
      ];
    }),
  );
}

function reviewedDay(
  file: CaseFile,
  on: string,
  fared: ReadonlyMap<string, readonly Fared[]>,
  book: DemandBook | undefined,
): ReviewedDay {
  const isOn = (at: string) => localDay(at, file.zone) === on;
  const signed = file.decisions.filter(({ at }) => isOn(at)).sort((a, b) => a.at.localeCompare(b.at));
  const judgedAt = momentOf(file, on, signed[0]?.at);
  const known = knownAt(
    file,
    judgedAt,
    file.decisions.filter(({ at }) => Date.parse(at) < Date.parse(judgedAt)),
  );
  const review = reviewCase(known, book ? { book } : {});
  return {
    date: on,
    judgedAt,
    stage: review.stage,
    sessions: file.sessions.filter(({ at }) => isOn(at)).length,
    reports: file.reports
      .filter(({ receivedAt }) => isOn(receivedAt))
      .map(({ trainingDate, pain: felt }) => ({ trainingDate, pain: felt })),
    results: file.results
      .filter(({ takenOn }) => takenOn === on)
      .map(({ measure, side, value }) => {
        const { name = measure, unit = "" } = file.measures.find(({ code }) => code === measure) ?? {};
        return { name, side, value, unit };
      }),
    signals: (file.signals ?? []).filter(({ at }) => isOn(at)).map(({ code }) => code),
    events: (file.events ?? []).filter(({ at }) => isOn(at)).map(({ kind }) => kind),
    items: review.items.map(({ itemId, exerciseId, proposal }) => {
      const answer = signed.find((decision) => decision.itemId === itemId);
      const days = fared.get(itemId) ?? [];
      return {
        itemId,
        exerciseId,
        proposal,
        signed: answer ? { action: answer.action, at: answer.at, reason: answer.reason ?? "" } : null,
        done: days.find((day) => day.date === on) ?? null,
        next: days.find((day) => day.date > on) ?? null,
      };
    }),
  };
}

/** Just before the first signature of a date; else its last minute, or now. */
function momentOf(file: CaseFile, on: string, firstSigned: string | undefined): string {
  const begins = Date.parse(beganAt(file));
  if (firstSigned !== undefined) return new Date(Math.max(begins, Date.parse(firstSigned) - 1)).toISOString();
  const ends = Date.parse(instantOfLocal(`${addDays(on, 1)}T00:00`, file.zone)) - 1;
  return new Date(Math.min(ends, Date.parse(file.asOf))).toISOString();
}
