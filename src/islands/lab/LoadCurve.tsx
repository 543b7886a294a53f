import { line, scaleLinear } from "d3";
import type { Side } from "~/core/demand/contacts";
import { curveOf } from "~/core/load/curve-of";
import type { LoadKind } from "~/core/load/load-kind";
import type { LoadsAt } from "~/core/load/movement-loads";
import { useWidth } from "~/islands/chart/use-width";
import ValueAxis from "~/islands/chart/ValueAxis";
import { label, sayQuantity, t } from "~/messages/say";

interface Props {
  kind: LoadKind;
  side: Side;
  plan: readonly LoadsAt[];
  changed: readonly LoadsAt[] | null;
  /** The moment that the figures show. */
  at: number;
  onAt: (index: number) => void;
  /** Bends at which it hurt, degrees. */
  hurt: { readonly fromDeg: number; readonly toDeg: number } | null;
}

const height = 128;
const margin = { top: 24, right: 12, bottom: 18, left: 40 };

/** One kind of load over the movement: the plan's form dashed, the changed one solid, and where the figures stand. */
export default function LoadCurve({ kind, side, plan, changed, at, onAt, hurt }: Props) {
  const [box, width] = useWidth(160);
  const curves = [curveOf(plan, side, kind), changed ? curveOf(changed, side, kind) : []];
  const values = curves.flat().flatMap(({ value }) => value ?? []);
  const last = Math.max(1, ...[plan, changed ?? []].flatMap((moments) => moments.map(({ place }) => place)));
  const x = scaleLinear()
    .domain([0, last])
    .range([margin.left, width - margin.right]);
  const y = scaleLinear()
    .domain([Math.min(0, ...values), Math.max(kind === "stress" ? 1 : 10, ...values)])
    .nice()
    .range([height - margin.bottom, margin.top]);
  type Point = (typeof curves)[0][number];
  const path = line<Point>(
    ({ place }) => x(place),
    ({ value }) => y(value ?? NaN),
  ).defined(({ value }) => value !== null);
  const here = plan[at]?.place ?? 0;
  const hurting = hurt
    ? (curves[0] ?? []).filter(
        ({ kneeFlexionDeg: deg }) => deg !== null && deg >= hurt.fromDeg && deg <= hurt.toDeg,
      )
    : [];
  const [from, to] = [hurting[0]?.place, hurting.at(-1)?.place];
  const pick = (clientX: number, svg: SVGSVGElement) => {
    const wanted = x.invert(clientX - svg.getBoundingClientRect().left);
    const nearest = plan.reduce(
      (best, { place }, index) =>
        Math.abs(place - wanted) < Math.abs((plan[best]?.place ?? 0) - wanted) ? index : best,
      0,
    );
    onAt(nearest);
  };
  return (
    <div ref={box} className="min-w-0 overflow-hidden" data-testid={`curve-${kind}`}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`${label("lab.kind", kind)}: ${curves
          .filter((curve) => curve.length > 0)
          .map((curve) => sayQuantity(Math.max(...curve.flatMap(({ value }) => value ?? [])), ""))
          .join("; ")} ${label("lab.unit", kind)}`}
        className="cursor-ew-resize touch-pan-y"
        onPointerDown={(event) => pick(event.clientX, event.currentTarget)}
        onPointerMove={(event) => event.buttons === 1 && pick(event.clientX, event.currentTarget)}
      >
        <text x={4} y={13} className="fill-base-content text-xs font-semibold">
          {label("lab.kind", kind)} ({label("lab.unit", kind)})
        </text>
        {from !== undefined && to !== undefined && (
          <rect
            x={x(from) - 2}
            width={x(to) - x(from) + 4}
            y={margin.top}
            height={height - margin.top - margin.bottom}
            className="fill-error/20"
          />
        )}
        <ValueAxis scale={y} ticks={y.ticks(3)} left={margin.left} right={width - margin.right} />
        <text x={margin.left} y={height - 4} className="fill-base-content text-xs">
          {t("lab.start")}
        </text>
        <text x={width - margin.right} y={height - 4} textAnchor="end" className="fill-base-content text-xs">
          {t("lab.end")}
        </text>
        <line
          x1={x(here)}
          x2={x(here)}
          y1={margin.top}
          y2={height - margin.bottom}
          className="stroke-base-content/60"
          strokeWidth={1.5}
        />
        <path
          d={path(curves[0] as Point[]) ?? ""}
          className="stroke-base-content fill-none"
          strokeWidth={2}
          strokeDasharray={changed ? "5 4" : undefined}
        />
        {changed && (
          <path d={path(curves[1] as Point[]) ?? ""} className="stroke-primary fill-none" strokeWidth={3} />
        )}
      </svg>
    </div>
  );
}
