import { standingResults, type MeasureResult } from "~/core/measure/measure";
import { localDay } from "~/core/schedule/local-day";
import type { CaseFile } from "./case-file";

export const effusionMeasure = "effusion";

/** Grades of an involved side that are known at `asOf`, oldest first. */
export function knownEffusions(file: CaseFile): MeasureResult[] {
  const { involvedSide } = file.episode;
  const today = localDay(file.asOf, file.zone);
  return standingResults(file.results)
    .filter((r) => r.measure === effusionMeasure && (involvedSide === "both" || r.side === involvedSide))
    .filter(({ takenOn, recordedAt }) => takenOn <= today && (recordedAt ?? "") <= file.asOf)
    .sort((a, b) => a.takenOn.localeCompare(b.takenOn));
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
