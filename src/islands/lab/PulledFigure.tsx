import { useMemo, useRef, useState, type PointerEvent } from "react";
import { pathUnitsPerCm } from "~/core/figure/outline";
import { resolveFigure } from "~/core/figure/resolve-figure";
import type { Figure } from "~/core/figure/figure";
import type { Body } from "~/core/pose/body";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Vec } from "~/core/pose/space";
import FigureDrawing from "~/islands/figure/FigureDrawing";
import { t } from "~/messages/say";
import Levers, { type Pushes } from "./Levers";

/** Something of a figure that can be pulled about. */
export interface Handle {
  readonly name: string;
  readonly at: (body: Body) => Vec;
  /** Where it was pulled to: metres ahead of the front ankle, and above the floor. */
  readonly onPull: (ahead: number, above: number) => void;
}

interface Props {
  lengths: BodyLengths;
  figure: Figure;
  left: boolean;
  label: string;
  handles: readonly Handle[];
  /** How far the picture reaches ahead and behind, shares of the height. */
  reach: { readonly behind: number; readonly ahead: number };
  /** The pushes at this body; null while the form cannot be held. */
  pushes: ((body: Body) => Pushes) | null;
}

const handleMm = 70;

/** A person from the side whose joints, feet or box are pulled about by hand. */
export default function PulledFigure({ lengths, figure, left, label, handles, reach, pushes }: Props) {
  const drawn = useMemo(() => resolveFigure(lengths, figure, 0), [lengths, figure]);
  const svg = useRef<SVGSVGElement>(null);
  const [pulled, setPulled] = useState<string | null>(null);
  const sign = left ? -1 : 1;
  const h = 100 * lengths.height;
  const [behind, ahead] = [-reach.behind * h, reach.ahead * h];
  const extent = {
    left: left ? -ahead : behind,
    right: left ? -behind : ahead,
    top: -1.06 * h,
    bottom: 11,
  };
  const pull = (event: PointerEvent<SVGElement>, { name, onPull }: Handle) => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    if (pulled !== name || !matrix) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    onPull((sign * x) / pathUnitsPerCm / 100, -y / pathUnitsPerCm / 100);
  };
  if (!drawn.ok)
    return <p className="text-warning h-104">{t("lab.cannot.undrawable", { why: drawn.why })}</p>;
  return (
    <div className="h-104 select-none" data-testid="bench-figure">
      <FigureDrawing
        body={lengths}
        figure={figure}
        extent={extent}
        look={{ left, marked: "leg" }}
        place={0}
        label={label}
        drawing={svg}
        className="h-full w-full"
      >
        {pushes && <Levers body={drawn.body} loads={pushes(drawn.body)} left={left} numbers />}
        {handles.map((handle) => {
          const [x, y] = handle.at(drawn.body);
          return (
            <circle
              key={handle.name}
              data-handle={handle.name}
              cx={sign * x * 100 * pathUnitsPerCm}
              cy={-y * 100 * pathUnitsPerCm}
              r={handleMm}
              className={`handle ${pulled === handle.name ? "pulled" : ""}`}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                setPulled(handle.name);
              }}
              onPointerMove={(event) => pull(event, handle)}
              onPointerUp={() => setPulled(null)}
              onPointerCancel={() => setPulled(null)}
            />
          );
        })}
      </FigureDrawing>
    </div>
  );
}
