import type { Exercise } from "~/core/exercise/exercise";
import { standingResults, type Measure, type MeasureResult } from "~/core/measure/measure";
import type { CaseFile } from "./case-file";

/** Where a movement hurt when it was measured: the bend at which it began and, where it passed again, ended; degrees. */
export interface MeasuredArc {
  readonly date: string;
  readonly fromDeg: number;
  readonly toDeg: number | null;
}

const fromCode = "painful-arc-from";
const toCode = "painful-arc-to";

/**
 * Painful arcs of an exercise's movement as measured on the involved side, oldest first; both involved: of each day the one that
 * begins earlier. An end that was not measured on that day in that movement is not known.
 *
 * @param file results as they stood when it is asked; a corrected one is left out
 */
export function measuredArcs(
  { results, measures, episode }: Pick<CaseFile, "results" | "measures" | "episode">,
  { family }: Pick<Exercise, "family">,
): MeasuredArc[] {
  const standing = standingResults(results).filter(
    ({ side, occasion }) =>
      occasion === "since-injury" && (episode.involvedSide === "both" || side === episode.involvedSide),
  );
  const taken = (code: string) => {
    const measure = measures.find((one) => one.code === code);
    return standing.filter((result) => result.measure === code && isOf(measure, result, family));
  };
  const ends = taken(toCode);
  const arcs = taken(fromCode)
    .map(({ takenOn, side, position, value }) => {
      const end = ends.findLast(
        (other) => other.takenOn === takenOn && other.side === side && other.position === position,
      );
      const passes = end !== undefined && end.value > value;
      return { date: takenOn, fromDeg: Math.round(value), toDeg: passes ? Math.round(end.value) : null };
    })
    .sort((a, b) => a.date.localeCompare(b.date) || b.fromDeg - a.fromDeg);
  return arcs.filter(({ date }, n) => arcs[n + 1]?.date !== date);
}

function isOf(
  measure: Measure | undefined,
  { position }: MeasureResult,
  family: string | undefined,
): boolean {
  const movement = measure?.movements?.find(({ way }) => way === position);
  return family !== undefined && movement !== undefined && movement.families.includes(family);
}
