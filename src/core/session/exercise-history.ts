import type { Dose } from "~/core/dose/dose";
import { localDay } from "~/core/schedule/local-day";
import { cleanReps } from "~/core/response/clean-reps";
import type { SetRecord, Side } from "~/core/response/session-record";

export const workUnits = ["kgReps", "reps", "seconds", "contacts", "minutes"] as const;
export type WorkUnit = (typeof workUnits)[number];

/** One session of one exercise, as a chart shows it. */
export interface HistoryPoint {
  readonly date: string;
  /** Work of the involved side (of both legs where they share it), in `unit`. */
  readonly work: number;
  /** Worst pain at the site; null where only pain elsewhere was noted. */
  readonly painDuring: number | null;
  readonly painNextDay: number | null;
}

export interface ExerciseHistory {
  readonly unit: WorkUnit;
  readonly points: readonly HistoryPoint[];
}

interface Done {
  readonly at: string;
  readonly sets: readonly SetRecord[];
}

/**
 * Work, pain and next-day pain of one exercise over its sessions, oldest first. Work is load × clean repetitions where every
 * session has a load, else what the dose counts: repetitions, seconds held, contacts or minutes, summed over the sets.
 *
 * @param reports pain on waking by training date
 */
export function exerciseHistory(
  sessions: readonly Done[],
  reports: ReadonlyMap<string, number>,
  { dose, involvedSide, zone }: { dose: Dose; involvedSide: Side; zone: string },
): ExerciseHistory {
  const own = sessions.map(({ at, sets }) => ({ at, sets: sets.filter((set) => counts(set, involvedSide)) }));
  const worked = own.filter(({ sets }) => sets.length > 0).sort((a, b) => a.at.localeCompare(b.at));
  const unit = unitOf(dose, worked);
  return {
    unit,
    points: worked.map(({ at, sets }) => {
      const date = localDay(at, zone);
      const atSite = sets.filter((set) => set.painSite === "episode").map((set) => set.painDuring);
      return {
        date,
        work: sets.reduce((sum, set) => sum + workOf[unit](set), 0),
        painDuring: atSite.length > 0 ? Math.max(...atSite) : null,
        painNextDay: reports.get(date) ?? null,
      };
    }),
  };
}

const workOf: Record<WorkUnit, (set: SetRecord) => number> = {
  kgReps: (set) => (set.loadKg ?? 0) * cleanReps(set),
  reps: cleanReps,
  seconds: ({ holdSeconds = 0, reps }) => holdSeconds * (reps ?? 1),
  contacts: ({ contacts = 0 }) => contacts,
  minutes: ({ minutes = 0 }) => minutes,
};

function unitOf(dose: Dose, sessions: readonly Done[]): WorkUnit {
  const loaded =
    sessions.length > 0 && sessions.every(({ sets }) => sets.some((set) => (set.loadKg ?? 0) > 0));
  if (dose.reps) return loaded ? "kgReps" : "reps";
  if (dose.hold) return "seconds";
  return dose.contacts ? "contacts" : "minutes";
}

function counts(set: SetRecord, involved: Side): boolean {
  return set.side === "both" || involved === "both" || set.side === involved;
}
