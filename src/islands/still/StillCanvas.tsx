import { useId, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import type { LandmarkAnglesInput } from "~/core/measure/landmark-angles";
import { t } from "~/messages/say";
import type { LoadedPicture } from "./load-picture";
import {
  linesBetween,
  namedPoints,
  withPoint,
  type JointName,
  type Point,
  type ScaleEnds,
  type ScaleName,
} from "./still-points";

interface Props {
  picture: LoadedPicture;
  points: LandmarkAnglesInput;
  onPoints: (points: LandmarkAnglesInput) => void;
  /** The ends of a known length; null where none is asked for. */
  scale: ScaleEnds | null;
  onScale: (scale: ScaleEnds) => void;
}

type PointName = JointName | ScaleName;

const nudges: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const farNudge = 10;
const magnified = 3;

/** A picture with its points, each moved by hand or by the arrow keys, under a glass that shows what lies below the finger. */
export default function StillCanvas({ picture, points, onPoints, scale, onScale }: Props) {
  const { width, height, address } = picture;
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<PointName | null>(null);
  const glassId = useId();
  const named: (readonly [PointName, Point])[] = [
    ...namedPoints(points),
    ...(scale
      ? ([
          ["scaleFrom", scale.scaleFrom],
          ["scaleTo", scale.scaleTo],
        ] as const)
      : []),
  ];
  const lines = [...linesBetween(points), ...(scale ? [[scale.scaleFrom, scale.scaleTo] as const] : [])];
  // Sizes that are the same on the screen whatever the picture's own.
  const unit = Math.max(width, height) / 600;
  const within = ({ x, y }: Point): Point => ({
    x: Math.round(Math.min(width, Math.max(0, x)) * 10) / 10,
    y: Math.round(Math.min(height, Math.max(0, y)) * 10) / 10,
  });
  const move = (name: PointName, at: Point) => {
    if (name !== "scaleFrom" && name !== "scaleTo") return onPoints(withPoint(points, name, within(at)));
    if (scale) onScale({ ...scale, [name]: within(at) });
  };

  const placeOf = (event: PointerEvent<Element>): Point | null => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    if (!matrix) return null;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return { x, y };
  };
  const dragged = (event: PointerEvent<SVGSVGElement>) => {
    const at = held === null ? null : placeOf(event);
    if (held && at) move(held, at);
  };
  const nudged = (name: PointName, at: Point) => (event: KeyboardEvent) => {
    const by = nudges[event.key];
    if (!by) return;
    event.preventDefault();
    const far = event.shiftKey ? farNudge : 1;
    move(name, { x: at.x + by[0] * far, y: at.y + by[1] * far });
  };
  const under = named.find(([name]) => name === held)?.[1] ?? null;

  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${height}`}
      className="bg-base-200 max-h-[60dvh] w-full touch-none select-none"
      onPointerMove={dragged}
      onPointerUp={() => setHeld(null)}
      onPointerCancel={() => setHeld(null)}
      data-testid="still"
    >
      <image href={address} width={width} height={height} />
      {lines.map(([from, to], n) => (
        <g key={n} strokeLinecap="round">
          <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="#000" strokeWidth={4 * unit} />
          <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="#fff" strokeWidth={2 * unit} />
        </g>
      ))}
      {named.map(([name, at]) => (
        <g
          key={name}
          role="button"
          tabIndex={0}
          aria-label={t("still.point", {
            name: t(`still.point.${name}`),
            x: Math.round(at.x),
            y: Math.round(at.y),
          })}
          className="cursor-grab outline-offset-4 focus-visible:outline-4"
          onPointerDown={(event) => {
            event.currentTarget.focus();
            svg.current?.setPointerCapture(event.pointerId);
            setHeld(name);
          }}
          onKeyDown={nudged(name, at)}
        >
          <circle cx={at.x} cy={at.y} r={22 * unit} fill="transparent" />
          <circle cx={at.x} cy={at.y} r={9 * unit} fill="none" stroke="#000" strokeWidth={5 * unit} />
          <circle cx={at.x} cy={at.y} r={9 * unit} fill="none" stroke="#ffd60a" strokeWidth={2.5 * unit} />
          <circle cx={at.x} cy={at.y} r={1.5 * unit} fill="#ffd60a" />
        </g>
      ))}
      {under && <Glass picture={picture} under={under} unit={unit} id={glassId} />}
    </svg>
  );
}

const glassRadius = 60;

/** What lies under the finger, larger, in the corner away from it. */
function Glass({
  picture: { address, width, height },
  under,
  unit,
  id,
}: {
  picture: LoadedPicture;
  under: Point;
  unit: number;
  id: string;
}) {
  const radius = glassRadius * unit;
  const at = { x: under.x < width / 2 ? width - radius - 8 * unit : radius + 8 * unit, y: radius + 8 * unit };
  return (
    <g pointerEvents="none" data-testid="glass">
      <clipPath id={id}>
        <circle cx={at.x} cy={at.y} r={radius} />
      </clipPath>
      <g clipPath={`url(#${id})`}>
        <rect x={at.x - radius} y={at.y - radius} width={2 * radius} height={2 * radius} fill="#888" />
        <image
          href={address}
          x={at.x - under.x * magnified}
          y={at.y - under.y * magnified}
          width={width * magnified}
          height={height * magnified}
        />
      </g>
      <circle cx={at.x} cy={at.y} r={radius} fill="none" stroke="#000" strokeWidth={3 * unit} />
      <path
        d={`M${at.x - 14 * unit} ${at.y}h${28 * unit}M${at.x} ${at.y - 14 * unit}v${28 * unit}`}
        stroke="#ffd60a"
        strokeWidth={1.5 * unit}
      />
    </g>
  );
}
