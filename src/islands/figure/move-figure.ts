import { drawFigure, type FigureLook } from "~/core/figure/draw-figure";
import type { Figure } from "~/core/figure/figure";
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
 * anew.
 *
 * @returns stops it
 */
export function moveFigure(svg: SVGSVGElement, { body, figure, look, dose }: Moving): () => void {
  const parts = new Map<string, SVGGElement>();
  for (const part of svg.querySelectorAll<SVGGElement>("g[data-part]"))
    parts.set(part.dataset["part"] ?? "", part);
  const shown = new Map<string, string>();
  let began: number | null = null;
  let order = "";
  let frame = requestAnimationFrame(function next(time) {
    began ??= time;
    const place = placeInTime(figure.timing, figure.keys.length, dose, (time - began) / 1000);
    const drawn = drawFigure(body, figure, place, look);
    if (drawn.ok) {
      for (const { key, d, look: shapeLook } of drawn.shapes) {
        if (shown.get(key) === d) continue;
        shown.set(key, d);
        const path = parts.get(key)?.firstElementChild;
        path?.setAttribute("d", d);
        if (path?.getAttribute("class") !== shapeLook) path?.setAttribute("class", shapeLook);
      }
      const now = drawn.shapes.map(({ key }) => key).join();
      if (now !== order) {
        order = now;
        for (const { key } of drawn.shapes) {
          const part = parts.get(key);
          if (part) svg.append(part);
        }
      }
    }
    frame = requestAnimationFrame(next);
  });
  return () => cancelAnimationFrame(frame);
}
