import { deflateRawSync, inflateRawSync } from "node:zlib";
import fc from "fast-check";
import { expect, it } from "vitest";
import { check } from "~/core/schema/check";
import { KeptTrace, packTrace, unpackTrace } from "./pack-trace";
import { standInTrial } from "./stand-in";

const about = { device: "Stand-in", unit: "N", sampleHz: 1000 } as const;

it("is unpacked to within half a step, whatever was pulled", () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: -1500, max: 1500, noNaN: true }), { minLength: 1 }), (samples) => {
      const kept = packTrace(samples, about);
      const back = unpackTrace(kept) ?? [];
      expect(back.length).toBe(samples.length);
      back.forEach((sample, n) =>
        expect(Math.abs(sample - (samples[n] ?? NaN))).toBeLessThanOrEqual(kept.step * 0.501),
      );
    }),
    { seed: 21 },
  );
});

it("is a sixth of a newton exact or better and takes less than 3 bytes a sample; another library unpacks the same", () => {
  const samples = standInTrial({ kind: "dynamometer", event: "clean", peak: 320, seed: 4 });
  const kept = packTrace(samples, about);
  expect(check(KeptTrace, kept).ok).toBe(true);
  expect(kept.step / 2).toBeLessThan(1 / 6);
  expect(kept.data.length / samples.length).toBeLessThan(3);
  expect(inflateRawSync(Buffer.from(kept.data, "base64")).length).toBe(samples.length * 2);
});

it("that is none is told from one: noise, half a sample, nothing, and what would burst", () => {
  const packed = (bytes: Uint8Array) => deflateRawSync(bytes).toString("base64");
  for (const data of [
    "AAAA",
    "!",
    packed(new Uint8Array(3)),
    packed(new Uint8Array()),
    packed(new Uint8Array(50_000_000)),
  ])
    expect(unpackTrace({ step: 1, data })).toBeNull();
  expect(() => packTrace([], about)).toThrow(RangeError);
  expect(unpackTrace(packTrace([0, 0], about))).toEqual([0, 0]);
});
