import { describe, expect, it } from "vitest";
import { startingMeasures } from "~/catalogue/measures/all";
import { standIns, standInTrial } from "./stand-in";
import { measuredTrial, takenBy, type TrialGoal } from "./taken-by";
import { trialIsOver } from "./trial-end";

const byDevice = startingMeasures.flatMap((measure) => {
  const by = takenBy(measure);
  return by ? [[measure.code, by.kind, by.goal] as const] : [];
});

it("forces are taken with a dynamometer, pressures with a cuff, jumps on the mat; a one-repetition maximum with none", () => {
  expect(byDevice.map(([code, kind]) => `${code} ${kind}`)).toEqual([
    "knee-extension-force dynamometer",
    "knee-flexion-force dynamometer",
    "hip-abduction-force dynamometer",
    "hip-adduction-force dynamometer",
    "hip-external-rotation-force dynamometer",
    "hip-extension-force dynamometer",
    "squeeze-force dynamometer",
    "squeeze-pressure cuff",
    "side-hops mat",
    "jump-height mat",
    "drop-jump-index mat",
  ]);
});

describe("a trial of a measure", () => {
  const played = (kind: "dynamometer" | "cuff" | "mat", event: "clean" | "slipped" = "clean") => ({
    values: standInTrial({ kind, event, peak: kind === "mat" ? 14 : 180, seed: 3 }),
    sampleHz: standIns[kind].sampleHz,
  });

  it("is its number with what belongs beside it", () => {
    const force = measuredTrial("force", played("dynamometer"));
    expect(Math.abs((force.value ?? 0) - 180)).toBeLessThan(4);
    expect(force.bestSecond).toBeLessThanOrEqual(force.value ?? 0);
    expect(force.rise200).toBeGreaterThan(force.rise100 ?? Infinity);
    expect(Math.abs((measuredTrial("pressure", played("cuff")).value ?? 0) - 180)).toBeLessThan(6);
    expect(measuredTrial("jump", played("mat")).value).toBeCloseTo(14, 0);
    expect(measuredTrial("rebound", played("mat")).value).toBeGreaterThan(0.3);
    expect(measuredTrial("hops", played("mat")).value).toBe(2);
  });

  it("is none, or to be repeated, for a reason", () => {
    const stands = { sampleHz: 1000, values: Array.from({ length: 3000 }, () => 1) };
    expect(measuredTrial("jump", stands).faults).toEqual(["no-flight"]);
    expect(measuredTrial("rebound", stands).faults).toEqual(["no-flight"]);
    expect(measuredTrial("hops", stands)).toMatchObject({ value: null, faults: ["no-flight"] });
    expect(measuredTrial("jump", played("mat", "slipped")).faults).toEqual(["double-landing"]);
    const once = {
      sampleHz: 1000,
      values: [...stands.values, ...Array<number>(300).fill(0), ...stands.values],
    };
    expect(measuredTrial("rebound", once).faults).toEqual(["no-rebound"]);
    expect(measuredTrial("jump", { ...once, lost: 2 }).faults).toEqual(["lost-samples"]);
    expect(measuredTrial("force", stands)).toMatchObject({ value: null, faults: ["no-onset"] });
  });
});

describe("a trial is over", () => {
  /** The first moment at which it is, seconds, looked at every tenth. */
  const over = (goal: TrialGoal, values: readonly number[], hz: number) => {
    for (let n = hz / 10; n <= values.length; n += hz / 10)
      if (trialIsOver(goal, values.slice(0, n), hz)) return n / hz;
    return null;
  };

  it("when the pull is let go, not in its middle and not where it only slipped", () => {
    for (const event of ["clean", "slipped", "double-peak"] as const) {
      const values = standInTrial({ kind: "dynamometer", event, peak: 300, seed: 3 });
      expect(over("force", values, 1000), event).toBeGreaterThan(5.8);
    }
    expect(over("force", Array<number>(14_000).fill(2), 1000)).toBeNull();
    expect(over("force", Array<number>(16_000).fill(2), 1000)).toBe(15);
  });

  it("when somebody has landed and stands; a rebound needs both of its landings; hops their thirty seconds", () => {
    const values = standInTrial({ kind: "mat", event: "clean", peak: 14, seed: 3 });
    expect(over("jump", values, 1000)).toBeGreaterThan(2);
    expect(over("rebound", values, 1000)).toBeGreaterThan(2);
    const hop = [...Array<number>(300).fill(0), ...Array<number>(200).fill(1)];
    const hops = [...Array<number>(1000).fill(1), ...Array.from({ length: 80 }, () => hop).flat()];
    expect(over("hops", hops, 1000)).toBeCloseTo(31.8, 5);
    const tired = [...hops.slice(0, 9000), ...Array<number>(3000).fill(1)];
    expect(over("hops", tired, 1000)).toBeLessThan(12);
  });
});
