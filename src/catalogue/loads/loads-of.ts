import { figureOf } from "~/catalogue/figures/all";
import type { Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import type { Figure } from "~/core/figure/figure";
import { movementLoads, type MovementLoads } from "~/core/load/movement-loads";
import { lengthsOf } from "~/core/pose/body-lengths";

/** Whose loads are asked for. */
export interface LoadedBody {
  readonly heightM: number;
  readonly massKg: number;
  /** Limbs as measured, metres; else shares of the height. */
  readonly shankM?: number | null;
  readonly thighM?: number | null;
}

/** A movement as somebody does it: which, in what form, with what. */
export interface AskedMovement {
  readonly exercise: Pick<Exercise, "id" | "drawnLike">;
  readonly settings: Prescription["settings"];
  readonly loadKg: number;
}

export type LoadsOrNoFigure = MovementLoads | { readonly ok: false; readonly reason: "no-figure" };

/**
 * What the legs carry through an exercise with these settings, read from its figure for this body.
 *
 * @returns moments from start to end; or why there are none
 */
export function loadsOf(body: LoadedBody, { exercise, settings, loadKg }: AskedMovement): LoadsOrNoFigure {
  const lengths = lengthsOf(body);
  let figure: Figure | null;
  try {
    figure = figureOf(exercise, { settings }, lengths);
  } catch (error) {
    return { ok: false, reason: "undrawable", why: (error as RangeError).message };
  }
  if (!figure) return { ok: false, reason: "no-figure" };
  return movementLoads(lengths, figure, { massKg: body.massKg, loadKg });
}
