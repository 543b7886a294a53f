import type { DeviceMessage, Hello } from "./device-message";
import { readDeviceLine } from "./device-message";
import type { Checked } from "~/core/schema/field-problem";

/** How another device's lines are read: adding one is adding an entry. */
export interface DeviceProfile {
  readonly code: string;
  /** Bits a second, where it is read over a cable. */
  readonly baudRate: number;
  /** What is sent to it so that it begins, and so that it ends. */
  readonly start: string;
  readonly stop: string;
  readonly reader: () => LineReader;
}

/** Reads one device's lines, in their order; null for a line that says nothing. */
export type LineReader = (line: string) => Checked<DeviceMessage> | null;

const v = 1 as const;

/** Devices that speak our own lines: the stand-ins, and whatever is made to. */
export const ownLines: DeviceProfile = {
  code: "own-lines",
  baudRate: 115_200,
  start: JSON.stringify({ v, type: "start" }),
  stop: JSON.stringify({ v, type: "stop" }),
  reader: () => (line) => (line.trim() === "" ? null : readDeviceLine(line)),
};

/** What a device that sends one number a line is. */
export interface PlainDevice extends Omit<Hello, "v" | "type"> {
  /** The device's unit in ours. */
  readonly factor: number;
}

/**
 * Reads a device that sends one number a line and nothing else: it says hello for it, and numbers its samples.
 *
 * @param about who it is, how fast it sends, and what its unit is in ours
 * @example plainLines({ kind: "scale", name: "Scale", serial: "1", unit: "N", sampleHz: 10, factor: 9.80665 })("2,0 kg")?.ok // true
 * Source: common practice of small scales and dynamometers.
 */
export function plainLines({ factor, ...about }: PlainDevice): LineReader {
  let first = -1;
  return (line) => {
    if (line.trim() === "") return null;
    const number = /^\s*([+-]?\d+(?:[.,]\d+)?)\s*[A-Za-z]*\s*$/.exec(line)?.[1];
    if (number === undefined) return { ok: false, problems: [{ path: "", problem: "is no number" }] };
    if (first < 0) {
      first = 0;
      return { ok: true, value: { v, type: "hello", ...about } };
    }
    const values = [Number(number.replace(",", ".")) * factor];
    return { ok: true, value: { v, type: "samples", first: first++, values } };
  };
}

/** Every device that can be read over a cable. */
export const deviceProfiles: readonly DeviceProfile[] = [
  ownLines,
  {
    code: "plain-newtons",
    baudRate: 9600,
    start: "",
    stop: "",
    reader: () =>
      plainLines({
        kind: "dynamometer",
        name: "One number a line, newtons",
        serial: "-",
        unit: "N",
        sampleHz: 100,
        factor: 1,
      }),
  },
  {
    code: "plain-kilograms",
    baudRate: 9600,
    start: "",
    stop: "",
    reader: () =>
      plainLines({
        kind: "scale",
        name: "One number a line, kilograms",
        serial: "-",
        unit: "N",
        sampleHz: 10,
        factor: 9.80665,
      }),
  },
];
