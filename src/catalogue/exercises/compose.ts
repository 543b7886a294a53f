import type { Dose } from "~/core/dose/dose";
import { doseStyle } from "~/core/dose/dose-style";
import type { Exercise, Turn, Variant } from "~/core/exercise/exercise";
import type { KnobValue } from "~/core/exercise/prescription";

/** One variant said against the one before it: the knob that is turned, and whatever else follows from that. */
export type Step = Pick<Variant, "id" | "name"> &
  Partial<Pick<Variant, "dose" | "turns" | "kit" | "position" | "phase" | "arcs">> & {
    readonly turn?: readonly [knob: string, value: KnobValue];
  };

/** Variants from easy to hard; each takes over what the one before it had and turns one knob. */
export function progression(base: Omit<Variant, "id" | "name">, steps: readonly Step[]): Variant[] {
  let before = base;
  return steps.map(({ turn, ...own }) => {
    const settings = turn ? { ...before.settings, [turn[0]]: turn[1] } : before.settings;
    const variant: Variant = { ...before, ...own, settings };
    before = variant;
    return variant;
  });
}

/** A dose in its style's usual form, with what is different here. */
export function dose(style: Dose["style"], different: Partial<Dose> = {}): Dose {
  return { style, ...doseStyle(style).usual, ...different };
}

/** A range for a dose. */
export const from = (bottom: number, top: number = bottom) => ({ bottom, top });

/** A ladder of values for one knob, easy to hard. */
export const ladder = (knob: string, ...values: KnobValue[]): Turn => ({ knob, ladder: values });

/** Out of sitting back, degree by degree, to the plain form: before anything else grows (common practice). */
export const outOfSitBack = (...degrees: string[]): Turn => ladder("sit-back-at", ...degrees, "none");

/** Load in the kit's increments up to where another knob serves better. */
export const load = (kit: string, maximumKg: number, incrementKg: number, stepPercent = 5): Turn => ({
  knob: "load",
  kit,
  stepPercent,
  incrementKg,
  maximumKg,
});

type Loads = NonNullable<Exercise["loads"]>;

/** How much a movement loads kneecap, hip and back. */
export const loads = (kneecap: Loads["kneecap"], hip: Loads["hip"], back: Loads["back"]): Loads => ({
  kneecap,
  hip,
  back,
});
