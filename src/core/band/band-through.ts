import type { Figure } from "~/core/figure/figure";
import { resolveFigure } from "~/core/figure/resolve-figure";
import type { Body } from "~/core/pose/body";
import type { BodyLengths } from "~/core/pose/body-lengths";
import { drawnBand, type DrawnBand } from "./drawn-band";

/** A band at one place along a movement, with the body it pulls at. */
export interface BandMoments {
  readonly place: number;
  readonly band: DrawnBand;
  readonly body: Body;
}

/** Moments that are looked at between two keys of a figure. */
const looksBetweenKeys = 12;

/**
 * A band through a drawn movement, from its first key to its last.
 *
 * @returns empty where the figure has no band, or cannot be drawn for this body
 */
export function bandThrough(lengths: BodyLengths, figure: Figure): BandMoments[] {
  const looks = Math.max(1, figure.keys.length - 1) * looksBetweenKeys;
  const moments: BandMoments[] = [];
  for (let look = 0; look <= looks; look += 1) {
    const place = Math.min(figure.keys.length - 1, look / looksBetweenKeys);
    const drawn = resolveFigure(lengths, figure, place);
    const band = drawn.ok ? drawnBand(drawn.body, figure, lengths.height) : null;
    if (!drawn.ok || !band) return [];
    moments.push({ place, band, body: drawn.body });
    if (figure.keys.length === 1) break;
  }
  return moments;
}
