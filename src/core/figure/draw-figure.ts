import type { BodyLengths } from "~/core/pose/body-lengths";
import { camera } from "./camera";
import { drawBody } from "./draw-body";
import { drawPainArc, type DrawnPainArc } from "./draw-pain-arc";
import { drawProps } from "./draw-props";
import type { Figure } from "./figure";
import { joined, type Extent, type Shape } from "./outline";
import { resolveFigure } from "./resolve-figure";

export interface FigureLook {
  /** The working side is the left one: everything is seen from there. */
  readonly left: boolean;
  readonly marked: "leg" | "arm" | "none";
  /** Where a joint of the working leg hurt, when that was said. */
  readonly painArc?: DrawnPainArc;
}

export type Drawn =
  | { readonly ok: true; readonly shapes: readonly Shape[]; readonly extent: Extent }
  | { readonly ok: false; readonly why: string };

/**
 * The outlines of a figure at a place along its keys, far to near, with the floor at y = 0.
 *
 * @returns shapes, or in a sentence why the figure cannot be drawn for this body
 */
export function drawFigure(lengths: BodyLengths, figure: Figure, place: number, look: FigureLook): Drawn {
  const resolved = resolveFigure(lengths, figure, place);
  if (!resolved.ok) return resolved;
  const { body } = resolved;
  const seen = camera(figure.viewDeg, look.left);
  const eyesClosed = figure.props.some((prop) => prop.kind === "sign" && prop.what === "eyes-closed");
  const shapes = [
    ...drawProps(figure.props, { body, lengths, camera: seen }),
    ...(look.painArc ? [drawPainArc(look.painArc, body, lengths, seen)] : []),
    ...drawBody(body, seen, { lengths, marked: look.marked, eyesClosed }),
  ].sort((a, b) => a.near - b.near);
  return { ok: true, shapes, extent: joined(shapes.map(({ extent }) => extent)) };
}

const marginCm = 6;

/**
 * What a figure takes up over its whole movement, centimetres: looked at in every key and half-way between.
 *
 * @returns the extent with a margin and the floor in it, or why the figure cannot be drawn somewhere on its way
 */
export function figureExtent(
  lengths: BodyLengths,
  figure: Figure,
  look: FigureLook,
): { ok: true; extent: Extent } | { ok: false; why: string } {
  const last = figure.timing.kind === "sequence" ? figure.keys.length - 0.5 : figure.keys.length - 1;
  const extents: Extent[] = [];
  for (let place = 0; place <= last; place += 0.5) {
    const drawn = drawFigure(lengths, figure, place, look);
    if (!drawn.ok) return drawn;
    extents.push(drawn.extent);
  }
  const { left, top, right, bottom } = joined(extents);
  return {
    ok: true,
    extent: {
      left: left - marginCm,
      top: top - marginCm,
      right: right + marginCm,
      bottom: Math.max(bottom, 2) + 2,
    },
  };
}
