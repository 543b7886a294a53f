import type { CaseFile, StageMove } from "./case-file";

/** Of dated entries, the one that holds at an instant: the latest that has begun. */
export function latest<T extends { at: string }>(entries: readonly T[], asOf: string): T | undefined {
  return entries
    .filter((entry) => Date.parse(entry.at) <= Date.parse(asOf))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
    .at(-1);
}

/** The move that brought the patient to the stage of `asOf`. @throws RangeError for a case without any */
export function moveInForce(file: CaseFile): StageMove {
  const move = latest(file.stageMoves, file.asOf);
  if (!move) throw new RangeError("the case has no stage");
  return move;
}
