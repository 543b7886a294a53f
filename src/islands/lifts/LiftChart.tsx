import { line, scaleLinear, scaleTime } from "d3";
import type { LiftsView } from "~/contract/lifts";
import DateAxis from "~/islands/chart/DateAxis";
import { useWidth } from "~/islands/chart/use-width";
import ValueAxis from "~/islands/chart/ValueAxis";
import { label, sayDate, sayWeight, t } from "~/messages/say";

type Trend = LiftsView["trends"][number];

interface Props {
  trend: Trend;
  steps: LiftsView["smallDose"]["steps"];
}

const height = 190;
const margin = { top: 28, right: 36, bottom: 26, left: 42 };
const day = (date: string) => new Date(`${date}T12:00:00Z`);

/** The best estimated single of each day, the best of all as a line to beat, and the days on which something was tried. */
export default function LiftChart({ trend: { movement, points, bestKg, bestOn }, steps }: Props) {
  const [box, width] = useWidth(260);
  const [first, last] = [points[0]?.on ?? "", points.at(-1)?.on ?? ""];
  const values = points.map(({ oneRepMaxKg }) => oneRepMaxKg);
  const room = Math.max(2, (Math.max(...values) - Math.min(...values)) * 0.2);
  const spanDays = 86_400_000 * 2;
  const x = scaleTime()
    .domain([new Date(day(first).getTime() - spanDays), new Date(day(last).getTime() + spanDays)])
    .range([margin.left, width - margin.right]);
  const y = scaleLinear()
    .domain([Math.min(...values) - room, Math.max(...values) + room])
    .nice()
    .range([height - margin.bottom, margin.top]);
  // Evenly from the first day to the last, as many as have room.
  const count = first === last ? 1 : Math.max(2, Math.floor(width / 150));
  const dates = Array.from({ length: count }, (_, n) => {
    const share = count === 1 ? 0 : n / (count - 1);
    return new Date(day(first).getTime() + share * (day(last).getTime() - day(first).getTime()));
  });
  const path = line<Trend["points"][number]>(
    ({ on }) => x(day(on)),
    ({ oneRepMaxKg }) => y(oneRepMaxKg),
  );
  const tried = steps.filter(({ at }) => at.slice(0, 10) >= first && at.slice(0, 10) <= last);
  return (
    <div ref={box} className="min-w-0 overflow-hidden">
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={t("lifts.drawing", {
          movement,
          from: sayDate(first),
          to: sayDate(last),
          points: points.length,
        })}
      >
        <ValueAxis scale={y} ticks={y.ticks(4)} left={margin.left} right={width - margin.right} />
        <text x={margin.left - 6} y={12} textAnchor="end" className="fill-base-content text-xs font-semibold">
          kg
        </text>
        <DateAxis
          ticks={dates.map((tick) => ({ date: tick.toISOString().slice(0, 10), x: x(tick) }))}
          y={height - 8}
        />
        <line
          x1={x(day(bestOn))}
          x2={width - margin.right}
          y1={y(bestKg)}
          y2={y(bestKg)}
          className="stroke-success"
          strokeWidth={2}
          strokeDasharray="5 4"
        />
        {tried.map(({ id, at, step }) => (
          <line
            key={id}
            x1={x(new Date(at))}
            x2={x(new Date(at))}
            y1={margin.top}
            y2={height - margin.bottom}
            className="stroke-info"
            strokeWidth={2}
          >
            <title>{`${label("lifts.dose.step", step)}, ${sayDate(at.slice(0, 10))}`}</title>
          </line>
        ))}
        <path d={path(points) ?? ""} className="stroke-primary fill-none" strokeWidth={2} />
        {points.map(({ on, sets, reps, loadKg, oneRepMaxKg }) => (
          <circle key={on} cx={x(day(on))} cy={y(oneRepMaxKg)} r={4} className="fill-primary">
            <title>{`${sayDate(on)}: ${t("lifts.line", { sets, reps, load: sayWeight(loadKg) })}`}</title>
          </circle>
        ))}
      </svg>
    </div>
  );
}
