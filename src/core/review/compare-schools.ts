import type { DemandBook } from "~/core/demand/demand-book";
import { Type, type Static } from "@sinclair/typebox";
import { Outcome } from "~/core/decision/record/decide-input";
import { Evidence } from "~/core/decision/record/evidence";
import { Change } from "~/core/progression/change";
import { PainSchoolCode, painSchoolCodes } from "~/core/response/pain-school";
import type { TrainingDay } from "~/core/response/session-record";
import { closesAt, trainingDayState } from "~/core/response/training-day-state";
import { caseDays, itemDays } from "~/core/case/case-days";
import type { CaseFile } from "~/core/case/case-file";
import { schoolInForce } from "~/core/case/in-force";
import { eachInSteps, type InSteps } from "~/core/work/in-steps";
import { reviewCase } from "./review-case";

const closed = { additionalProperties: false };
const date = Type.String({ format: "date" });

/** What one school would have said of an item on one training day, once that day was closed (or as it stands now). */
export const SchoolVerdict = Type.Object(
  {
    date,
    outcome: Outcome,
    rule: Type.String(),
    evidence: Type.Array(Evidence),
    change: Type.Union([Change, Type.Null()]),
  },
  closed,
);
export type SchoolVerdict = Static<typeof SchoolVerdict>;

/** One record of one item judged by every school, day by day. */
export const SchoolComparison = Type.Object(
  {
    itemId: Type.String(),
    inForce: PainSchoolCode,
    days: Type.Array(
      Type.Object(
        {
          date,
          painBefore: Type.Integer(),
          painDuring: Type.Integer(),
          painNextDay: Type.Union([Type.Integer(), Type.Null()]),
        },
        closed,
      ),
    ),
    schools: Type.Array(Type.Object({ school: PainSchoolCode, verdicts: Type.Array(SchoolVerdict) }, closed)),
    /** First day on which not all schools say the same; null while they agree. */
    partedOn: Type.Union([date, Type.Null()]),
  },
  closed,
);
export type SchoolComparison = Static<typeof SchoolComparison>;

const latestDays = 30;

/**
 * One record under every pain school: for each of an item's last 30 training days what every school says once that day
 * is closed, and the first day on which they part. Each day is judged with the prescription it was done with and
 * before anybody answered it, so that one school's answers do not colour another's.
 *
 * Gotcha: the days after the parting are the days as they were done. What somebody would have done under another school's
 * doses is not known and not guessed.
 *
 * @returns in steps, a day of a school at a time; null when the item is not in the plan
 */
export function* compareSchools(
  file: CaseFile,
  itemId: string,
  book?: DemandBook,
): InSteps<SchoolComparison | null> {
  if (!file.items.some((item) => item.id === itemId && item.endedAt === undefined)) return null;
  const days = itemDays(caseDays(file), itemId).slice(-latestDays);
  const schools: { school: PainSchoolCode; verdicts: SchoolVerdict[] }[] = [];
  for (const school of painSchoolCodes) {
    const said = yield* eachInSteps(days, (day) => verdictOn(file, itemId, day, school, book));
    schools.push({ school, verdicts: said.filter((verdict) => verdict !== null) });
  }
  const parting = days.find(({ date }) => {
    const said = schools.map(({ verdicts }) => verdicts.find((verdict) => verdict.date === date)?.outcome);
    return new Set(said).size > 1;
  });
  return {
    itemId,
    inForce: schoolInForce(file),
    days: days.map(({ date, painBefore, sets, report }) => ({
      date,
      painBefore,
      painDuring: Math.max(0, ...sets.filter((s) => s.painSite === "episode").map((s) => s.painDuring)),
      painNextDay: report?.pain ?? null,
    })),
    schools,
    partedOn: parting?.date ?? null,
  };
}

/** What a school says of an item on one of its days, once that is closed; null where the item was not in the plan then. */
function verdictOn(
  file: CaseFile,
  itemId: string,
  day: TrainingDay,
  school: PainSchoolCode,
  book: DemandBook | undefined,
): SchoolVerdict | null {
  const state = trainingDayState(day, file.asOf);
  const closesOn = closesAt(day.lastSessionAt);
  const closedAt = state === "reported" ? (day.report?.receivedAt ?? closesOn) : closesOn;
  const asOf = state === "open" ? file.asOf : closedAt;
  const item = reviewCase(unanswered(file, day.lastSessionAt, asOf), {
    school,
    ...(book ? { book } : {}),
  }).items.find((entry) => entry.itemId === itemId);
  if (!item) return null;
  const { outcome, rule, evidence, change } = item.proposal;
  return { date: day.date, outcome, rule, evidence, change: change ?? null };
}

/** The case at `asOf`, without what was decided after the session ended. */
function unanswered(file: CaseFile, endedAt: string, asOf: string): CaseFile {
  const before = (at: string) => Date.parse(at) <= Date.parse(endedAt);
  return {
    ...file,
    asOf,
    decisions: file.decisions.filter((decision) => before(decision.at)),
    items: file.items.map((item) => ({
      ...item,
      prescriptions: item.prescriptions.filter((entry, n) => n === 0 || before(entry.from)),
    })),
  };
}
