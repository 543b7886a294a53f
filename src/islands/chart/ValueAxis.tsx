import type { ScaleLinear } from "d3";
import { sayNumber } from "~/messages/say";

interface Props {
  scale: ScaleLinear<number, number>;
  ticks: readonly number[];
  /** Where the lines begin and end. */
  left: number;
  right: number;
  /** A tick in words, where it is no mere number. */
  say?: (tick: number) => string;
}

/** Values up the side of a chart, each with its line across. */
export default function ValueAxis({ scale, ticks, left, right, say = sayNumber }: Props) {
  return ticks.map((tick) => (
    <g key={tick}>
      <line x1={left} x2={right} y1={scale(tick)} y2={scale(tick)} className="stroke-base-300" />
      <text x={left - 6} y={scale(tick) + 4} textAnchor="end" className="fill-base-content text-xs">
        {say(tick)}
      </text>
    </g>
  ));
}
