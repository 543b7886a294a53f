import { Type, type Static } from "@sinclair/typebox";
import { deflateSync, inflateSync } from "fflate";
import { fromBase64, toBase64 } from "./base64";
import { oneOf } from "~/core/schema/one-of";
import { sampleUnits } from "./device-message";

/** Samples that a kept trace has at most: two minutes at the fastest. */
export const mostKeptSamples = 240_000;
const bytesOfSample = 2;
const mostText = 400_000;

/** A trace as it is kept: whole steps from sample to sample, packed. */
export const KeptTrace = Type.Object(
  {
    device: Type.String({ minLength: 1, maxLength: 60 }),
    unit: oneOf(sampleUnits),
    sampleHz: Type.Number({ minimum: 1, maximum: 2000 }),
    /** What one step is, in its unit. */
    step: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
    data: Type.String({
      minLength: 4,
      maxLength: mostText,
      pattern: "^[A-Za-z0-9+/]+={0,2}$",
      description: "Base64 of the deflated 16-bit differences",
    }),
  },
  { additionalProperties: false },
);
export type KeptTrace = Static<typeof KeptTrace>;

const farthest = 32_767;
/** No device tells less. */
const nothing = 1e-6;

/**
 * A trace packed to be kept: rounded to steps of a thirty-thousandth of its highest, differences deflated.
 *
 * @param samples in the device's unit
 * @throws RangeError when there are none, or more than are kept
 * Source: RFC 1951 for the packing, by fflate.
 */
export function packTrace(
  samples: readonly number[],
  about: Pick<KeptTrace, "device" | "unit" | "sampleHz">,
): KeptTrace {
  if (samples.length === 0 || samples.length > mostKeptSamples)
    throw new RangeError(`a trace has 1 to ${mostKeptSamples} samples, not ${samples.length}`);
  const highest = samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);
  // Half the range, so that no difference of two samples is too large for its two bytes.
  const step = highest < nothing ? 1 : (2 * highest) / farthest;
  const steps = samples.map((sample) => Math.round(sample / step));
  const bytes = new DataView(new ArrayBuffer(steps.length * bytesOfSample));
  steps.forEach((at, n) => bytes.setInt16(n * bytesOfSample, at - (steps[n - 1] ?? 0), true));
  return { ...about, step, data: toBase64(deflateSync(new Uint8Array(bytes.buffer))) };
}

/**
 * How many samples a kept trace has.
 *
 * @returns null where it is no such trace
 * @example samplesOfTrace("AAAA") // null
 */
export const samplesOfTrace = (data: string): number | null => {
  const bytes = inflated(data);
  return bytes && bytes.length / bytesOfSample;
};

/** The bytes of a trace; null where they are none, half a sample, or would become larger than any trace. */
function inflated(data: string): Uint8Array | null {
  try {
    const room = new Uint8Array(mostKeptSamples * bytesOfSample + 1);
    const bytes = inflateSync(fromBase64(data), { out: room });
    return bytes.length === 0 || bytes.length % bytesOfSample !== 0 || bytes.length >= room.length
      ? null
      : bytes;
  } catch {
    return null;
  }
}

/**
 * The samples of a kept trace, to within half a step.
 *
 * @returns in its unit; null where it is no such trace
 * @example unpackTrace(packTrace([0, 1, 2], { device: "d", unit: "N", sampleHz: 100 }))?.length // 3
 */
export function unpackTrace({ step, data }: Pick<KeptTrace, "step" | "data">): number[] | null {
  const bytes = inflated(data);
  if (!bytes) return null;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  let at = 0;
  return Array.from({ length: bytes.length / bytesOfSample }, (_, n) => {
    at += view.getInt16(n * bytesOfSample, true);
    return at * step;
  });
}
