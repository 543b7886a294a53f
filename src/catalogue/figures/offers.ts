import { bodyLengths, type BodyLengths } from "~/core/pose/body-lengths";
import type { Exercise, Variant } from "~/core/exercise/exercise";
import { findKnob } from "~/core/exercise/knob";
import { resolveFigure } from "~/core/figure/resolve-figure";
import { figureOf } from "./all";

/** Words that a movement draws, knob by knob. */
export type Offers = Readonly<Record<string, readonly string[]>>;

const usualHeight = 1.75;

/**
 * Which words of its knobs an exercise really shows: those of its variants, and every other that can be drawn and looks like none
 * before it in some variant. Others would be words on paper.
 *
 * @returns knob by knob, words from easy to hard; knobs with numbers are left out
 */
export function offersOf(exercise: Exercise): Offers {
  const body = bodyLengths({ heightM: usualHeight });
  const names = [...new Set(exercise.variants.flatMap(({ settings }) => Object.keys(settings)))];
  return Object.fromEntries(
    names.flatMap((name) => {
      const words = findKnob(name)?.words;
      return words ? [[name, words.filter((word) => isOffered(exercise, name, word, body))]] : [];
    }),
  );
}

function isOffered(exercise: Exercise, name: string, word: string, body: BodyLengths): boolean {
  const having = exercise.variants.filter(({ settings }) => settings[name] !== undefined);
  if (having.some(({ settings }) => settings[name] === word)) return true;
  const used = new Set(having.map(({ settings }) => settings[name]));
  return having.some((variant) => {
    const drawn = looks(exercise, variant, name, word, body);
    return (
      drawn !== null && [...used].every((other) => looks(exercise, variant, name, other, body) !== drawn)
    );
  });
}

/** Everything of a figure that somebody could see; null where it cannot be drawn. */
function looks(
  exercise: Exercise,
  { settings }: Variant,
  name: string,
  word: unknown,
  body: BodyLengths,
): string | null {
  const figure = figureOf(exercise, { settings: { ...settings, [name]: word as string } }, body);
  if (!figure) return null;
  const points: unknown[] = [];
  for (const place of figure.keys.keys()) {
    const resolved = resolveFigure(body, figure, place);
    if (!resolved.ok) return null;
    points.push(Object.values(resolved.body.points).map((at) => at.map((value) => value.toFixed(3))));
  }
  return JSON.stringify([points, figure.props, figure.timing.kind]);
}
