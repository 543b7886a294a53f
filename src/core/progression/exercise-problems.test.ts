import { describe, expect, it } from "vitest";
import { ballSqueeze } from "~/catalogue/exercises/adductors";
import type { Exercise, Variant } from "~/core/exercise/exercise";
import { exerciseProblems, missingFields } from "./exercise-problems";

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
      "stand at",
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
        variants: [
          bent,
          { ...straight, settings: { contraction: "isometric", laterality: "single", lever: "long" } },
        ],
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
    [
      "a step that turns a knob easier",
      { ...ballSqueeze, variants: [straight, bent] },
      "/variants/1/settings/lever",
      "easier",
    ],
    ["kit nobody has", withFirst({ kit: ["anvil"] }), "/variants/0/kit/0", "not a piece of kit"],
    [
      "a ladder that leaves out where the variant begins",
      withFirst({ turns: [{ knob: "effort", ladder: ["50-70", "70-85"] }] }),
      "/variants/0/turns/0/ladder",
      "begins",
    ],
    [
      "an arc upside down",
      withFirst({ arcs: { knee: [90, 0], hip: [0, 10] } }),
      "/variants/0/arcs/knee",
      "bent to the straight",
    ],
    [
      "an id that stands twice",
      { ...ballSqueeze, variants: [bent, { ...straight, id: bent.id }] },
      "/variants/1/id",
      "twice",
    ],
    [
      "activation of a variant that is not there",
      {
        ...ballSqueeze,
        activation: [
          {
            variantId: "ball-squeeze-upside-down",
            muscle: "adductors",
            meanPercent: 50,
            sdPercent: 10,
            source: { kind: "common-practice" },
            leftOut: "everything",
          },
        ],
      },
      "/activation/0/variantId",
      "does not have",
    ],
  ])("%s", (_what, exercise, path, words) => {
    const problems = exerciseProblems(exercise as Exercise);
    expect(
      problems
        .filter((p) => p.path === path)
        .map((p) => p.problem)
        .join(),
    ).toContain(words);
  });
});

it("a new exercise must carry what older versions in the record may lack", () => {
  const older: Exercise = { ...ballSqueeze };
  delete older.family;
  expect(exerciseProblems(older)).toEqual([]);
  expect(missingFields(older)).toEqual([{ path: "/family", problem: "is missing" }]);
  expect(missingFields(withFirst({ phase: undefined })).map((p) => p.path)).toEqual(["/variants/0/phase"]);
});
