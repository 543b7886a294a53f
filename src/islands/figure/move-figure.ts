import { drawFigure, type FigureLook } from "~/core/figure/draw-figure";
import type { Figure } from "~/core/figure/figure";
import type { Shape } from "~/core/figure/outline";
import { placeInTime } from "~/core/figure/place-in-time";
import type { Dose } from "~/core/dose/dose";
import type { BodyLengths } from "~/core/pose/body-lengths";

interface Moving {
  readonly body: BodyLengths;
  readonly figure: Figure;
  readonly look: FigureLook;
  readonly dose: Pick<Dose, "tempo" | "hold">;
}

/**
 * Moves a drawing that stands on the page at its own tempo: only outlines and the order of parts change, nothing is made
 * anew. What nobody sees, because it is scrolled away or because the figure holds still, is not computed.
 *
 * @returns stops it
 */
export function moveFigure(svg: SVGSVGElement, { body, figure, look, dose }: Moving): () => void {
  const parts = new Map<string, SVGGElement>();
  for (const part of svg.querySelectorAll<SVGGElement>("g[data-part]"))
    parts.set(part.dataset["part"] ?? "", part);
  const shown = new Map<string, string>();
  let began: number | null = null;
  let stoodAt: number | null = null;
  let frame = 0;
  const next = (time: number) => {
    began ??= time;
    const place = placeInTime(figure.timing, figure.keys.length, dose, (time - began) / 1000);
    if (place !== stoodAt) {
      stoodAt = place;
      const drawn = drawFigure(body, figure, place, look);
      if (drawn.ok) redraw(svg, parts, shown, drawn.shapes);
    }
    frame = requestAnimationFrame(next);
  };
  const watcher = new IntersectionObserver((entries) => {
    cancelAnimationFrame(frame);
    if (entries.at(-1)?.isIntersecting) frame = requestAnimationFrame(next);
  });
  watcher.observe(svg);
  return () => {
    watcher.disconnect();
    cancelAnimationFrame(frame);
  };
}

function redraw(
  svg: SVGSVGElement,
  parts: ReadonlyMap<string, SVGGElement>,
  shown: Map<string, string>,
  shapes: readonly Shape[],
): void {
  let after: SVGGElement | null = null;
  for (const { key, d, look } of shapes.toReversed()) {
    const part = parts.get(key);
    if (!part) continue;
    if (shown.get(key) !== d) {
      shown.set(key, d);
      const path = part.firstElementChild;
      path?.setAttribute("d", d);
      if (path?.getAttribute("class") !== look) path?.setAttribute("class", look);
    }
    // Far to near: a part is moved only where its neighbour is no longer the one that lies before it.
    if (part.nextElementSibling !== after) svg.insertBefore(part, after);
    after = part;
  }
}
