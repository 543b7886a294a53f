import type { Static } from "@sinclair/typebox";
import { useMemo, useRef, useState, type PointerEvent } from "react";
import type { LoadBody } from "~/contract/load-body";
import { pathUnitsPerCm } from "~/core/figure/outline";
import { resolveFigure } from "~/core/figure/resolve-figure";
import { linkageFigure } from "~/core/load/linkage-pose";
import { linkageModel } from "~/core/mechanics/linkage-model";
import type { SquatLinkageOutput } from "~/core/mechanics/squat-linkage";
import { bodyLengths } from "~/core/pose/body-lengths";
import FigureDrawing from "~/islands/figure/FigureDrawing";
import { t } from "~/messages/say";
import { askOf, hipPulled, kneePulled, type Bench } from "./bench";
import Levers, { type Pushes } from "./Levers";

interface Props {
  body: LoadBody;
  bench: Bench;
  held: Static<typeof SquatLinkageOutput>;
  left: boolean;
  onBench: (part: Partial<Bench>) => void;
}

const handleMm = 70;

/** The person on the bench from the side, with handles at knee and hip. A form that cannot be held keeps the last lean. */
export default function BenchFigure({ body, bench, held, left, onBench }: Props) {
  const lengths = useMemo(() => bodyLengths({ heightM: body.heightM }), [body.heightM]);
  const [lastLean, setLastLean] = useState(0);
  const leanDeg = held.feasible ? held.trunkLeanDeg : lastLean;
  if (held.feasible && held.trunkLeanDeg !== lastLean) setLastLean(held.trunkLeanDeg);
  const figure = useMemo(
    () =>
      linkageFigure(lengths, {
        kneeFlexionDeg: bench.kneeDeg,
        shankInclinationDeg: bench.shankDeg,
        trunkLeanDeg: leanDeg,
        stance: bench.stance,
        freeLeg: bench.freeLeg,
        armsForward: bench.armsForward,
        barKg: bench.barKg,
        dumbbellsKg: bench.handsKg,
      }),
    [lengths, bench, leanDeg],
  );
  const drawn = useMemo(() => resolveFigure(lengths, figure, 0), [lengths, figure]);
  const svg = useRef<SVGSVGElement>(null);
  const [pulled, setPulled] = useState<"knee" | "hip" | null>(null);
  const sign = left ? -1 : 1;
  const h = 100 * body.heightM;
  const wide = { left: -0.62 * h, right: 0.72 * h };
  const extent = {
    left: left ? -wide.right : wide.left,
    right: left ? -wide.left : wide.right,
    top: -1.06 * h,
    bottom: 3,
  };
  const look = { left, marked: "leg" } as const;
  const model = linkageModel(askOf(body, bench));

  const pull = (event: PointerEvent<SVGElement>) => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    if (!pulled || !matrix) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    const ahead = (sign * x) / pathUnitsPerCm / 100;
    const above = -y / pathUnitsPerCm / 100 - lengths.ankleHeight;
    onBench(
      pulled === "knee"
        ? kneePulled(lengths.shank, ahead)
        : hipPulled({ shankM: lengths.shank, thighM: lengths.thigh }, ahead, above),
    );
  };
  const label = t("lab.tab.bench");
  if (!drawn.ok)
    return <p className="text-warning h-104">{t("lab.cannot.undrawable", { why: drawn.why })}</p>;
  const { legs, centre } = drawn.body;
  const share = bench.stance === "double" ? 0.5 : 1;
  const ground = (side: "w" | "o") => ({
    share,
    pressureAt: [model.pressureM, 0, legs[side].ankle[2]] as const,
  });
  const loads: Pushes = {
    above: { at: [model.pressureM, centre[1], 0] },
    legs: { w: ground("w"), o: bench.stance === "double" ? ground("o") : null },
  };
  return (
    <div className="h-104 select-none" data-testid="bench-figure">
      <FigureDrawing
        body={lengths}
        figure={figure}
        extent={extent}
        look={look}
        place={0}
        label={label}
        drawing={svg}
        className="h-full w-full"
      >
        {held.feasible && <Levers body={drawn.body} loads={loads} left={left} numbers />}
        {(["knee", "hip"] as const).map((joint) => {
          const [x, y] = legs.w[joint];
          return (
            <circle
              key={joint}
              cx={sign * x * 100 * pathUnitsPerCm}
              cy={-y * 100 * pathUnitsPerCm}
              r={handleMm}
              className={`handle ${pulled === joint ? "pulled" : ""}`}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                setPulled(joint);
              }}
              onPointerMove={pull}
              onPointerUp={() => setPulled(null)}
              onPointerCancel={() => setPulled(null)}
            />
          );
        })}
      </FigureDrawing>
    </div>
  );
}
