import type { OpenSignal } from "~/contract/episode";
import { stopSignal } from "~/core/intake/stop-signal";
import { signalsOf, type LoadedCase } from "~/server/case/make-case";

/** Stop signals that nobody has cleared, the latest first. */
export function openSignals({
  file,
  parts,
}: Pick<LoadedCase, "parts"> & {
  readonly file: Pick<LoadedCase["file"], "items" | "exercises">;
}): OpenSignal[] {
  const exerciseOf = (itemId: string | undefined) => {
    const item = file.items.find((candidate) => candidate.id === itemId);
    return file.exercises.find((exercise) => exercise.id === item?.exerciseId)?.name ?? null;
  };
  return signalsOf(parts)
    .filter((signal) => signal.cleared === undefined)
    .map(({ id, code, at, by, itemId, note }) => ({
      id,
      code,
      urgency: stopSignal(code).urgency,
      scope: stopSignal(code).suspends,
      at,
      by,
      exercise: exerciseOf(itemId),
      note: note ?? null,
    }))
    .reverse();
}
