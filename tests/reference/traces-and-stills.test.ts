import Fili from "fili";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { lowPass } from "~/core/measure/low-pass";
import { paths, value } from "~tests/builders/calculated";
import { drawn } from "~tests/builders/weeks";

type Trace = Record<string, number | boolean | string | null>;
const trace = (sampleHz: number, forceN: readonly number[]) =>
  value<Trace>("trace-analysis", { sampleHz, forceN });

/** Quiet, then a straight rise to a level that is held. */
const ramp = (hz: number, { quiet = 1, rise = 0.2, level = 300, held = 2 } = {}) =>
  Array.from({ length: Math.round((quiet + rise + held) * hz) }, (_, n) => {
    const t = n / hz - quiet;
    return t <= 0 ? 0 : Math.min(1, t / rise) * level;
  });

describe("smoothing, against another filter library (fili 2.0.3)", () => {
  it.each([100, 200, 1000, 2000])("at %d Hz, forward and backward, where the ends are still", (hz) => {
    const signal = [
      ...Array.from({ length: hz }, () => 0),
      ...ramp(hz, { quiet: 0, held: 0 }),
      ...Array.from({ length: hz }, () => 0),
    ];
    const biquads = new Fili.CalcCascades().lowpass({
      order: 1,
      characteristic: "butterworth",
      Fs: hz,
      Fc: 20,
      preGain: false,
    });
    const pass = (samples: number[]) => new Fili.IirFilter(biquads).multiStep(samples);
    const theirs = pass(pass([...signal]).reverse()).reverse();
    const ours = lowPass(signal, hz);
    const scale = Math.max(...ours);
    ours.forEach((sample, n) => expect(Math.abs(sample - (theirs[n] ?? NaN)) / scale).toBeLessThan(2e-3));
  });

  it("a level stays what it is, ends included; a straight line too", () => {
    const level = lowPass(
      Array.from({ length: 60 }, () => 42),
      100,
    );
    level.forEach((sample) => expect(sample).toBeCloseTo(42, 9));
    const line = lowPass(
      Array.from({ length: 400 }, (_, n) => 3 * n),
      1000,
    );
    line.slice(150, 250).forEach((sample, n) => expect(sample).toBeCloseTo(3 * (n + 150), 1));
  });

  it("halves a wave of 20 Hz twice over: 1/2 in amplitude, both ways together (Butterworth's definition)", () => {
    const hz = 1000;
    const wave = Array.from({ length: 4 * hz }, (_, n) => Math.sin((2 * Math.PI * 20 * n) / hz));
    const middle = lowPass(wave, hz).slice(hz, 3 * hz);
    expect(Math.max(...middle)).toBeCloseTo(0.5, 2);
  });
});

describe("traces with a known answer", () => {
  it("a ramp to 300 N: onset as it leaves 2 N, peak and best second 300 N, the rise of a straight line", () => {
    const found = trace(1000, ramp(1000));
    expect(found).toMatchObject({ found: true, baselineN: 0, baselineSdN: 0, cleanOnset: true });
    expect(found["onsetSeconds"]).toBeGreaterThan(0.98);
    expect(found["onsetSeconds"]).toBeLessThan(1.01);
    expect(found["bestSecondMeanN"]).toBeCloseTo(300, 1);
    expect(Number(found["peakN"])).toBeGreaterThan(299.9);
    // A second-order Butterworth overshoots a step by 4.3 %, twice over by less than a tenth.
    expect(Number(found["peakN"])).toBeLessThan(330);
    expect(Number(found["riseTo100N"])).toBeCloseTo(150, -1.2);
    expect(Number(found["riseTo200N"])).toBeGreaterThan(270);
  });

  it("tared: an offset of the device changes nothing but the baseline", () => {
    const plain = trace(500, ramp(500));
    const lifted = trace(
      500,
      ramp(500).map((force) => force + 35),
    );
    expect(lifted["baselineN"]).toBeCloseTo(35, 9);
    for (const key of ["onsetSeconds", "peakN", "bestSecondMeanN", "riseTo100N", "riseTo200N"])
      expect(Number(lifted[key])).toBeCloseTo(Number(plain[key]), 6);
  });

  it("quiet all along: no onset, in words", () => {
    const found = trace(
      100,
      Array.from({ length: 300 }, () => 1),
    );
    expect(found["found"]).toBe(false);
    expect(found["reason"]).toContain("onset");
  });

  it("a knock that is over at once is no onset; a bump before the pull makes it unclean", () => {
    const hz = 1000;
    const knocked = Array.from({ length: 2500 }, (_, n) => (n >= 1000 && n < 1030 ? 80 : 0));
    expect(trace(hz, knocked)["found"]).toBe(false);
    const bumped = ramp(hz).map((force, n) => (n >= 850 && n < 900 ? 60 : force));
    expect(trace(hz, bumped)).toMatchObject({ found: true, cleanOnset: false });
  });

  it("a slow pull is not clean: what rises in 200 ms is less than a twentieth of the peak", () => {
    expect(trace(1000, ramp(1000, { rise: 6 }))).toMatchObject({ found: true, cleanOnset: false });
  });

  it("an onset near the end has no rise to tell", () => {
    const late = [...Array.from({ length: 1900 }, () => 0), ...Array.from({ length: 120 }, (_, n) => 5 * n)];
    const found = trace(1000, late);
    expect(found).toMatchObject({ found: true, riseTo200N: null, cleanOnset: false });
  });

  it("noise of the quiet part is told, and lifts what counts as an onset", () => {
    const next = drawn(9);
    const noisy = ramp(1000).map((force) => force + 4 * (next() + next() + next() - 1.5));
    const found = trace(1000, noisy);
    expect(Number(found["baselineSdN"])).toBeGreaterThan(1.5);
    expect(Number(found["onsetSeconds"])).toBeGreaterThan(Number(trace(1000, ramp(1000))["onsetSeconds"]));
  });

  it.each<[string, object, string]>([
    ["too short", { sampleHz: 100, forceN: Array.from({ length: 199 }, () => 0) }, "/forceN"],
    ["too slow", { sampleHz: 50, forceN: Array.from({ length: 300 }, () => 0) }, "/sampleHz"],
    [
      "a word among them",
      { sampleHz: 100, forceN: [...Array.from({ length: 300 }, () => 0), "x"] },
      "/forceN/300",
    ],
  ])("refused: %s", (_name, input, path) => {
    expect(paths("trace-analysis", input)).toContain(path);
  });
});

const still = (input: object) => value<Record<string, number | null>>("landmark-angles", input);
const radians = (deg: number) => (deg * Math.PI) / 180;

describe("angles in a picture, against lines drawn at known angles", () => {
  /** A leg from the side, facing right, with its joints at these angles, lengths in pixels. */
  function leg({ shank, knee, lean }: { shank: number; knee: number; lean: number }) {
    const ankle = { x: 300, y: 500 };
    const at = { x: ankle.x + 100 * Math.sin(radians(shank)), y: ankle.y - 100 * Math.cos(radians(shank)) };
    const thigh = knee - shank;
    const hip = { x: at.x - 100 * Math.sin(radians(thigh)), y: at.y - 100 * Math.cos(radians(thigh)) };
    const shoulder = { x: hip.x + 120 * Math.sin(radians(lean)), y: hip.y - 120 * Math.cos(radians(lean)) };
    return { hip, knee: at, ankle, toe: { x: ankle.x + 40, y: 510 }, shoulder };
  }
  const flipped = (points: object) =>
    Object.fromEntries(
      Object.entries(points as Record<string, { x: number; y: number }>).map(([name, { x, y }]) => [
        name,
        { x: 1000 - x, y },
      ]),
    );

  it("side: knee, hip and trunk as they were drawn, facing either way", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -10, max: 40 }),
        fc.integer({ min: 1, max: 130 }),
        fc.integer({ min: -20, max: 60 }),
        (shank, knee, lean) => {
          const points = leg({ shank, knee, lean });
          for (const input of [
            { view: "side", facing: "right", ...points, pixelsPerCm: 4 },
            { view: "side", facing: "left", ...flipped(points), pixelsPerCm: 4 },
          ]) {
            const angles = still(input);
            expect(angles["kneeFlexionDeg"]).toBeCloseTo(knee, 6);
            expect(angles["trunkLeanDeg"]).toBeCloseTo(lean, 6);
            const bend = knee - shank + lean;
            if (Math.abs(bend) < 175) expect(angles["hipFlexionDeg"]).toBeCloseTo(bend, 6);
            expect(angles["kneePastToeCm"]).toBeCloseTo((points.knee.x - points.toe.x) / 4, 6);
          }
        },
      ),
    );
  });

  it("a knee bent backward is below 0; without a scale nothing is said in centimetres", () => {
    const angles = still({ view: "side", facing: "right", ...leg({ shank: -5, knee: -8, lean: 0 }) });
    expect(angles["kneeFlexionDeg"]).toBeCloseTo(-8, 6);
    expect(angles["kneePastToeCm"]).toBeNull();
  });

  /** From the front: the standing leg on the picture's right, knee inward by an angle, other hip dropped by one. */
  function frontal({ inward, drop, lean }: { inward: number; drop: number; lean: number }) {
    const hip = { x: 600, y: 300 };
    const ankle = { x: 600, y: 500 };
    // An isosceles knee: each half of the angle at the line.
    const knee = { x: 600 - 100 * Math.tan(radians(inward / 2)), y: 400 };
    const otherHip = { x: hip.x - 80 * Math.cos(radians(drop)), y: hip.y + 80 * Math.sin(radians(drop)) };
    const middle = { x: (hip.x + otherHip.x) / 2, y: (hip.y + otherHip.y) / 2 };
    const top = { x: middle.x + 150 * Math.sin(radians(lean)), y: middle.y - 150 * Math.cos(radians(lean)) };
    return {
      hip,
      knee,
      ankle,
      otherHip,
      shoulders: [
        { x: top.x - 50, y: top.y },
        { x: top.x + 50, y: top.y },
      ],
    };
  }
  const mirrored = ({ shoulders, ...points }: ReturnType<typeof frontal>) => ({
    ...flipped(points),
    shoulders: shoulders.map(({ x, y }) => ({ x: 1000 - x, y })),
  });

  it("front: the knee inward, the hip dropped, the trunk over the standing leg, on either leg, from either side", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -25, max: 40 }),
        fc.integer({ min: -20, max: 20 }),
        fc.integer({ min: -25, max: 25 }),
        (inward, drop, lean) => {
          const points = frontal({ inward, drop, lean });
          for (const input of [
            { view: "front", stance: "left", facing: "towards", ...points },
            { view: "front", stance: "right", facing: "away", ...points },
            { view: "front", stance: "right", facing: "towards", ...mirrored(points) },
            { view: "front", stance: "left", facing: "away", ...mirrored(points) },
          ]) {
            const angles = still(input);
            expect(angles["frontalProjectionDeg"]).toBeCloseTo(inward, 6);
            expect(angles["pelvicDropDeg"]).toBeCloseTo(drop, 6);
            expect(angles["trunkLeanDeg"]).toBeCloseTo(lean, 6);
          }
        },
      ),
    );
  });

  const good = {
    view: "front",
    stance: "left",
    facing: "towards",
    ...frontal({ inward: 5, drop: 2, lean: 1 }),
  };
  it.each<[string, object, string]>([
    ["the other leg than the hips say", { ...good, stance: "right" }, "/facing"],
    ["hips in one line", { ...good, otherHip: { x: good.hip.x, y: 320 } }, "/facing"],
    ["knee on the hip", { ...good, knee: good.hip }, "/knee"],
    ["ankle on the knee", { ...good, ankle: good.knee }, "/ankle"],
    ["both hips at one place", { ...good, otherHip: good.hip }, "/otherHip"],
    ["shoulders at one place", { ...good, shoulders: [good.hip, good.hip] }, "/shoulders/1"],
    [
      "a shoulder on the hip",
      {
        view: "side",
        facing: "right",
        ...leg({ shank: 5, knee: 20, lean: 5 }),
        shoulder: leg({ shank: 5, knee: 20, lean: 5 }).hip,
      },
      "/shoulder",
    ],
    ["a view that nobody knows", { ...good, view: "top" }, "/view"],
    ["a facing of the other view", { ...good, facing: "left" }, "/facing"],
    ["a scale of nothing", { ...good, pixelsPerCm: 0 }, "/pixelsPerCm"],
  ])("refused: %s", (_name, input, path) => {
    expect(paths("landmark-angles", input)).toContain(path);
  });
});
