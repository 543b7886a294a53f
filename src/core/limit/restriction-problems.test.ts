import { labelBook } from "~/core/demand/label-book";
import { describe, expect, it } from "vitest";
import { exerciseWith, strength } from "~tests/builders/decide-input";
import { firstPrescription } from "~/core/exercise/exercise";
import { obstacle } from "./obstacle";
import type { Restriction } from "./restriction";
import { restrictionProblems } from "./restriction-problems";

const from = { origin: "surgeon" as const, says: "as the sheet says" };
const paths = (limit: Restriction) => restrictionProblems([limit], "/limits").map(({ path }) => path);

describe("limits that cannot be judged are refused, by field", () => {
  const wrong: [string, Restriction, string][] = [
    ["an unknown setting", { kind: "knob-limit", knob: "sparkle", hardest: 3, ...from }, "/limits/0/knob"],
    ["a word for a load", { kind: "knob-limit", knob: "load", hardest: "abc", ...from }, "/limits/0/hardest"],
    [
      "a number for a word",
      { kind: "knob-limit", knob: "support", hardest: 1, ...from },
      "/limits/0/hardest",
    ],
    ["no angle at all", { kind: "range-limit", joint: "knee", ...from }, "/limits/0/mostDeg"],
    [
      "angles crossed",
      { kind: "range-limit", joint: "knee", leastDeg: 90, mostDeg: 60, ...from },
      "/limits/0/mostDeg",
    ],
    ["kit nobody knows", { kind: "kit", available: ["step", "anvil"], ...from }, "/limits/0/available/1"],
    [
      "an end before its start",
      { kind: "note", from: "2026-03-02", until: "2026-03-01", ...from },
      "/limits/0/until",
    ],
  ];
  it.each(wrong)("%s", (_what, limit, path) => expect(paths(limit)).toEqual([path]));

  it("sound ones pass", () => {
    expect(paths({ kind: "knob-limit", knob: "load", hardest: 20, ...from })).toEqual([]);
    expect(paths({ kind: "range-limit", joint: "knee", mostDeg: 60, ...from })).toEqual([]);
    expect(paths({ kind: "note", from: "2026-03-01", until: "2026-03-01", ...from })).toEqual([]);
  });
});

describe("should one stand in an old record all the same", () => {
  const exercise = exerciseWith({}, [], strength);
  const [variant] = exercise.variants;
  it.each([
    ["sparkle", 3],
    ["load", "abc"],
  ])("a limit of %s to %s bars instead of throwing or passing", (knob, hardest) => {
    if (!variant) throw new Error("the exercise has a variant");
    const limit: Restriction = { kind: "knob-limit", knob, hardest, ...from };
    expect(obstacle(firstPrescription(variant), variant, exercise, [limit], "2026-03-10", labelBook)).toBe(
      limit,
    );
  });
});
