import type { Figure } from "~/core/figure/figure";
import { bodyLengths, type BodyLengths, type BodySize } from "~/core/pose/body-lengths";
import { variantOf, type Exercise, type Variant } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import type { Demand } from "./demand";
import { demandOf } from "./demand-of";
import { drawnDemand, type DrawnDemandOrWhy } from "./drawn-demand";

/** A body as demands are asked for it: lengths in metres, mass in kilograms where it is known. */
export interface AskedBody extends BodySize {
  readonly massKg?: number;
}

export type Told = { /** The exercise with what it is known to ask. */ readonly exercise: Exercise } & (
  | { readonly ok: true; readonly demand: Demand }
  | { readonly ok: false; readonly why: string }
);

/** Tells what prescriptions ask of one body. */
export interface DemandBook {
  readonly demandOf: (exercise: Exercise, prescription: Prescription) => Told;
  /** Stress under the kneecap of the working leg over a session, MPa·s; null where nobody can say. A book of labels says nothing. */
  readonly kneecapOf?: (exercise: Exercise, prescription: Prescription) => number | null;
}

/** How an exercise is drawn with its knobs set; null when nobody drew it. */
export type Draws = (
  exercise: Exercise,
  prescription: Pick<Prescription, "settings">,
  lengths: BodyLengths,
) => Figure | null;

/** What variants ask as they stand in the catalogue, with the exercise they were asked of. */
export type KeptDemands = WeakMap<Variant, Told>;

/** What was read from drawings, by body, figure and settings. Whoever asks keeps it, and for how long. */
export interface KeptDrawings {
  readonly get: (key: string) => DrawnDemandOrWhy | undefined;
  readonly set: (key: string, drawn: DrawnDemandOrWhy) => unknown;
  /** What was made of them for one body: a library asks of every variant at once. */
  readonly demandsFor?: (body: string) => KeptDemands;
}

const middleBuild = 22;

/**
 * Kilograms of an adult of middle build, taken where nobody weighed them: 22 for each square metre of height (WHO's middle of
 * the healthy range).
 *
 * @param heightM metres
 * @example usualMassKg(1.75) // 67.375
 */
export const usualMassKg = (heightM: number): number => middleBuild * heightM ** 2;

/**
 * A book for one body.
 *
 * @param kept drawings read before, which are added to: reading one takes a millisecond or two, judging one none
 * @throws RangeError for a body that nobody has
 */
export function demandBook(body: AskedBody, draws: Draws, kept: KeptDrawings = new Map()): DemandBook {
  const lengths = bodyLengths(body);
  const massKg = body.massKg ?? usualMassKg(body.heightM);
  const size = `${body.heightM}/${body.shankM ?? ""}/${body.thighM ?? ""}`;
  const drawnOf = (exercise: Exercise, prescription: Prescription): DrawnDemandOrWhy => {
    const key = `${size}/${exercise.id}/${exercise.drawnLike ?? ""}/${JSON.stringify(prescription.settings)}`;
    const before = kept.get(key);
    if (before) return before;
    const figure = draws(exercise, prescription, lengths);
    const drawn: DrawnDemandOrWhy = figure
      ? drawnDemand(lengths, figure)
      : { ok: false, why: "nothing is drawn of it" };
    kept.set(key, drawn);
    return drawn;
  };
  const tell = (exercise: Exercise, variant: Variant, prescription: Prescription): Told => {
    const drawn = drawnOf(exercise, prescription);
    if (!drawn.ok) return { exercise, ...drawn };
    const demand = demandOf({ exercise, variant, prescription, drawn: drawn.demand, massKg });
    return { exercise, ok: true, demand };
  };
  const demands = kept.demandsFor?.(`${size}/${massKg}`);
  return {
    demandOf: (exercise, prescription) => {
      const variant = variantOf(exercise, prescription.variantId);
      const { settings, dose } = prescription;
      // Only the very objects of the catalogue are looked up: whatever was turned, or is another version, is another one.
      if (!demands || settings !== variant.settings || dose !== variant.dose)
        return tell(exercise, variant, prescription);
      const before = demands.get(variant);
      if (before?.exercise === exercise) return before;
      const told = tell(exercise, variant, prescription);
      demands.set(variant, told);
      return told;
    },
  };
}
