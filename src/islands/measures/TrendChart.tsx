import { area, curveLinear, line, scaleLinear, scaleTime, symbol, symbolCircle, symbolSquare } from "d3";
import { useMemo, useState, type KeyboardEvent, type PointerEvent } from "react";
import type { TrendPoint, TrendView } from "~/contract/measures";
import { label, sayDate, sayNumber, sayQuantity, t } from "~/messages/say";
import DateAxis from "~/islands/chart/DateAxis";
import { useWidth } from "~/islands/chart/use-width";
import ValueAxis from "~/islands/chart/ValueAxis";
import { thresholdLines, trendLines, valueSpan, type LineRole } from "./trend-lines";

const height = 330;
const margin = { top: 26, right: 150, bottom: 52, left: 52 };
const day = (date: string) => new Date(`${date}T12:00:00Z`);

const look: Record<LineRole, { stroke: string; fill: string; dash?: string; mark: typeof symbolCircle }> = {
  involved: { stroke: "stroke-accent", fill: "fill-accent", mark: symbolSquare },
  uninvolved: { stroke: "stroke-primary", fill: "fill-primary", dash: "6 4", mark: symbolCircle },
  person: { stroke: "stroke-accent", fill: "fill-accent", mark: symbolSquare },
};

/** Both sides over time with their error bands, thresholds, early reference, stages above and sessions beneath. */
export default function TrendChart({ trend }: { trend: TrendView }) {
  const [box, width] = useWidth(240);
  const [at, setAt] = useState<number | null>(null);

  const narrow = width < 560;
  const right = narrow ? 16 : margin.right;
  const lines = useMemo(() => trendLines(trend), [trend]);
  const dates = useMemo(() => [...new Set(trend.points.map((p) => p.takenOn))].sort(), [trend]);
  const unit = label("unit", trend.measure.unit);
  const [first, last] = [dates[0] ?? "", dates.at(-1) ?? ""];
  const span = Math.max(1, day(last).getTime() - day(first).getTime());
  const x = scaleTime()
    .domain([new Date(day(first).getTime() - span * 0.03), new Date(day(last).getTime() + span * 0.03)])
    .range([margin.left, width - right]);
  const y = scaleLinear()
    .domain(valueSpan(trend))
    .nice()
    .range([height - margin.bottom, margin.top]);
  const inside = (date: string) => x(day(date)) >= margin.left && x(day(date)) <= width - right;

  const path = line<TrendPoint>(
    (p) => x(day(p.takenOn)),
    (p) => y(p.value),
  ).curve(curveLinear);
  const band = area<TrendPoint>(
    (p) => x(day(p.takenOn)),
    (p) => y(p.value - (p.error95 ?? 0)),
    (p) => y(p.value + (p.error95 ?? 0)),
  );

  const onPointer = (event: PointerEvent<SVGSVGElement>) => {
    const { left } = event.currentTarget.getBoundingClientRect();
    const time = x.invert(event.clientX - left).getTime();
    const distance = (date: string) => Math.abs(day(date).getTime() - time);
    setAt(dates.reduce((best, date, n) => (distance(date) < distance(dates[best] ?? "") ? n : best), 0));
  };
  const onKey = (event: KeyboardEvent) => {
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    setAt((now) => Math.min(dates.length - 1, Math.max(0, (now ?? (step > 0 ? -1 : dates.length)) + step)));
  };
  const shown = at === null ? null : (dates[at] ?? null);

  return (
    <div ref={box}>
      <svg
        data-chart
        width={width}
        height={height}
        role="img"
        tabIndex={0}
        aria-label={t("trend.drawing", {
          name: trend.measure.name,
          points: trend.points.length,
          from: sayDate(first),
          to: sayDate(last),
        })}
        onPointerMove={onPointer}
        onPointerLeave={() => setAt(null)}
        onKeyDown={onKey}
      >
        <ValueAxis
          scale={y}
          ticks={y.ticks(5)}
          left={margin.left}
          right={width - right}
          say={(tick) => trend.measure.grades?.[tick] ?? sayNumber(tick)}
        />
        <text x={margin.left - 6} y={14} textAnchor="end" className="fill-base-content text-xs font-semibold">
          {unit}
        </text>
        <DateAxis
          ticks={x
            .ticks(narrow ? 3 : 6)
            .map((tick) => ({ date: tick.toISOString().slice(0, 10), x: x(tick) }))}
          y={height - 10}
        />
        {trend.stages
          .filter((stage) => inside(stage.on))
          .map((stage) => (
            <g key={stage.on + stage.name}>
              <line
                x1={x(day(stage.on))}
                x2={x(day(stage.on))}
                y1={margin.top - 8}
                y2={height - margin.bottom}
                className="stroke-base-content/50"
              />
              <text x={x(day(stage.on)) + 4} y={margin.top - 10} className="fill-base-content text-xs">
                {stage.name}
              </text>
            </g>
          ))}
        {trend.sessions.filter(inside).map((date) => (
          <line
            key={date}
            x1={x(day(date))}
            x2={x(day(date))}
            y1={height - margin.bottom + 8}
            y2={height - margin.bottom + 18}
            className="stroke-base-content"
            strokeWidth={2}
          >
            <title>{t("trend.session", { date: sayDate(date) })}</title>
          </line>
        ))}
        {!narrow && (
          <text x={width - right + 8} y={height - margin.bottom + 17} className="fill-base-content text-xs">
            {t("trend.sessions")}
          </text>
        )}
        {thresholdLines(trend).map((threshold) => (
          <g key={threshold.name}>
            <line
              x1={margin.left}
              x2={width - right}
              y1={y(threshold.value)}
              y2={y(threshold.value)}
              className="stroke-success"
              strokeWidth={2}
              strokeDasharray="2 3"
            />
            <text
              x={narrow ? margin.left + 4 : width - right + 8}
              y={y(threshold.value) + (narrow ? -4 : 4)}
              className="fill-success text-xs"
            >
              {t("trend.threshold", { value: sayNumber(threshold.value) })}
            </text>
          </g>
        ))}
        {trend.early && (
          <g>
            <line
              x1={margin.left}
              x2={width - right}
              y1={y(trend.early.value)}
              y2={y(trend.early.value)}
              className="stroke-primary"
              strokeDasharray="10 3 2 3"
            />
            <text
              x={narrow ? margin.left + 4 : width - right + 8}
              y={y(trend.early.value) + (narrow ? 12 : 4)}
              className="fill-primary text-xs"
            >
              {t("trend.earlyLine", { value: sayNumber(trend.early.value) })}
            </text>
          </g>
        )}
        {lines.map(({ role, side, points }) => (
          <g key={side}>
            <path d={band([...points]) ?? ""} className={`${look[role].fill} opacity-15`} />
            <path
              d={path([...points]) ?? ""}
              className={`${look[role].stroke} fill-none`}
              strokeWidth={2.5}
              strokeDasharray={look[role].dash}
            />
            {points.map((point) => (
              <path
                key={point.takenOn}
                transform={`translate(${x(day(point.takenOn))},${y(point.value)})`}
                d={symbol(look[role].mark, 70)() ?? ""}
                className={`${look[role].stroke} ${role === "uninvolved" ? "fill-base-100" : look[role].fill}`}
                strokeWidth={2}
              />
            ))}
          </g>
        ))}
        {shown && (
          <line
            x1={x(day(shown))}
            x2={x(day(shown))}
            y1={margin.top}
            y2={height - margin.bottom}
            className="stroke-base-content"
          />
        )}
      </svg>
      <p className="flex flex-wrap gap-x-4 text-sm">
        {lines.map(({ role, side, points }) => (
          <span key={side} className="flex items-center gap-1">
            <svg width={28} height={12} aria-hidden>
              <line
                x1={0}
                x2={28}
                y1={6}
                y2={6}
                className={look[role].stroke}
                strokeWidth={2.5}
                strokeDasharray={look[role].dash}
              />
            </svg>
            {side === "none" ? trend.measure.name : `${label("side", side)}, ${t(`trend.${role}`)}`} · n ={" "}
            {points.length}
          </span>
        ))}
        {trend.points.some((p) => p.error95 !== null) && <span>{t("trend.band")}</span>}
      </p>
      <p role="status" className="min-h-6 font-medium" data-testid="trend-readout">
        {shown === null ? t("trend.hint") : sayReadout(trend, shown)}
      </p>
    </div>
  );
}

function sayReadout({ points, measure }: TrendView, date: string): string {
  const said = points
    .filter((point) => point.takenOn === date)
    .map(({ side, value, error95, trials, wayChanged }) =>
      [
        side === "none" ? "" : `${label("side", side)} `,
        measure.grades?.[value] ?? sayQuantity(value, measure.unit),
        error95 === null ? "" : ` ± ${sayNumber(error95)}`,
        trials > 1 ? ` (${t("trend.trials", { count: trials })})` : "",
        wayChanged ? `, ${t("trend.wayChanged")}` : "",
      ].join(""),
    );
  return `${sayDate(date)}: ${said.join("; ")}`;
}
