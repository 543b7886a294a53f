import { useMemo, type ReactNode, type RefObject } from "react";
import { drawFigure, type FigureLook } from "~/core/figure/draw-figure";
import type { Figure } from "~/core/figure/figure";
import { pathUnitsPerCm, type Extent } from "~/core/figure/outline";
import type { BodyLengths } from "~/core/pose/body-lengths";

interface Props {
  body: BodyLengths;
  figure: Figure;
  extent: Extent;
  look: FigureLook;
  /** Where along its keys the figure stands. */
  place: number;
  /** What it shows, for those who do not see it; without words it stands beside words that say it. */
  label?: string;
  className?: string;
  drawing?: RefObject<SVGSVGElement | null>;
  /** What is drawn over it, in the same millimetres. */
  children?: ReactNode;
}

/** One still picture of a figure, scaled to the room it has. */
export default function FigureDrawing({
  body,
  figure,
  extent,
  look,
  place,
  label,
  className,
  drawing,
  children,
}: Props) {
  const drawn = useMemo(() => drawFigure(body, figure, place, look), [body, figure, look, place]);
  if (!drawn.ok) return null;
  const [left, top, right, bottom] = [extent.left, extent.top, extent.right, extent.bottom].map((cm) =>
    Math.round(cm * pathUnitsPerCm),
  ) as [number, number, number, number];
  return (
    <svg
      ref={drawing}
      viewBox={`${left} ${top} ${right - left} ${bottom - top}`}
      className={`figure ${className ?? ""}`}
      {...(label ? { role: "img", "aria-label": label } : { "aria-hidden": true })}
    >
      <path className="floor" d={`M${left} 0L${right} 0`} />
      {drawn.shapes.map(({ key, look: shapeLook, d, words }) => (
        <g key={key} data-part={key}>
          <path className={shapeLook} d={d} />
          {words && (
            <text
              x={words.at[0] * pathUnitsPerCm}
              y={words.at[1] * pathUnitsPerCm}
              fontSize={words.size * pathUnitsPerCm}
              textAnchor="middle"
            >
              {words.text}
            </text>
          )}
        </g>
      ))}
      {children}
    </svg>
  );
}
