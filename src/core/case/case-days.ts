import type { NextDayReport, TrainingDay } from "~/core/response/session-record";
import { isInTime } from "~/core/response/training-day-state";
import { localDay } from "~/core/schedule/local-day";
import { loadTestBand } from "~/core/response/load-test-band";
import type { CaseFile, CaseSession } from "./case-file";
import { isVoided } from "~/core/schema/voided";
import { effusionsUp, type EffusionUp } from "./effusion";

/** All that was done on one local date, whatever the items, and how the morning after was. */
export interface CaseDay {
  readonly date: string;
  readonly sessions: readonly CaseSession[];
  /** Pain before the date's first session. */
  readonly painBefore: number;
  /** The reaction belongs to the date's last session, whatever it contained, so the clock starts there. */
  readonly lastSessionAt: string;
  readonly report: NextDayReport | undefined;
  /** When the last of its sessions reached the record. */
  readonly receivedAt: string;
  /** When the next session noted that the muscles were still sore from this day. */
  readonly stillSoreAt?: string;
  /** The loading test that was fine last before this day. */
  readonly fineTestBefore?: number;
  /** Day on which a clinician graded the effusion higher, where that belongs to this day, and when it reached the record. */
  readonly effusionUpOn?: string;
  readonly effusionKnownAt?: string;
}

/** The training days of a case up to its `asOf`, oldest first. */
export function caseDays(file: CaseFile): CaseDay[] {
  const seen = (at: string) => Date.parse(at) <= Date.parse(file.asOf);
  const known = file.sessions.filter(
    (session) => seen(session.receivedAt ?? session.at) && !isVoided(session, file.asOf),
  );
  const corrected = new Set(known.map((session) => session.supersedes));
  const effusions = effusionsUp(file);
  const sessions = known
    .filter((session) => seen(session.at) && !corrected.has(session.id))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const byDate = new Map<string, CaseSession[]>();
  for (const session of sessions) {
    const date = localDay(session.at, file.zone);
    const list = byDate.get(date);
    if (list) list.push(session);
    else byDate.set(date, [session]);
  }
  const reported = [...byDate].flatMap(([date, ofDate]) => {
    const [first, last] = [ofDate[0], ofDate.at(-1)];
    if (!first || !last) return [];
    const reports = file.reports.filter(
      (r) => r.trainingDate === date && seen(r.receivedAt) && !isVoided(r, file.asOf),
    );
    const report = reportThatCounts(reports, last.at);
    // Of several before the next session the latest is news.
    const effusion = effusions.findLast((found) => dayOf(found, byDate, file.zone) === date);
    return [
      {
        date,
        sessions: ofDate,
        painBefore: first.painBefore,
        lastSessionAt: last.at,
        receivedAt: latestOf(ofDate.map((session) => session.receivedAt ?? session.at)),
        report,
        ...(effusion === undefined ? {} : { effusionUpOn: effusion.on }),
        ...(effusion?.knownAt === undefined ? {} : { effusionKnownAt: effusion.knownAt }),
      },
    ];
  });
  return withSoreness(withFineTests(reported));
}

/** What the next session said of soreness is told of the day it came from. */
const withSoreness = (days: readonly CaseDay[]): CaseDay[] =>
  days.map((day, i) => {
    const noted = days[i + 1]?.sessions.find(({ stillSore }) => stillSore === true);
    return noted ? { ...day, stillSoreAt: noted.at } : day;
  });

/** Each day with the loading test that had been fine last before it. */
function withFineTests(days: readonly CaseDay[]): CaseDay[] {
  let fine: number | undefined;
  return days.map((day) => {
    const told = fine === undefined ? day : { ...day, fineTestBefore: fine };
    const counts = day.report && isInTime(day.report, day.lastSessionAt);
    const test = counts ? day.report?.loadTestPain : undefined;
    if (test !== undefined && loadTestBand(test, fine) === "fine") fine = test;
    return told;
  });
}

const latestOf = (instants: readonly string[]): string =>
  instants.reduce((a, b) => (Date.parse(b) > Date.parse(a) ? b : a));

/**
 * The training day that a higher grade belongs to: that of its own date, unless it was found before that day's session; else
 * the last one before.
 */
function dayOf(
  { on, knownAt }: EffusionUp,
  byDate: ReadonlyMap<string, readonly CaseSession[]>,
  zone: string,
): string | undefined {
  const [first] = byDate.get(on) ?? [];
  const isBefore =
    first !== undefined &&
    knownAt !== undefined &&
    localDay(knownAt, zone) === on &&
    Date.parse(knownAt) < Date.parse(first.at);
  if (first && !isBefore) return on;
  return [...byDate.keys()].filter((date) => date < on).at(-1);
}

/** What one item's part of the training days was; days without it are left out. */
export function itemDays(days: readonly CaseDay[], itemId: string): TrainingDay[] {
  return days.flatMap(({ date, sessions, painBefore, lastSessionAt, receivedAt, report, ...graded }) => {
    const worked = sessions.flatMap(({ alone, items }) =>
      items.filter((i) => i.itemId === itemId).map((i) => ({ alone, sets: i.sets })),
    );
    const sets = worked.flatMap((part) => part.sets);
    if (sets.length === 0) return [];
    const alone = worked.every((part) => part.alone === true);
    return [
      {
        date,
        lastSessionAt,
        ...(receivedAt === lastSessionAt ? {} : { receivedAt }),
        painBefore,
        sets,
        ...(alone ? { alone } : {}),
        ...(report ? { report } : {}),
        ...graded,
      },
    ];
  });
}

/** The report said last of those that came in time to count; a correction that came too late does not undo it. */
function reportThatCounts(reports: CaseFile["reports"], endedAt: string): NextDayReport | undefined {
  const said = ({ occurredAt, receivedAt }: NextDayReport) => Date.parse(occurredAt ?? receivedAt);
  const sorted = [...reports].sort((a, b) => said(a) - said(b));
  const found = sorted.filter((r) => isInTime(r, endedAt)).at(-1) ?? sorted.at(-1);
  if (!found) return undefined;
  const { id, trainingDate, voided, ...report } = found;
  return report;
}
