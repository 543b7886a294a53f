import { Type, type Static } from "@sinclair/typebox";
import { check } from "~/core/schema/check";
import type { Checked } from "~/core/schema/field-problem";
import { oneOf } from "~/core/schema/one-of";

const closed = { additionalProperties: false };
const v = Type.Literal(1, { description: "Version of the lines" });

/** What can be measured with. */
export const deviceKinds = ["dynamometer", "cuff", "mat", "scale"] as const;
export type DeviceKind = (typeof deviceKinds)[number];

/** What a device's samples are in; a mat tells whether somebody stands on it (1) or not (0). */
export const sampleUnits = ["N", "mm[Hg]", "contact"] as const;
export type SampleUnit = (typeof sampleUnits)[number];

/** The first line of a device: who it is and what it sends. */
export const Hello = Type.Object(
  {
    v,
    type: Type.Literal("hello"),
    kind: oneOf(deviceKinds),
    name: Type.String({ minLength: 1, maxLength: 60 }),
    serial: Type.String({ minLength: 1, maxLength: 40 }),
    unit: oneOf(sampleUnits),
    sampleHz: Type.Number({ minimum: 1, maximum: 2000 }),
    /** The most that it can tell, in its unit; more is told as this. */
    most: Type.Optional(Type.Number({ exclusiveMinimum: 0 })),
  },
  closed,
);
export type Hello = Static<typeof Hello>;

const Samples = Type.Object(
  {
    v,
    type: Type.Literal("samples"),
    /** The number of the first of these since the trial began; a gap tells that some were lost. */
    first: Type.Integer({ minimum: 0 }),
    values: Type.Array(Type.Number(), { minItems: 1, maxItems: 2000 }),
  },
  closed,
);
const Battery = Type.Object(
  { v, type: Type.Literal("battery"), percent: Type.Number({ minimum: 0, maximum: 100 }) },
  closed,
);
const Bye = Type.Object(
  { v, type: Type.Literal("bye"), why: oneOf(["battery", "switched-off", "fault"]) },
  closed,
);

/** A line from a device. */
export const DeviceMessage = Type.Union([Hello, Samples, Battery, Bye]);
export type DeviceMessage = Static<typeof DeviceMessage>;

/** How a stand-in plays the next trial; a device that measures knows none of these. */
export const trialEvents = ["clean", "slipped", "double-peak", "early", "saturated", "battery"] as const;
export type TrialEvent = (typeof trialEvents)[number];

/** A line to a device. */
export const DeviceOrder = Type.Union([
  /** Which of several stand-ins is meant; a device that measures leaves it unread. */
  Type.Object({ v, type: Type.Literal("be"), kind: oneOf(deviceKinds) }, closed),
  Type.Object({ v, type: Type.Literal("start") }, closed),
  Type.Object({ v, type: Type.Literal("stop") }, closed),
  Type.Object(
    {
      v,
      type: Type.Literal("play"),
      event: oneOf(trialEvents),
      /** The most that is pulled, squeezed (in the device's unit) or jumped (centimetres). */
      peak: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 5000 })),
      seed: Type.Optional(Type.Integer({ minimum: 0 })),
    },
    closed,
  ),
]);
export type DeviceOrder = Static<typeof DeviceOrder>;

const tooLong = 65_536;

/**
 * A line from a device, read.
 *
 * @returns the message; or what is wrong with it: no JSON, another version, too long, a field that cannot be
 * @example readDeviceLine('{"v":1,"type":"battery","percent":80}') // { ok: true, value: { v: 1, type: "battery", percent: 80 } }
 * Source: our own, `docs/devices.md`.
 */
export const readDeviceLine = (line: string): Checked<DeviceMessage> => readLine(line, DeviceMessage);

/** A line to a device, read. */
export const readDeviceOrder = (line: string): Checked<DeviceOrder> => readLine(line, DeviceOrder);

function readLine<S extends typeof DeviceMessage | typeof DeviceOrder>(
  line: string,
  schema: S,
): Checked<Static<S>> {
  if (line.length > tooLong) return { ok: false, problems: [{ path: "", problem: "is too long" }] };
  let parsed: unknown;
  try {
    parsed = JSON.parse(line);
  } catch {
    return { ok: false, problems: [{ path: "", problem: "is no JSON" }] };
  }
  return check(schema, parsed);
}
