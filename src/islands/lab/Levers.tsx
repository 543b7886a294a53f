import "./levers.css";
import { camera } from "~/core/figure/camera";
import { pathUnitsPerCm } from "~/core/figure/outline";
import type { Body } from "~/core/pose/body";
import type { Vec } from "~/core/pose/space";
import type { Side } from "~/core/demand/contacts";
import type { LegLoad } from "~/core/load/leg-load";
import { sayNumber } from "~/messages/say";

/** Where the weight of everything above the feet is, and how the ground pushes against it. */
export interface Pushes {
  readonly above: { readonly at: Vec };
  readonly legs: Readonly<Record<Side, Pick<LegLoad, "share" | "pressureAt"> | null>>;
}

interface Props {
  body: Body;
  loads: Pushes;
  left: boolean;
  /** Lengths of the levers in words; a patient sees none. */
  numbers: boolean;
}

const bothLegs = ["o", "w"] as const;
/** A push of the whole body is drawn so long, centimetres. */
const wholePushCm = 42;
const leastLeverCm = 2;

/** Over a figure: centre of mass, the ground's push under each foot, and the levers at knee and hip of the leg that works. */
export default function Levers({ body, loads, left, numbers }: Props) {
  const flat = camera(0, left).flat;
  const at = (place: Vec) => flat(place).map((cm) => cm * pathUnitsPerCm) as [number, number];
  const [cx, cy] = at(loads.above.at);
  const side = loads.legs.w ? "w" : "o";
  const working = loads.legs[side];
  const line = working ? at(working.pressureAt)[0] : 0;
  return (
    <g aria-hidden className="levers">
      <line x1={cx} y1={cy} x2={cx} y2={0} className="plumb" />
      <circle cx={cx} cy={cy} r={30} className="centre" />
      <path d={`M${cx - 30} ${cy}H${cx + 30}M${cx} ${cy - 30}V${cy + 30}`} className="centre-cross" />
      {bothLegs.map((leg) => {
        const load = loads.legs[leg];
        if (!load || load.share < 0.03) return null;
        const [x, y] = at(load.pressureAt);
        const top = y - load.share * wholePushCm * pathUnitsPerCm;
        return (
          <g key={leg} className="push">
            <line x1={x} y1={y} x2={x} y2={top + 20} />
            <path d={`M${x - 18} ${top + 34}L${x} ${top}L${x + 18} ${top + 34}Z`} />
          </g>
        );
      })}
      {working &&
        (["knee", "hip"] as const).map((joint) => {
          const [jx, jy] = at(body.legs[side][joint]);
          const cm = Math.abs(jx - line) / pathUnitsPerCm;
          if (cm < leastLeverCm) return null;
          const inside = jx > line ? -1 : 1;
          return (
            <g key={joint} className={`lever lever-${joint}`}>
              <line x1={line} y1={jy} x2={line} y2={0} className="lever-line" />
              <line x1={jx} y1={jy} x2={line} y2={jy} />
              <circle cx={jx} cy={jy} r={14} />
              {numbers && (
                <text
                  x={line + inside * -14}
                  y={jy - 20}
                  fontSize={78}
                  textAnchor={inside > 0 ? "start" : "end"}
                >
                  {`${sayNumber(Math.round(cm))} cm`}
                </text>
              )}
            </g>
          );
        })}
    </g>
  );
}
