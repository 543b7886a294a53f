import type { TrendPoint, TrendView } from "~/contract/measures";
import { thresholdValue } from "~/core/measure/threshold-value";
import { otherSide } from "~/core/measure/side-value";

/** What a line of the chart is: the involved side, the other one, or the person as a whole. */
export type LineRole = "involved" | "uninvolved" | "person";

export interface TrendLine {
  readonly role: LineRole;
  readonly side: TrendPoint["side"];
  readonly points: readonly TrendPoint[];
}

/** The lines of a trend, the involved side first. Both involved: each leg is a line of the involved. */
export function trendLines({ points, involvedSide }: TrendView): TrendLine[] {
  const other = otherSide(involvedSide);
  const line = (side: TrendPoint["side"], role: LineRole): TrendLine => ({
    role,
    side,
    points: points.filter((point) => point.side === side),
  });
  const lines =
    involvedSide === "both"
      ? [line("left", "involved"), line("right", "involved"), line("none", "person")]
      : [line(involvedSide, "involved"), line(other ?? "none", "uninvolved"), line("none", "person")];
  return lines.filter(
    (entry, n, all) => entry.points.length > 0 && all.findIndex((l) => l.side === entry.side) === n,
  );
}

/** A horizontal line of the chart: a threshold as a value, or as a share of the other side's last value. */
export function thresholdLines(trend: TrendView): { name: string; value: number }[] {
  const uninvolved = trendLines(trend)
    .find((line) => line.role === "uninvolved")
    ?.points.at(-1);
  return trend.thresholds.flatMap((threshold) => {
    const value = thresholdValue(threshold, trend.measure.better, uninvolved?.value);
    return value === null ? [] : [{ name: threshold.name, value }];
  });
}

/** Lowest and highest value that the chart must hold, error bands and lines included. */
export function valueSpan(trend: TrendView): [number, number] {
  const values = [
    ...trend.points.flatMap(({ value, error95 }) => [value - (error95 ?? 0), value + (error95 ?? 0)]),
    ...thresholdLines(trend).map((line) => line.value),
    ...(trend.early ? [trend.early.value] : []),
  ];
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const room = (high - low || Math.abs(high) || 1) * 0.1;
  return [low - room, high + room];
}
