import type { Figure } from "~/core/figure/figure";
import { resolveFigure } from "~/core/figure/resolve-figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import { standingLoads, type StandingLoads, type Unreadable } from "./standing-loads";

/** Loads at one place along a movement. */
export interface LoadsAt extends StandingLoads {
  readonly place: number;
}

export type MovementLoads =
  | {
      readonly ok: true;
      readonly moments: readonly LoadsAt[];
      /** The share of the movement that was read, above 0.5; less than 1 where a seat, the hands or the floor carry at one end. */
      readonly readShare: number;
    }
  | { readonly ok: false; readonly reason: Unreadable | "too-fast" }
  | { readonly ok: false; readonly reason: "undrawable"; readonly why: string };

/** Moments that are looked at between two keys of a figure. */
const looksBetweenKeys = 12;

/**
 * What the legs carry through a drawn movement, from its first key to its last, each moment as if it were held still: for
 * standing exercises that are slow enough for it.
 *
 * @returns at least one moment, and at least half of the movement; or why there is none
 */
export function movementLoads(
  lengths: BodyLengths,
  figure: Figure,
  weights: { readonly massKg: number; readonly loadKg: number },
): MovementLoads {
  if (figure.timing.kind === "sequence") return { ok: false, reason: "too-fast" };
  const looks = (figure.keys.length - 1) * looksBetweenKeys;
  const read: (LoadsAt | Unreadable)[] = [];
  for (let look = 0; look <= looks; look += 1) {
    const place = look / looksBetweenKeys;
    const drawn = resolveFigure(lengths, figure, place);
    if (!drawn.ok) return { ok: false, reason: "undrawable", why: drawn.why };
    const loads = standingLoads(lengths, figure, { ...drawn, place }, weights);
    read.push(typeof loads === "string" ? loads : { ...loads, place });
  }
  return onTheFeet(read);
}

/** The stretch of a movement that stands: all of it, or all but an end at which something else carries. */
function onTheFeet(read: readonly (LoadsAt | Unreadable)[]): MovementLoads {
  const isRead = (one: LoadsAt | Unreadable): one is LoadsAt => typeof one !== "string";
  const [first, last] = [read.findIndex(isRead), read.findLastIndex(isRead)];
  const stretch = read.slice(Math.max(0, first), last + 1);
  const moments = stretch.filter(isRead);
  const unread = read.filter((one): one is Unreadable => typeof one === "string");
  const [reason] = unread;
  if (reason === undefined) return { ok: true, moments, readShare: 1 };
  const isBroken = moments.length < stretch.length || 2 * moments.length < read.length;
  const leans = unread.find((one) => one === "leans-on-something");
  if (leans || isBroken) return { ok: false, reason: leans ?? reason };
  return { ok: true, moments, readShare: moments.length / read.length };
}
