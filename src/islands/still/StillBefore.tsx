import type { StillsView } from "~/contract/measures";
import { linesBetween, namedPoints } from "./still-points";

/** A still of before: its picture where it was kept, else its points alone. */
export default function StillBefore({
  still,
  label,
}: {
  still: StillsView["stills"][number];
  label: string;
}) {
  const { width, height, points, picture } = still;
  const unit = Math.max(width, height) / 300;
  return (
    <figure className="border-base-300 w-fit rounded-md border p-1">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="bg-base-200 max-h-48 w-40"
        role="img"
        aria-label={label}
      >
        {picture && <image href={`data:image/jpeg;base64,${picture}`} width={width} height={height} />}
        {linesBetween(points).map(([from, to], n) => (
          <line
            key={n}
            x1={from.x}
            y1={from.y}
            x2={to.x}
            y2={to.y}
            stroke="currentColor"
            strokeWidth={3 * unit}
            strokeLinecap="round"
          />
        ))}
        {namedPoints(points).map(([name, { x, y }]) => (
          <circle key={name} cx={x} cy={y} r={4 * unit} fill="currentColor" />
        ))}
      </svg>
      <figcaption className="text-xs">{label}</figcaption>
    </figure>
  );
}
