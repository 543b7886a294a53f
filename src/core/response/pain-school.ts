import { oneOf } from "~/core/schema/one-of";
import type { Static } from "@sinclair/typebox";

export const painSchoolCodes = ["pain-free", "monitored", "tendon", "threshold-4"] as const;

export const PainSchoolCode = oneOf(painSchoolCodes, "How much pain the work may bring");
export type PainSchoolCode = Static<typeof PainSchoolCode>;

/** A pain school: which pain, on a whole-number scale 0–10, lets work go on, holds it, or eases it. */
export interface PainSchool {
  readonly code: PainSchoolCode;
  /** Highest pain during work that is still 'go'. */
  readonly goMax: number;
  /** Highest pain during work that is still 'hold'; equal to goMax where the school has no hold band. */
  readonly holdMax: number;
  /** Highest rise of next-day pain over the pain before the day's first session that is still 'fine'. */
  readonly fineMaxRise: number;
  /** Highest such rise that is still 'hold'. */
  readonly holdMaxRise: number;
  /** Next-day pain at which it is 'ease' whatever the rise; null: only the rise counts. */
  readonly easeAtNextDay: number | null;
  /** What the next day is judged on: pain on waking, or a loading test where the report has one. */
  readonly nextDayOn: "waking" | "loading-test";
  readonly source: { kind: "published" | "common-practice"; cite?: string; recalled?: boolean };
}

export const painSchools: readonly PainSchool[] = [
  {
    code: "pain-free",
    goMax: 0,
    holdMax: 1,
    fineMaxRise: 0,
    holdMaxRise: 1,
    easeAtNextDay: null,
    nextDayOn: "waking",
    source: { kind: "common-practice" },
  },
  {
    code: "monitored",
    goMax: 2,
    holdMax: 5,
    fineMaxRise: 1,
    holdMaxRise: 2,
    easeAtNextDay: 6,
    nextDayOn: "waking",
    source: { kind: "published", cite: "Thomeé 1997; Silbernagel 2007", recalled: true },
  },
  {
    code: "tendon",
    goMax: 3,
    holdMax: 3,
    fineMaxRise: 0,
    holdMaxRise: 0,
    easeAtNextDay: null,
    nextDayOn: "loading-test",
    source: { kind: "published", cite: "Malliaras 2015", recalled: true },
  },
  {
    code: "threshold-4",
    goMax: 4,
    holdMax: 4,
    fineMaxRise: 1,
    holdMaxRise: 2,
    easeAtNextDay: null,
    nextDayOn: "waking",
    source: { kind: "published", cite: "Hickey 2020", recalled: true },
  },
];

/** The definition behind a school's code. */
export function painSchool(code: PainSchoolCode): PainSchool {
  const found = painSchools.find((school) => school.code === code);
  if (!found) throw new RangeError(`unknown pain school ${code}`);
  return found;
}
