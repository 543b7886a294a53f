import type { NextDayReport, TrainingDay } from "~/core/response/session-record";
import { reportCountsHours } from "~/core/response/training-day-state";
import { standingResults } from "~/core/measure/measure";
import { daysBetween, localDay } from "~/core/schedule/local-day";
import type { CaseFile, CaseSession } from "./case-file";

/** All that was done on one local date, whatever the items, and how the morning after was. */
export interface CaseDay {
  readonly date: string;
  readonly sessions: readonly CaseSession[];
  /** Pain before the date's first session. */
  readonly painBefore: number;
  /** The reaction belongs to the date's last session, whatever it contained, so the clock starts there. */
  readonly lastSessionAt: string;
  readonly report: NextDayReport | undefined;
  /** Day on which a clinician graded the effusion higher after it. */
  readonly effusionUpOn?: string;
}

const effusionMeasure = "effusion";
const effusionFollowsDays = 2;

/** The training days of a case up to its `asOf`, oldest first. */
export function caseDays(file: CaseFile): CaseDay[] {
  const seen = (at: string) => Date.parse(at) <= Date.parse(file.asOf);
  const known = file.sessions.filter((session) => seen(session.receivedAt ?? session.at));
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
  return [...byDate].flatMap(([date, ofDate]) => {
    const [first, last] = [ofDate[0], ofDate.at(-1)];
    if (!first || !last) return [];
    const reports = file.reports.filter((r) => r.trainingDate === date && seen(r.receivedAt));
    const report = reportThatCounts(reports, last.at);
    const effusionUpOn = effusions.find((on) => on > date && daysBetween(date, on) <= effusionFollowsDays);
    return [
      {
        date,
        sessions: ofDate,
        painBefore: first.painBefore,
        lastSessionAt: last.at,
        report,
        ...(effusionUpOn === undefined ? {} : { effusionUpOn }),
      },
    ];
  });
}

/** Days on which the effusion of an involved side was graded higher than the time before. */
function effusionsUp(file: CaseFile): string[] {
  const { involvedSide } = file.episode;
  const grades = standingResults(file.results)
    .filter((r) => r.measure === effusionMeasure && (involvedSide === "both" || r.side === involvedSide))
    .sort((a, b) => a.takenOn.localeCompare(b.takenOn));
  return grades
    .filter(({ side, value }, i) => {
      const before = grades
        .slice(0, i)
        .filter((grade) => grade.side === side)
        .at(-1);
      return before !== undefined && value > before.value;
    })
    .map((grade) => grade.takenOn);
}

/** What one item's part of the training days was; days without it are left out. */
export function itemDays(days: readonly CaseDay[], itemId: string): TrainingDay[] {
  return days.flatMap(({ date, sessions, painBefore, lastSessionAt, report, effusionUpOn }) => {
    const sets = sessions.flatMap((s) => s.items.filter((i) => i.itemId === itemId).flatMap((i) => i.sets));
    if (sets.length === 0) return [];
    return [
      {
        date,
        lastSessionAt,
        painBefore,
        sets,
        ...(report ? { report } : {}),
        ...(effusionUpOn === undefined ? {} : { effusionUpOn }),
      },
    ];
  });
}

/** The latest report that came in time to count; a correction that came too late does not undo it. */
function reportThatCounts(reports: CaseFile["reports"], endedAt: string): NextDayReport | undefined {
  const sorted = [...reports].sort((a, b) => Date.parse(a.receivedAt) - Date.parse(b.receivedAt));
  const latest = Date.parse(endedAt) + reportCountsHours * 3_600_000;
  const found = sorted.filter((r) => Date.parse(r.receivedAt) <= latest).at(-1) ?? sorted.at(-1);
  if (!found) return undefined;
  const { id, trainingDate, ...report } = found;
  return report;
}
