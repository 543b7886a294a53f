import { describe, expect, it } from "vitest";
import { ballSqueeze } from "~/catalogue/exercises/adductors";
import type { Exercise, Variant } from "./exercise";
import { exerciseProblems } from "./exercise-problems";

const [bent, straight] = ballSqueeze.variants as [Variant, Variant];
const withFirst = (change: Partial<Variant>): Exercise => ({
  ...ballSqueeze,
  variants: [{ ...bent, ...change }],
});

describe("what a schema cannot see", () => {
  it.each([
    [
      "a knob that does not exist",
      withFirst({ settings: { wobble: 3 } }),
      "/variants/0/settings/wobble",
      "not a knob",
    ],
    [
      "a value the knob lacks",
      withFirst({ settings: { lever: "medium" } }),
      "/variants/0/settings/lever",
      "stand at",
    ],
    [
      "a ladder that goes down",
      withFirst({ turns: [{ knob: "effort", ladder: ["50-70", "30-40"] }] }),
      "/variants/0/turns/0/ladder",
      "easy to hard",
    ],
    [
      "a ladder that is not of this knob",
      withFirst({ turns: [{ knob: "lever", ladder: ["short", "shorter"] }] }),
      "/variants/0/turns/0/ladder",
      "word",
    ],
    [
      "a dose that asks for nothing",
      withFirst({ dose: { ...bent.dose, hold: undefined } }),
      "/variants/0/dose",
      "asks for nothing",
    ],
    [
      "a range upside down",
      withFirst({ dose: { ...bent.dose, hold: { bottom: 20, top: 10 } } }),
      "/variants/0/dose/hold",
      "above",
    ],
    [
      "a band upside down",
      withFirst({ dose: { ...bent.dose, effort: { lowPercent: 70, highPercent: 50 } } }),
      "/variants/0/dose/effort",
      "above",
    ],
    [
      "a step that turns two knobs",
      {
        ...ballSqueeze,
        variants: [bent, { ...straight, settings: { lever: "long", contraction: "eccentric-only" } }],
      },
      "/variants/1",
      "differ in 2 knobs",
    ],
    [
      "a step that turns none",
      { ...ballSqueeze, variants: [bent, { ...straight, settings: bent.settings }] },
      "/variants/1",
      "0 knobs",
    ],
  ])("%s", (_what, exercise, path, words) => {
    const problems = exerciseProblems(exercise as Exercise);
    expect(problems).toHaveLength(1);
    expect(problems[0]?.path).toBe(path);
    expect(problems[0]?.problem).toContain(words);
  });
});
