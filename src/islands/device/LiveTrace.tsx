import { useEffect, useRef, type RefObject } from "react";
import type { Running } from "./use-device";

interface Props {
  running: RefObject<Running | null>;
  /** The trial that was taken last, drawn while none runs. */
  last: readonly number[] | null;
  sampleHz: number;
  unit: string;
  /** What the scale reaches at least. */
  most: number;
  /** To be held between these. */
  band: readonly [low: number, high: number] | null;
  /** Words for the lowest and the highest, where they are no numbers. */
  ends: readonly [low: string, high: string] | null;
  label: string;
}

const leastSeconds = 6;
const margin = { left: 52, bottom: 24, top: 10, right: 8 } as const;
const lineWidth = 2;
const font = "13px sans-serif";

/** What a device tells, drawn at every frame; and the band it should be held in. */
export default function LiveTrace({ running, last, sampleHz, unit, most, band, ends, label }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [low, high] = band ?? [null, null];
  const [least, highest] = ends ?? [null, null];
  useEffect(() => {
    let frame = 0;
    let drawn = "";
    const draw = () => {
      const on = canvas.current;
      const values = running.current?.values ?? last ?? [];
      // A trial that has ended is drawn once, and again when its box or its ink changes.
      const look = `${values.length} ${on?.clientWidth} ${on?.clientHeight} ${document.documentElement.dataset["theme"]}`;
      if (on && look !== drawn) {
        drawn = look;
        drawTrace(on, {
          values,
          sampleHz,
          unit,
          most,
          band: low === null ? null : [low, high],
          ends: least === null ? null : [least, highest],
        });
      }
      frame = requestAnimationFrame(draw);
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [running, last, sampleHz, unit, most, low, high, least, highest]);
  return <canvas ref={canvas} className="text-base-content h-full w-full" role="img" aria-label={label} />;
}

interface Drawn extends Pick<Props, "sampleHz" | "unit" | "most" | "band" | "ends"> {
  readonly values: readonly number[];
}

function drawTrace(canvas: HTMLCanvasElement, { values, sampleHz, unit, most, band, ends }: Drawn): void {
  const scale = devicePixelRatio || 1;
  const { clientWidth: width, clientHeight: height } = canvas;
  if (canvas.width !== Math.round(width * scale) || canvas.height !== Math.round(height * scale)) {
    canvas.width = Math.round(width * scale);
    canvas.height = Math.round(height * scale);
  }
  const pen = canvas.getContext("2d");
  if (!pen || width === 0) return;
  const ink = getComputedStyle(canvas).color;
  pen.setTransform(scale, 0, 0, scale, 0, 0);
  pen.clearRect(0, 0, width, height);
  let top = most;
  for (const value of values) if (value > top) top = value;
  const seconds = Math.max(leastSeconds, values.length / sampleHz);
  const x = (n: number) => margin.left + ((width - margin.left - margin.right) * n) / (seconds * sampleHz);
  const y = (value: number) =>
    height - margin.bottom - ((height - margin.bottom - margin.top) * Math.max(0, value)) / (top * 1.08);

  pen.font = font;
  pen.fillStyle = ink;
  pen.strokeStyle = ink;
  pen.lineWidth = 0.5;
  pen.textAlign = "right";
  for (const part of ends ? [0, 1] : [0, 0.5, 1]) {
    const at = Math.round(top * part);
    const said = ends ? ends[part as 0 | 1] : `${at}${part === 1 ? ` ${unit}` : ""}`;
    pen.globalAlpha = 0.35;
    pen.beginPath();
    pen.moveTo(margin.left, y(at));
    pen.lineTo(width - margin.right, y(at));
    pen.stroke();
    pen.globalAlpha = 1;
    pen.fillText(said, margin.left - 6, y(at) + 4);
  }
  pen.textAlign = "center";
  for (let second = 0; second <= seconds; second += Math.max(1, Math.ceil(seconds / 10)))
    pen.fillText(`${second} s`, Math.min(width - 16, x(second * sampleHz)), height - 6);
  if (band) {
    pen.globalAlpha = 0.16;
    pen.fillRect(margin.left, y(band[1]), width - margin.left - margin.right, y(band[0]) - y(band[1]));
    pen.globalAlpha = 1;
  }

  // The least and the most of every pixel: a spike is seen however many samples a pixel has.
  const each = Math.max(1, Math.floor((seconds * sampleHz) / Math.max(1, width)));
  pen.lineWidth = lineWidth;
  pen.lineJoin = "round";
  pen.beginPath();
  for (let n = 0; n < values.length; n += each) {
    let [least, highest] = [Infinity, -Infinity];
    for (let k = n; k < Math.min(values.length, n + each); k += 1) {
      least = Math.min(least, values[k] as number);
      highest = Math.max(highest, values[k] as number);
    }
    if (n === 0) pen.moveTo(x(n), y(least));
    pen.lineTo(x(n), y(highest));
    pen.lineTo(x(n), y(least));
  }
  pen.stroke();
}
