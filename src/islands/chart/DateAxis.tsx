import { sayDate } from "~/messages/say";

interface Props {
  /** Local dates and where they stand. */
  ticks: readonly { readonly date: string; readonly x: number }[];
  y: number;
}

/** Dates along the foot of a chart. */
export default function DateAxis({ ticks, y }: Props) {
  return ticks.map(({ date, x }) => (
    <text key={date} x={x} y={y} textAnchor="middle" className="fill-base-content text-xs">
      {sayDate(date)}
    </text>
  ));
}
