import { Fragment, useEffect, useMemo, useRef, useState } from "react";
import type { StairView } from "~/contract/episode";
import { t } from "~/messages/say";
import GateBars from "./GateBars";
import LaneMark from "./LaneMark";
import { markPlaces } from "./mark-places";
import { stairGeometry } from "./stair-geometry";
import { wrapWords } from "./wrap-words";

interface Props {
  stair: StairView;
  selectedItem: string | null;
  selectedStage: string;
  onItem: (itemId: string) => void;
  onStage: (code: string) => void;
  onGate: () => void;
}

/**
 * The stair of a patient: treads are stages, runners are lanes with a mark where each one stands and what it should do,
 * bars across the next riser are the criteria still in the way. It is the navigation of the page.
 */
export default function StairDrawing({ stair, selectedItem, selectedStage, onItem, onStage, onGate }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(740);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => entry && setWidth(Math.max(300, entry.contentRect.width)));
    if (box.current) watch.observe(box.current);
    return () => watch.disconnect();
  }, []);

  const at = stair.stages.findIndex((stage) => stage.code === stair.stage);
  const lanes = useMemo(() => [...new Set(stair.items.map((item) => item.lane))], [stair.items]);
  const rows = Math.max(1, lanes.length);
  const shape = stairGeometry(width, stair.stages.length, rows, at);
  const places = markPlaces(stair.items, lanes, shape);

  return (
    <div ref={box}>
      <svg
        viewBox={`0 0 ${shape.width} ${shape.height}`}
        className="block w-full"
        role="group"
        aria-label={describe(stair, at)}
      >
        {[...stair.stages.keys()].reverse().map((stage) => (
          <g
            key={stage}
            className={stage > at ? "fill-base-100 stroke-base-content/25" : "stroke-base-100/60"}
          >
            {lanes.concat(lanes.length ? [] : ["trunk"]).map((lane, row) => (
              <g key={lane}>
                {stage < stair.stages.length - 1 && (
                  <path
                    d={shape.riser(stage, row)}
                    className={
                      stage < at ? "fill-primary/45" : stage === at ? "fill-base-300" : "fill-base-200"
                    }
                  />
                )}
                <path
                  d={shape.strip(stage, row, 0, 1)}
                  className={
                    stage < at
                      ? "fill-primary/30"
                      : stage === at
                        ? "fill-base-100 stroke-base-content/30"
                        : ""
                  }
                />
              </g>
            ))}
          </g>
        ))}
        {stair.items.map((item) => (
          <path
            key={item.itemId}
            d={shape.strip(at, lanes.indexOf(item.lane), 0, shape.alongTread(item.progress))}
            className="fill-primary/30"
          />
        ))}
        {stair.stages.map((stage, i) => (
          <path
            key={stage.code}
            d={shape.wall(i)}
            className={wallTone(i, at, stage.code === selectedStage)}
          />
        ))}
        <GateBars stair={stair} shape={shape} stage={at} onGate={onGate} />
        {stair.stages.map((stage, i) => (
          <StageLabel
            key={stage.code}
            place={shape.label(i)}
            number={i + 1}
            name={stage.name}
            here={i === at}
            onChoose={() => onStage(stage.code)}
          />
        ))}
        <Figure {...shape.figure} scale={width < 560 ? 0.8 : 1.15} />
        {stair.items.map((item) => (
          <LaneMark
            key={item.itemId}
            item={item}
            point={places.get(item.itemId) ?? shape.figure}
            selected={item.itemId === selectedItem}
            onChoose={() => onItem(item.itemId)}
          />
        ))}
      </svg>
    </div>
  );
}

function wallTone(stage: number, at: number, selected: boolean): string {
  const line = selected ? "stroke-accent stroke-2" : "stroke-base-content/25";
  if (stage === at) return `fill-primary ${line}`;
  return stage < at
    ? `fill-[color-mix(in_srgb,var(--color-primary)_55%,var(--color-base-100))] ${line}`
    : `fill-base-200 ${line}`;
}

function describe(stair: StairView, at: number): string {
  const required = stair.gate?.criteria.filter((criterion) => criterion.required) ?? [];
  const met = required.filter((criterion) => criterion.passes).length;
  const gate = stair.gate ? t("stair.gateDrawing", { met, all: required.length }) : t("stair.noGate");
  const stage = stair.stages[at]?.name ?? "";
  return t("stair.drawing", {
    count: stair.stages.length,
    name: stair.person.givenName,
    number: at + 1,
    stage,
    gate,
  });
}

interface LabelProps {
  place: { x: number; y: number; width: number };
  number: number;
  name: string;
  here: boolean;
  onChoose: () => void;
}

/** Number and name on the wall of a stage; a button that shows what the stage is for. */
function StageLabel({ place: { x, y, width }, number, name, here, onChoose }: LabelProps) {
  const tone = here ? "fill-primary-content font-bold" : "fill-base-content";
  const lines = wrapWords(name, width / 6.6);
  const fits = lines.every((line) => line.length * 6.6 < width);
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${number} ${name}`}
      className="cursor-pointer"
      onClick={onChoose}
      onKeyDown={(event) => event.key === "Enter" && onChoose()}
    >
      <rect x={x - width / 2} y={y} width={width} height={56} fill="transparent" />
      <text textAnchor="middle" className={tone}>
        <tspan x={x} y={y + 19} className="text-[15px]">
          {number}
        </tspan>
        {fits &&
          lines.map((line, i) => (
            <Fragment key={line}>
              {" "}
              <tspan x={x} y={y + 36 + i * 15} className="text-[13px]">
                {line}
              </tspan>
            </Fragment>
          ))}
      </text>
    </g>
  );
}

/** The patient, standing on the tread. */
function Figure({ x, y, scale }: { x: number; y: number; scale: number }) {
  return (
    <g transform={`translate(${x},${y}) scale(${scale})`} className="pointer-events-none" aria-hidden>
      <ellipse cx={0} cy={0} rx={15} ry={4} className="fill-base-content/20" />
      <path
        d="M-7 -1L-1 -22L0 -38M6 -1L1 -22M0 -37L-9 -26M0 -37L9 -28"
        fill="none"
        className="stroke-accent"
        strokeWidth={5}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
      <circle cx={0} cy={-47} r={7.5} className="fill-accent" />
    </g>
  );
}
