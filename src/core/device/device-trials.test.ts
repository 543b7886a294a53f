import { describe, expect, it } from "vitest";
import { readDeviceLine, readDeviceOrder, trialEvents, type TrialEvent } from "./device-message";
import { deviceProfiles, ownLines, plainLines } from "./device-profile";
import { forceTrial } from "./force-trial";
import { matTrial } from "./mat-trial";
import { standIns, standInTrial } from "./stand-in";

const pulled = (event: TrialEvent, seed = 7, peak = 320) =>
  standInTrial({ kind: "dynamometer", event, peak, seed });
const read = (event: TrialEvent, seed = 7) =>
  forceTrial({ sampleHz: 1000, values: pulled(event, seed), most: standIns.dynamometer.most });

describe("lines of devices", () => {
  it("are read where they are ours, and refused with the field that is wrong", () => {
    expect(readDeviceLine('{"v":1,"type":"samples","first":0,"values":[1,2.5]}')).toMatchObject({ ok: true });
    for (const line of ["", "no", '{"v":2,"type":"battery","percent":3}', `"${"x".repeat(70_000)}"`])
      expect(readDeviceLine(line).ok).toBe(false);
    expect(readDeviceLine('{"v":1,"type":"samples","first":0,"values":[]}')).toEqual({
      ok: false,
      problems: [expect.objectContaining({ path: "/values" })],
    });
    expect(readDeviceOrder('{"v":1,"type":"play","event":"slipped","seed":3}').ok).toBe(true);
    expect(readDeviceOrder('{"v":1,"type":"play","event":"magic"}').ok).toBe(false);
    for (const [line, path] of [
      ["[1]", "/v"],
      ["null", ""],
      ['{"v":1,"type":"toString"}', "/type"],
      ['{"v":1,"type":"battery","percent":101}', "/percent"],
      ['{"v":1,"type":"battery","percent":1,"more":2}', "/more"],
      ['{"v":1,"type":"hello","kind":"mat","name":"","serial":"1","unit":"N","sampleHz":1}', "/name"],
      ['{"v":1,"type":"samples","first":-1,"values":[1]}', "/first"],
      ['{"v":1,"type":"samples","first":0,"values":[null]}', "/values"],
    ])
      expect(readDeviceLine(line ?? ""), line).toMatchObject({ ok: false, problems: [{ path }] });
  });

  it("of one number each say hello first, count on, and take either decimal sign", () => {
    const line = plainLines({ kind: "scale", name: "S", serial: "1", unit: "N", sampleHz: 10, factor: 10 });
    expect(line("")).toBeNull();
    expect(line("0")).toMatchObject({ value: { type: "hello", kind: "scale" } });
    expect(line("1,5 kg")).toMatchObject({ value: { type: "samples", first: 0, values: [15] } });
    expect(line("-2.5")).toMatchObject({ value: { first: 1, values: [-25] } });
    expect(line("E3!")).toMatchObject({ ok: false });
  });

  it("every profile reads lines of its own, and an empty one says nothing", () => {
    for (const { reader } of deviceProfiles) expect(reader()("  ")).toBeNull();
    expect(ownLines.reader()(ownLines.start)).toMatchObject({ ok: false });
  });
});

describe("a pull", () => {
  it("is the same for the same seed, and another for another", () => {
    expect(pulled("clean")).toEqual(pulled("clean"));
    expect(pulled("clean", 8)).not.toEqual(pulled("clean"));
  });

  it("that goes as it should is read within 2 % of what was pulled, and not to be repeated", () => {
    for (const seed of [1, 2, 3, 4, 5, 6, 7, 8]) {
      const { peak, faults } = read("clean", seed);
      expect(faults).toEqual([]);
      expect(Math.abs((peak ?? 0) / 320 - 1)).toBeLessThan(0.02);
    }
  });

  it("that does not is said to be repeated, each with its own reason", () => {
    const first = Object.fromEntries(trialEvents.map((event) => [event, read(event).faults[0] ?? "none"]));
    expect(first).toEqual({
      clean: "none",
      slipped: "slipped",
      "double-peak": "double-peak",
      early: "unclean-onset",
      saturated: "saturated",
      battery: "cut-off",
    });
  });

  it("too short, quiet, ended while rising, or with samples lost is said to be so", () => {
    expect(forceTrial({ sampleHz: 1000, values: [1, 2, 3] }).faults).toEqual(["too-short"]);
    const quiet = Array.from({ length: 2500 }, (_, n) => Math.sin(n));
    expect(forceTrial({ sampleHz: 1000, values: quiet }).faults).toEqual(["no-onset"]);
    const ramp = Array.from(
      { length: 4000 },
      (_, n) => Math.sin(n * 1.7) * 0.1 + Math.max(0, n - 1500) * 0.2,
    );
    expect(forceTrial({ sampleHz: 1000, values: ramp }).faults).toContain("cut-off");
    expect(forceTrial({ sampleHz: 1000, values: pulled("clean"), lost: 3 }).faults).toEqual(["lost-samples"]);
  });

  it("of a cuff begins at its 20 mmHg, which is above its quiet part's zero", () => {
    const values = standInTrial({ kind: "cuff", event: "clean", peak: 180, seed: 1 });
    const { analysis, peak } = forceTrial({ sampleHz: 100, values });
    expect(analysis).toMatchObject({ found: true });
    expect((peak ?? 0) + (analysis?.found ? analysis.baselineN : 0)).toBeCloseTo(180, -1);
  });
});

describe("a jump mat", () => {
  const phases = (...parts: [seconds: number, on: 0 | 1][]) =>
    parts.flatMap(([seconds, on]) => Array.from({ length: Math.round(seconds * 1000) }, () => on));

  it("tells height from the time in the air: half a second is 30.7 cm (g·t²/8)", () => {
    const { heightCm, flightSeconds } = matTrial(phases([1, 1], [0.5, 0], [1, 1]), 1000);
    expect(flightSeconds).toBeCloseTo(0.5, 9);
    expect(heightCm).toBeCloseTo(30.66, 2);
  });

  it("tells the index of a drop jump: the flight out of the landing over its contact", () => {
    const dropped = matTrial(phases([0.7, 0], [0.2, 1], [0.4, 0], [1, 1]), 1000);
    expect(dropped.contactSeconds).toBeCloseTo(0.2, 9);
    expect(dropped.reactiveIndex).toBeCloseTo((9.81 * 0.16) / 8 / 0.2, 9);
    const stood = matTrial(phases([0.7, 1], [0.4, 0], [0.2, 1], [0.3, 0], [1, 1]), 1000);
    expect(stood.reactiveIndex).toBeCloseTo((9.81 * 0.09) / 8 / 0.2, 9);
    expect(matTrial(phases([0.7, 1], [0.4, 0], [1, 1]), 1000).reactiveIndex).toBeNull();
  });

  it("a double landing is no jump, a flicker no contact, and who steps off did not fly", () => {
    const double = matTrial(phases([1, 1], [0.4, 0], [0.06, 1], [0.05, 0], [1, 1]), 1000);
    expect([double.hopsIn30s, double.doubleLanding]).toEqual([1, true]);
    const flicker = matTrial(phases([1, 1], [0.2, 0], [0.01, 1], [0.2, 0], [1, 1]), 1000);
    expect(flicker.flightSeconds).toBeCloseTo(0.41, 9);
    expect(matTrial(phases([1, 1], [3, 0], [1, 1]), 1000).heightCm).toBeNull();
    expect(matTrial([], 1000)).toMatchObject({ contacts: 0, heightCm: null, hopsIn30s: 0 });
  });

  it("counts landings within thirty seconds of the first take-off", () => {
    const hop: [number, 0 | 1][] = [
      [0.3, 0],
      [0.2, 1],
    ];
    const seventy = Array.from({ length: 70 }, () => hop).flat();
    // A hop every half second: the sixtieth lands at 29.8 s, the next one at 30.3 s.
    expect(matTrial(phases([1, 1], ...seventy), 1000).hopsIn30s).toBe(60);
  });

  it("is played by the stand-in as high as asked, within 0.2 cm", () => {
    for (const peak of [8, 14, 31]) {
      const { heightCm } = matTrial(standInTrial({ kind: "mat", event: "clean", peak, seed: 2 }), 1000);
      expect(Math.abs((heightCm ?? 0) - peak)).toBeLessThan(0.2);
    }
    const slipped = matTrial(standInTrial({ kind: "mat", event: "slipped", peak: 14, seed: 2 }), 1000);
    expect(slipped.doubleLanding).toBe(true);
  });
});
