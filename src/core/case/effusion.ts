import { standingResults, type MeasureResult } from "~/core/measure/measure";
import { localDay } from "~/core/schedule/local-day";
import type { CaseFile } from "./case-file";

const effusionMeasure = "effusion";

/** Grades of an involved side that are known at `asOf`, oldest first. */
function knownEffusions(file: CaseFile): MeasureResult[] {
  const { involvedSide } = file.episode;
  const today = localDay(file.asOf, file.zone);
  return standingResults(file.results)
    .filter((r) => r.measure === effusionMeasure && (involvedSide === "both" || r.side === involvedSide))
    .filter(({ takenOn }) => takenOn <= today)
    .filter(({ recordedAt }) => recordedAt === undefined || Date.parse(recordedAt) <= Date.parse(file.asOf))
    .sort((a, b) => a.takenOn.localeCompare(b.takenOn));
}

/** A grade higher than the one before: its date, and when it reached the record where that is known. */
export interface EffusionUp {
  readonly on: string;
  readonly knownAt?: string;
}

/** Grades of an involved side that lie above the one before, oldest first. */
export function effusionsUp(file: CaseFile): EffusionUp[] {
  const grades = knownEffusions(file);
  return grades
    .filter(({ side, value }, i) => {
      const before = grades.slice(0, i).findLast((grade) => grade.side === side);
      return before !== undefined && value > before.value;
    })
    .map(({ takenOn, recordedAt }) => ({
      on: takenOn,
      ...(recordedAt === undefined ? {} : { knownAt: recordedAt }),
    }));
}

/**
 * The effusion as graded last, the worse side where both are involved, and whether it has risen and is not back where it was.
 *
 * @returns null when nobody has graded it
 */
export function effusionNow(file: CaseFile): { grade: number; raised: boolean } | null {
  const known = knownEffusions(file);
  const sides = [...new Set(known.map(({ side }) => side))].map((side) => {
    const grades = known.filter((one) => one.side === side).map(({ value }) => value);
    const grade = grades.at(-1) ?? 0;
    return { grade, raised: isRaised(grades) };
  });
  if (sides.length === 0) return null;
  return { grade: Math.max(...sides.map(({ grade }) => grade)), raised: sides.some(({ raised }) => raised) };
}

/** Whether the last grade still lies above what stood before the last rise. */
function isRaised(grades: readonly number[]): boolean {
  let before: number | null = null;
  grades.forEach((grade, i) => {
    const previous = grades[i - 1];
    if (previous !== undefined && grade > previous)
      before = before === null ? previous : Math.min(before, previous);
    if (before !== null && grade <= before) before = null;
  });
  return before !== null;
}
