import { offeredWords } from "~/catalogue/figures/offered";
import type { Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";

/** What of a movement is its form: how somebody stands and where the weight goes, at the same kit and dose. */
const formKnobs = [
  "knee-travel",
  "sit-back-at",
  "trunk",
  "stance-length",
  "stance-width",
  "foot-turn",
  "raised",
  "free-leg",
] as const;

/** So many are looked through; beyond, the last knobs keep their setting. */
const most = 240;

/**
 * Every form of a movement that its figure shows, the present one first: each knob of its form at each word that it offers.
 *
 * @returns settings, at most 240
 */
export function formsOf(
  exercise: Pick<Exercise, "id" | "drawnLike">,
  settings: Prescription["settings"],
): Prescription["settings"][] {
  return formKnobs.reduce<Prescription["settings"][]>(
    (forms, knob) => {
      const present = settings[knob];
      if (present === undefined) return forms;
      const words = [present, ...offeredWords(exercise, knob).filter((word) => word !== present)];
      if (forms.length * words.length > most) return forms;
      return words.flatMap((word) => forms.map((form) => ({ ...form, [knob]: word })));
    },
    [settings],
  );
}
