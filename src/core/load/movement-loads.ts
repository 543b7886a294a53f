import type { Figure } from "~/core/figure/figure";
import { resolveFigure } from "~/core/figure/resolve-figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import { standingLoads, type StandingLoads, type Unreadable } from "./standing-loads";

/** Loads at one place along a movement. */
export interface LoadsAt extends StandingLoads {
  readonly place: number;
}

export type MovementLoads =
  | { readonly ok: true; readonly moments: readonly LoadsAt[] }
  | { readonly ok: false; readonly reason: Unreadable | "too-fast" }
  | { readonly ok: false; readonly reason: "undrawable"; readonly why: string };

/** Moments that are looked at between two keys of a figure. */
const looksBetweenKeys = 12;

/**
 * What the legs carry through a drawn movement, from its first key to its last, each moment as if it were held still: for
 * standing exercises that are slow enough for it.
 *
 * @returns at least one moment; or why there is none
 */
export function movementLoads(
  lengths: BodyLengths,
  figure: Figure,
  weights: { readonly massKg: number; readonly loadKg: number },
): MovementLoads {
  if (figure.timing.kind === "sequence") return { ok: false, reason: "too-fast" };
  const looks = (figure.keys.length - 1) * looksBetweenKeys;
  const moments: LoadsAt[] = [];
  for (let look = 0; look <= looks; look += 1) {
    const place = look / looksBetweenKeys;
    const drawn = resolveFigure(lengths, figure, place);
    if (!drawn.ok) return { ok: false, reason: "undrawable", why: drawn.why };
    const loads = standingLoads(lengths, figure, { ...drawn, place }, weights);
    if (typeof loads === "string") return { ok: false, reason: loads };
    moments.push({ ...loads, place });
  }
  return { ok: true, moments };
}
