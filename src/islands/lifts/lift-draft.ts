import type { LiftEntry } from "~/core/lift/lift";
import type { MessageKey } from "~/messages/en";
import { t } from "~/messages/say";
import { typedNumber } from "~/islands/frame/typed-number";

/** A lift as it stands in the form: as typed. */
export interface LiftFields {
  movement: string;
  on: string;
  sets: string;
  reps: string;
  loadKg: string;
  felt: NonNullable<LiftEntry["felt"]> | "";
  note: string;
}

/** The form at its beginning: empty on today, or as an entry that is to be corrected stands. */
export function liftFields(entry: LiftEntry | null, today: string): LiftFields {
  return {
    movement: entry?.movement ?? "",
    on: entry?.on ?? today,
    sets: entry ? String(entry.sets) : "",
    reps: entry ? String(entry.reps) : "",
    loadKg: entry ? String(entry.loadKg) : "",
    felt: entry?.felt ?? "",
    note: entry?.note ?? "",
  };
}

/** What is sent of the form; null while something that it needs is missing or no number. */
export function liftBody({ movement, on, sets, reps, loadKg, felt, note }: LiftFields): LiftEntry | null {
  const numbers = [sets, reps, loadKg].map(typedNumber);
  const [s, r, kg] = numbers;
  const isMissing = numbers.some((number) => number === null || Number.isNaN(number) || number <= 0);
  if (isMissing || movement.trim().length < 2 || on === "") return null;
  return {
    movement: movement.trim(),
    on,
    sets: s ?? 0,
    reps: r ?? 0,
    loadKg: kg ?? 0,
    ...(felt === "" ? {} : { felt }),
    ...(note.trim() === "" ? {} : { note: note.trim() }),
  };
}

/** What the fields are called in the form. */
const fieldWords: Readonly<Record<string, MessageKey>> = {
  "/movement": "lifts.movement",
  "/on": "lifts.on",
  "/sets": "lifts.sets",
  "/reps": "lifts.reps",
  "/loadKg": "lifts.load",
  "/note": "lifts.note",
};

/** The field that an answer speaks of, in the form's own words; nothing for the whole. */
export function sayLiftField(path: string): string {
  const words = fieldWords[path];
  return words ? `${t(words)}:` : "";
}
