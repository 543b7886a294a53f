import type { OpenSignal } from "~/contract/episode";
import { openSignalsOf } from "~/core/case/stops";
import { stopSignal } from "~/core/intake/stop-signal";
import type { StaffContext } from "~/server/staff-context";
import { signalsOf, type LoadedCase } from "~/server/case/make-case";

/** What is needed of a loaded case, so that signals can be shown of one that cannot be judged too. */
export type LoadedSignals = Pick<LoadedCase, "parts"> & {
  readonly file: Pick<LoadedCase["file"], "items" | "exercises" | "asOf">;
};

/** How long a signal can be taken back by who raised it. */
export const takenBackWithinMs = 60_000;

/** Stop signals of the person that nobody has cleared, the latest first. */
export function openSignals(
  { file, parts }: LoadedSignals,
  { name }: Partial<Pick<StaffContext, "name">>,
): OpenSignal[] {
  const nameOf = (exerciseId: string | undefined) =>
    file.exercises.find((exercise) => exercise.id === exerciseId)?.name ?? null;
  const exerciseOf = (itemId: string | undefined) =>
    file.items.find((candidate) => candidate.id === itemId)?.exerciseId;
  const signals = signalsOf(parts);
  const by = new Map(signals.map((signal) => [signal.id, signal.by]));
  return openSignalsOf({ asOf: file.asOf, signals: [...signals] })
    .map(({ id, code, at, itemId, note, elsewhere }) => ({
      id,
      code,
      urgency: stopSignal(code).urgency,
      scope: stopSignal(code).suspends,
      at,
      by: by.get(id) ?? "",
      exercise: nameOf(elsewhere?.exerciseId ?? exerciseOf(itemId)),
      note: note ?? null,
      mayTakeBack:
        !elsewhere && by.get(id) === name && Date.parse(file.asOf) - Date.parse(at) <= takenBackWithinMs,
      elsewhere: elsewhere ? { episodeId: elsewhere.episodeId, diagnosis: elsewhere.diagnosis } : null,
    }))
    .reverse();
}
