import type { StairView } from "~/contract/episode";
import { t } from "~/messages/say";
import type { StairGeometry } from "./stair-geometry";

interface Props {
  stair: StairView;
  shape: StairGeometry;
  stage: number;
  onGate: () => void;
}

type Verdict = NonNullable<StairView["gate"]>["criteria"][number]["verdict"];

const barHeight = 38;
const sunkHeight = 6;
const withinHeight = 12;
const halfWidth = 5.5;
const look: Record<Verdict, { className: string; dash?: string; height: number }> = {
  met: { className: "fill-success stroke-success", height: sunkHeight },
  "met-within-error": { className: "fill-base-100 stroke-success", height: withinHeight },
  "not-met-within-error": { className: "fill-warning stroke-warning", height: barHeight - 12 },
  "not-met": { className: "fill-error stroke-error", height: barHeight },
  missing: { className: "fill-base-100 stroke-error", dash: "4 3", height: barHeight },
  stale: { className: "fill-base-100 stroke-warning", dash: "1.5 3", height: barHeight },
  undefined: { className: "fill-base-100 stroke-base-content", dash: "4 3", height: barHeight },
};

/**
 * The gate on the next riser: one bar for each required criterion. A met one has sunk into the tread (within error: not
 * quite), one that fails stands solid, one nobody has measured stands as an outline. A beam across them is minimum time not yet over.
 */
export default function GateBars({ stair, shape, stage, onGate }: Props) {
  const { gate } = stair;
  if (!gate) return null;
  const required = gate.criteria.filter((criterion) => criterion.required);
  const feet = required.map((_, i) => shape.gateFoot((i + 0.5) / required.length));
  const [first, last] = [shape.gateFoot(0), shape.gateFoot(1)];
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={t("stair.gate", { next: stair.stages[stage + 1]?.name ?? "" })}
      className="cursor-pointer"
      onClick={onGate}
      onKeyDown={(event) => event.key === "Enter" && onGate()}
    >
      <path
        d={`M${first.x - 16} ${first.y + 8}L${last.x - 16} ${last.y - 44}L${last.x + 16} ${last.y - 44}L${first.x + 16} ${first.y + 8}Z`}
        fill="transparent"
      />
      <path
        d={`M${first.x} ${first.y}L${last.x} ${last.y}`}
        className="stroke-base-content/70"
        strokeWidth={2.5}
      />
      {required
        .map((criterion, i) => ({ criterion, foot: feet[i] }))
        .reverse()
        .map(({ criterion, foot }) => {
          const style = look[criterion.verdict];
          return (
            foot && (
              <rect
                key={criterion.id}
                x={foot.x - halfWidth}
                y={foot.y - style.height}
                width={2 * halfWidth}
                height={style.height}
                rx={2}
                strokeWidth={1.8}
                strokeDasharray={style.dash}
                className={style.className}
              >
                <title>{criterion.name}</title>
              </rect>
            )
          );
        })}
      {gate.daysLeft > 0 && (
        <path
          d={`M${first.x} ${first.y - 24}L${last.x} ${last.y - 24}`}
          className="stroke-base-content"
          strokeWidth={4}
          strokeLinecap="round"
        />
      )}
    </g>
  );
}
