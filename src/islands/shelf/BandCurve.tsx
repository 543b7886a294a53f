import { line, scaleLinear } from "d3";
import { bandForce } from "~/core/mechanics/band-force";
import type { Band } from "~/core/band/band";
import { useWidth } from "~/islands/chart/use-width";
import ValueAxis from "~/islands/chart/ValueAxis";
import { sayNumber, t } from "~/messages/say";

interface Props {
  points: Band["points"];
  label: string;
}

const height = 132;
const margin = { top: 10, right: 12, bottom: 30, left: 40 };
const looks = 60;

/** What a band pulls with at each stretch: the points that were measured and the curve through them. */
export default function BandCurve({ points, label }: Props) {
  const [box, width] = useWidth(260);
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return null;
  const x = scaleLinear()
    .domain([0, last.stretchCm])
    .range([margin.left, width - margin.right]);
  const y = scaleLinear()
    .domain([0, Math.max(5, last.forceN)])
    .nice()
    .range([height - margin.bottom, margin.top]);
  const span = last.stretchCm - first.stretchCm;
  const curve = Array.from({ length: looks + 1 }, (_, n) => {
    const stretchCm = Math.min(last.stretchCm, first.stretchCm + (n * span) / looks);
    return [x(stretchCm), y(bandForce({ calibration: points, stretchCm }).forceN)] as [number, number];
  });
  return (
    <div ref={box} className="min-w-0 overflow-hidden">
      <svg width={width} height={height} role="img" aria-label={label}>
        <ValueAxis
          scale={y}
          left={margin.left}
          right={width - margin.right}
          ticks={y.ticks(3)}
          say={(tick) => t("band.newtons", { n: sayNumber(tick) })}
        />
        <path d={line()(curve) ?? ""} className="stroke-primary fill-none" strokeWidth={2.5} />
        {points.map(({ stretchCm, forceN }) => (
          <circle key={stretchCm} cx={x(stretchCm)} cy={y(forceN)} r={4} className="fill-base-content" />
        ))}
        {points.map(({ stretchCm }) => (
          <text
            key={stretchCm}
            x={x(stretchCm)}
            y={height - 16}
            textAnchor="middle"
            className="fill-base-content text-xs"
          >
            {sayNumber(stretchCm)}
          </text>
        ))}
        <text x={width - margin.right} y={height - 3} textAnchor="end" className="fill-base-content text-xs">
          {t("band.axis")}
        </text>
      </svg>
    </div>
  );
}
