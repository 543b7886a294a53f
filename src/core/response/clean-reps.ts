import type { FaultRecord, SetRecord } from "./session-record";

/**
 * Repetitions of a set that no marked fault spoiled.
 * Where the count was not written down, 'some' stands for the largest number below half and 'most' for all of
 * them, so that an uncounted fault never flatters. Marked faults add up, up to the repetitions of the set; of two that nobody
 * counted it is not known which repetitions they share: they are taken for most.
 *
 * @returns whole number ≥ 0
 * @example cleanReps({ reps: 8, faults: [{ fault: "knee-in", severity: "marked", reps: 5 }] }) // 3
 * @example cleanReps({ reps: 8, faults: [{ fault: "knee-in", severity: "marked", reps: 2 }, { fault: "leans", severity: "marked", reps: 3 }] }) // 3
 */
export function cleanReps(set: Pick<SetRecord, "reps" | "faults">): number {
  return Math.max(0, (set.reps ?? 0) - markedReps(set));
}

/** Repetitions that marked faults spoiled in this set. */
export function markedReps(set: Pick<SetRecord, "reps" | "faults">): number {
  const done = set.reps ?? 0;
  const marked = set.faults.filter(isMarked);
  if (uncountedTwice(marked)) return done;
  return Math.min(
    done,
    marked.reduce((sum, fault) => sum + spoiled(fault, done), 0),
  );
}

/** Two marked faults in 'some' of the repetitions: together in most of them, as far as anybody knows. */
const uncountedTwice = (marked: readonly FaultRecord[]) =>
  marked.filter(({ reps }) => reps === "some").length > 1;

/** True when a marked fault was seen in half or more of the set's reps (or of its single hold). */
export function markedInMostReps(set: Pick<SetRecord, "reps" | "faults">): boolean {
  const marked = set.faults.filter(isMarked);
  if (marked.some(({ reps }) => reps === "most") || uncountedTwice(marked)) return true;
  if (set.reps === undefined) return marked.some(({ reps }) => reps !== "some");
  return markedReps(set) * 2 >= Math.max(1, set.reps);
}

function isMarked(fault: FaultRecord): boolean {
  return fault.severity === "marked";
}

function spoiled(fault: FaultRecord, done: number): number {
  if (fault.reps === "most") return done;
  if (fault.reps === "some") return Math.max(0, Math.ceil(done / 2) - 1);
  return Math.min(fault.reps, done);
}
