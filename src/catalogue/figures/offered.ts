import type { Exercise } from "~/core/exercise/exercise";
import { knobByName } from "~/core/exercise/knob";
import offers from "./offers.json";

/**
 * The words of a knob that an exercise shows, easy to hard; all of them where nobody knows, as with a clinic's own exercise that is
 * drawn like none. What `offersOf` found, kept so that no form has to draw.
 */
export function offeredWords(
  { id, drawnLike }: Pick<Exercise, "id" | "drawnLike">,
  knob: string,
): readonly string[] {
  const known: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>> = offers;
  return (known[id] ?? known[drawnLike ?? ""])?.[knob] ?? knobByName(knob).words ?? [];
}
