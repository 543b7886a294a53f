import type { Checked, FieldProblem } from "~/core/schema/field-problem";

/** What can be measured with. */
export const deviceKinds = ["dynamometer", "cuff", "mat", "scale"] as const;
export type DeviceKind = (typeof deviceKinds)[number];

/** What a device's samples are in; a mat tells whether somebody stands on it (1) or not (0). */
export const sampleUnits = ["N", "mm[Hg]", "contact"] as const;
export type SampleUnit = (typeof sampleUnits)[number];

/** The first line of a device: who it is and what it sends. */
export interface Hello {
  readonly v: 1;
  readonly type: "hello";
  readonly kind: DeviceKind;
  readonly name: string;
  readonly serial: string;
  readonly unit: SampleUnit;
  readonly sampleHz: number;
  /** The most that it can tell, in its unit; more is told as this. */
  readonly most?: number;
}

interface Samples {
  readonly v: 1;
  readonly type: "samples";
  /** The number of the first of these since the trial began; a gap tells that some were lost. */
  readonly first: number;
  readonly values: readonly number[];
}

/** A line from a device. */
export type DeviceMessage =
  | Hello
  | Samples
  | { readonly v: 1; readonly type: "battery"; readonly percent: number }
  | { readonly v: 1; readonly type: "bye"; readonly why: "battery" | "switched-off" | "fault" };

/** How a stand-in plays the next trial; a device that measures knows none of these. */
export const trialEvents = ["clean", "slipped", "double-peak", "early", "saturated", "battery"] as const;
export type TrialEvent = (typeof trialEvents)[number];

/** A line to a device. */
export type DeviceOrder =
  /** Which of several stand-ins is meant; a device that measures leaves it unread. */
  | { readonly v: 1; readonly type: "be"; readonly kind: DeviceKind }
  | { readonly v: 1; readonly type: "start" }
  | { readonly v: 1; readonly type: "stop" }
  | {
      readonly v: 1;
      readonly type: "play";
      readonly event: TrialEvent;
      /** The most that is pulled, squeezed (in the device's unit) or jumped (centimetres). */
      readonly peak?: number;
      readonly seed?: number;
    };

type Fits = (value: unknown) => boolean;
/** What each field of a line must be. Written out by hand: a page that listens carries no validator of schemas. */
type Fields = Readonly<Record<string, Fits>>;

const mostHz = 2000;
const mostValues = 2000;
const within =
  (least: number, most: number): Fits =>
  (value) =>
    typeof value === "number" && value >= least && value <= most;
const whole: Fits = (value) => Number.isInteger(value) && (value as number) >= 0;
const text =
  (most: number): Fits =>
  (value) =>
    typeof value === "string" && value.length > 0 && value.length <= most;
const one =
  (allowed: readonly string[]): Fits =>
  (value) =>
    allowed.includes(value as string);
const maybe =
  (inner: Fits): Fits =>
  (value) =>
    value === undefined || inner(value);
const numbers: Fits = (value) =>
  Array.isArray(value) && value.length > 0 && value.length <= mostValues && value.every(Number.isFinite);

const messages: Readonly<Record<DeviceMessage["type"], Fields>> = {
  hello: {
    kind: one(deviceKinds),
    name: text(60),
    serial: text(40),
    unit: one(sampleUnits),
    sampleHz: within(1, mostHz),
    most: maybe(within(Number.MIN_VALUE, Number.MAX_VALUE)),
  },
  samples: { first: whole, values: numbers },
  battery: { percent: within(0, 100) },
  bye: { why: one(["battery", "switched-off", "fault"]) },
};

const mostPeak = 5000;
const orders: Readonly<Record<DeviceOrder["type"], Fields>> = {
  be: { kind: one(deviceKinds) },
  start: {},
  stop: {},
  play: { event: one(trialEvents), peak: maybe(within(Number.MIN_VALUE, mostPeak)), seed: maybe(whole) },
};

const tooLong = 65_536;

/**
 * A line from a device, read.
 *
 * @returns the message; or what is wrong with it: no JSON, another version, too long, a field that cannot be
 * @example readDeviceLine('{"v":1,"type":"battery","percent":80}') // { ok: true, value: { v: 1, type: "battery", percent: 80 } }
 * Source: our own, `docs/devices.md`.
 */
export const readDeviceLine = (line: string): Checked<DeviceMessage> => readLine(line, messages);

/** A line to a device, read. */
export const readDeviceOrder = (line: string): Checked<DeviceOrder> => readLine(line, orders);

const wrong = (path: string, problem: string): { ok: false; problems: FieldProblem[] } => ({
  ok: false,
  problems: [{ path, problem }],
});

function readLine<T>(line: string, known: Readonly<Record<string, Fields>>): Checked<T> {
  if (line.length > tooLong) return wrong("", "is too long");
  let parsed: unknown;
  try {
    parsed = JSON.parse(line);
  } catch {
    return wrong("", "is no JSON");
  }
  if (typeof parsed !== "object" || parsed === null) return wrong("", "is no message");
  const given = parsed as Record<string, unknown>;
  if (given["v"] !== 1) return wrong("/v", "is another version");
  const type = String(given["type"]);
  const fields = Object.hasOwn(known, type) ? known[type] : undefined;
  if (!fields) return wrong("/type", "is no kind of message");
  const bad =
    Object.keys(fields).find((name) => fields[name]?.(given[name]) !== true) ??
    Object.keys(given).find((name) => name !== "v" && name !== "type" && !Object.hasOwn(fields, name));
  return bad === undefined ? { ok: true, value: parsed as T } : wrong(`/${bad}`, "cannot be this");
}
