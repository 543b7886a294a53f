import type { StairItem } from "~/contract/episode";
import { markShapes, markTone } from "~/islands/frame/outcome-shapes";
import { t } from "~/messages/say";
import { markRadius, type Point } from "./stair-geometry";

interface Props {
  item: StairItem;
  point: Point;
  selected: boolean;
  onChoose: () => void;
}

/** What one item of a lane should do next, at the place the lane has come to. */
export default function LaneMark({ item, point, selected, onChoose }: Props) {
  const { outcome } = item.proposal;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${t(`lane.${item.lane}`)}, ${item.name}: ${t(`outcome.${outcome}`)}`}
      className={`${markTone[outcome]} cursor-pointer`}
      transform={`translate(${point.x},${point.y})`}
      onClick={onChoose}
      onKeyDown={(event) => event.key === "Enter" && onChoose()}
    >
      <circle r={22} fill="transparent" />
      <circle
        r={markRadius}
        className={`fill-base-100 ${selected ? "stroke-accent" : "stroke-current"}`}
        strokeWidth={selected ? 3.5 : 1.6}
      />
      <path
        d={markShapes[outcome]}
        transform="translate(-8.4,-8.4) scale(0.7)"
        fill="none"
        stroke="currentColor"
        strokeWidth={2.8}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </g>
  );
}
