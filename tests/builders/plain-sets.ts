import type { Dose } from "~/core/dose/dose";
import type { SetRecord } from "~/core/response/session-record";

const base = {
  style: "strength",
  policy: "double-progression",
  sets: 2,
  restSeconds: 60,
  daysPerWeek: 3,
} as const;
/** A set of the left leg without pain, at effort 6, and what is said of it besides. */
export const set = (over: Partial<SetRecord>): SetRecord => ({
  side: "left",
  painDuring: 0,
  painSite: "episode",
  effort: 6,
  faults: [],
  ...over,
});
export const range = (bottom: number, top: number) => ({ bottom, top });
/** Two sets three times a week of the work that is given. */
export const asks = (work: Partial<Dose>): Dose => ({ ...base, ...work });
