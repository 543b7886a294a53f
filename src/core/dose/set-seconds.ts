import type { Dose } from "./dose";
import { tempoSeconds } from "./tempo";

const contactsPerSecond = 2;

/**
 * Seconds of one set of one side, every range at its top: repetitions at their tempo with the pause and the hold in each, else
 * one hold, else contacts at two a second, else minutes.
 *
 * @example setSeconds({ reps: { bottom: 8, top: 12 }, tempo: "3-1-1-0" }) // 60
 * Source: arithmetic; two contacts a second are common practice.
 */
export function setSeconds({
  reps,
  hold,
  contacts,
  minutes,
  tempo,
  halfwayPauseSeconds,
}: Pick<Dose, "reps" | "hold" | "contacts" | "minutes" | "tempo" | "halfwayPauseSeconds">): number {
  if (reps) return reps.top * (tempoSeconds(tempo) + (halfwayPauseSeconds ?? 0) + (hold?.top ?? 0));
  if (hold) return hold.top;
  if (contacts) return contacts.top / contactsPerSecond;
  return (minutes ?? 0) * 60;
}
