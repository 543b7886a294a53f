import type { Figure } from "~/core/figure/figure";
import { resolveFigure } from "~/core/figure/resolve-figure";
import type { Body } from "~/core/pose/body";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Pose } from "~/core/pose/pose";

/** A body at one place of a drawn movement. */
export interface Moment {
  /** Along the figure's keys, as `poseAt` counts. */
  readonly place: number;
  readonly body: Body;
  readonly pose: Pose;
}

export type DrawnMovement =
  | { readonly ok: true; readonly moments: readonly Moment[] }
  | { readonly ok: false; readonly why: string };

/** Looks at a movement between two keys; joint angles turn round within less than a degree of these (measured by a test). */
const looksBetweenKeys = 16;

/**
 * The bodies of a drawn movement from its first key to its last, and of a sequence on to its first again.
 *
 * @returns at least one moment; or why this body cannot be drawn in it
 */
export function drawnMovement(lengths: BodyLengths, figure: Figure): DrawnMovement {
  const spans = figure.timing.kind === "sequence" ? figure.keys.length : figure.keys.length - 1;
  const moments: Moment[] = [];
  for (let look = 0; look <= spans * looksBetweenKeys; look += 1) {
    const place = look / looksBetweenKeys;
    const drawn = resolveFigure(lengths, figure, place);
    if (!drawn.ok) return drawn;
    moments.push({ place, body: drawn.body, pose: drawn.pose });
  }
  return { ok: true, moments };
}
