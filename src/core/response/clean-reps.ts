import type { FaultRecord, SetRecord } from "./session-record";

/**
 * Repetitions of a set that no marked fault spoiled.
 * Where the count was not written down, 'some' stands for the largest number below half and 'most' for all of
 * them, so that an uncounted fault never flatters. Two marked faults are taken to have spoiled the same reps.
 *
 * @returns whole number ≥ 0
 * @example cleanReps({ reps: 8, faults: [{ fault: "knee-in", severity: "marked", reps: 5 }] }) // 3
 */
export function cleanReps(set: Pick<SetRecord, "reps" | "faults">): number {
  const done = set.reps ?? 0;
  return Math.max(0, done - markedReps(set));
}

/** Largest number of reps that one marked fault spoiled in this set. */
export function markedReps(set: Pick<SetRecord, "reps" | "faults">): number {
  const done = set.reps ?? 0;
  return Math.max(0, ...set.faults.filter(isMarked).map((fault) => spoiled(fault, done)));
}

/** True when a marked fault was seen in half or more of the set's reps (or of its single hold). */
export function markedInMostReps(set: Pick<SetRecord, "reps" | "faults">): boolean {
  if (set.reps === undefined) return set.faults.some((f) => isMarked(f) && f.reps !== "some");
  return (
    set.faults.some((f) => isMarked(f) && f.reps === "most") || markedReps(set) * 2 >= Math.max(1, set.reps)
  );
}

function isMarked(fault: FaultRecord): boolean {
  return fault.severity === "marked";
}

function spoiled(fault: FaultRecord, done: number): number {
  if (fault.reps === "most") return done;
  if (fault.reps === "some") return Math.max(0, Math.ceil(done / 2) - 1);
  return Math.min(fault.reps, done);
}
