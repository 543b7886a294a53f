import type { TrainingDay } from "~/core/response/session-record";
import { reportCountsHours } from "~/core/response/training-day-state";
import { localDay } from "~/core/schedule/local-day";
import type { CaseFile } from "./case-file";

/**
 * The training days of one item: all sessions of one local date together, with the pain before that date's first
 * session of any item, and that date's latest report. The reaction of a day belongs to the day's last session,
 * whatever it contained, so the clock starts there.
 */
export function itemDays(file: CaseFile, itemId: string): TrainingDay[] {
  return trainingDates(file).flatMap(({ date, sessions }) => {
    const sets = sessions.flatMap((s) => s.items.filter((i) => i.itemId === itemId).flatMap((i) => i.sets));
    const [first, last] = [sessions[0], sessions.at(-1)];
    if (sets.length === 0 || !first || !last) return [];
    const report = reportThatCounts(
      file.reports.filter((r) => r.trainingDate === date && seen(r.receivedAt, file)),
      last.at,
    );
    const { receivedAt, pain, stiffnessMinutes, swelling } = report ?? {};
    return [
      {
        date,
        lastSessionAt: last.at,
        painBefore: first.painBefore,
        sets,
        ...(receivedAt !== undefined && pain !== undefined
          ? {
              report: {
                receivedAt,
                pain,
                ...(stiffnessMinutes === undefined ? {} : { stiffnessMinutes }),
                ...(swelling === undefined ? {} : { swelling }),
              },
            }
          : {}),
      },
    ];
  });
}

/** The latest report that came in time to count; a correction that came too late does not undo it. */
function reportThatCounts(
  reports: CaseFile["reports"],
  endedAt: string,
): CaseFile["reports"][number] | undefined {
  const sorted = [...reports].sort((a, b) => Date.parse(a.receivedAt) - Date.parse(b.receivedAt));
  const inTime = sorted.filter(
    (r) => Date.parse(r.receivedAt) - Date.parse(endedAt) <= reportCountsHours * 3_600_000,
  );
  return inTime.at(-1) ?? sorted.at(-1);
}

/** Sessions up to `asOf` by local date, oldest first. */
export function trainingDates(file: CaseFile): { date: string; sessions: CaseFile["sessions"] }[] {
  const byDate = new Map<string, CaseFile["sessions"]>();
  const sessions = file.sessions
    .filter((session) => seen(session.at, file))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  for (const session of sessions) {
    const date = localDay(session.at, file.zone);
    byDate.set(date, [...(byDate.get(date) ?? []), session]);
  }
  return [...byDate].map(([date, ofDate]) => ({ date, sessions: ofDate }));
}

function seen(at: string, file: CaseFile): boolean {
  return Date.parse(at) <= Date.parse(file.asOf);
}
