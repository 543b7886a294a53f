import { describe, expect, it } from "vitest";
import { decide } from "~/core/decision/decide";
import type { DecideInput, SignedChange } from "~/core/decision/record/decide-input";
import type { Restriction } from "~/core/limit/restriction";
import type { SetRecord } from "~/core/response/session-record";
import { day, exerciseWith, march, reps, stepUpInput, strength } from "~tests/builders/decide-input";
import { painful, turned } from "~tests/builders/side-steps";

/**
 * Loads by what is there, and what steers a knee, reasoned by hand from the rules before the engine was run (common practice;
 * steps of 2–10 % ACSM 2009, recalled).
 */
describe("what is on the shelf decides", () => {
  const shelf: Restriction = {
    kind: "kit",
    available: ["dumbbells", "wall", "chair"],
    shelfKg: { dumbbells: [5, 10, 15, 20] },
    origin: "kit",
    says: "what is there",
  };
  const lifting = (loadKg: number, sets: SetRecord[], over: Partial<DecideInput> = {}) => {
    const dose = { ...strength, loadKg };
    return stepUpInput({
      exercise: exerciseWith(
        {},
        [{ knob: "load", kit: "dumbbells", stepPercent: 5, incrementKg: 2, maximumKg: 40 }],
        dose,
      ),
      prescription: { variantId: "only", settings: {}, dose },
      restrictions: [shelf],
      trainingDays: [day(8, sets)],
      ...over,
    });
  };
  it.each([
    [20, "effort", 15],
    [15, "effort", 10],
    [10, "effort", 5],
    [5, "effort", 0],
  ] as const)("%d kg with pain by %s comes down to %d kg", (from, painWith, to) =>
    expect(turned(lifting(from, painful(7, { painWith })))).toBe(
      `ease-pain-with-effort: load ${from} to ${to}`,
    ),
  );
  it("goes up by what there is: three good days, said with its share, begun at the bottom", () => {
    const fine = (dates: number[]) => dates.map((date) => day(date, reps([12, 12, 12])));
    const two = lifting(10, [], { trainingDays: fine([5, 8]) });
    expect(decide(two)).toMatchObject({ outcome: "hold", rule: "run-too-short" });
    const three = lifting(10, [], { trainingDays: fine([3, 5, 8]), prescribedAt: march(2) });
    const { evidence, change } = decide(three);
    expect(change).toMatchObject({ knob: "load", to: 15 });
    expect(evidence.at(-1)).toMatchObject({ code: "next-knob", values: { need: 3, percent: 50, bottom: 8 } });
  });
  it.each([
    ["5 kg from 20 to 22 where there are two-kilogram steps", 20, 22],
    ["a small weight by its smallest step", 4, 6],
    ["a heavy one by a tenth at most", 38, 40],
  ])("%s: two days", (_what, from, to) => {
    const input = lifting(from, [], {
      restrictions: [],
      trainingDays: [5, 8].map((date) => day(date, reps([12, 12, 12]))),
    });
    expect(turned(input)).toBe(`step-up: load ${from} to ${to}`);
  });
  it("a first load has no share and asks for two days", () => {
    const input = lifting(0, [], { trainingDays: [5, 8].map((date) => day(date, reps([12, 12, 12]))) });
    expect(turned(input)).toBe("step-up: load 0 to 5");
  });
});

describe("a knee that drifts inward", () => {
  const drifts = reps([8, 8, 8], { faults: [{ fault: "knee-in", severity: "marked", reps: 5 }] });
  const kit = (...available: string[]): Restriction => ({
    kind: "kit",
    available,
    origin: "kit",
    says: "kit",
  });
  const single = (over: Partial<DecideInput> = {}) =>
    stepUpInput({
      exercise: exerciseWith(
        { support: "none", "box-height": 45 },
        [
          { knob: "support", ladder: ["two-hands", "fingertips", "none"] },
          { knob: "box-height", ladder: [55, 50, 45] },
        ],
        strength,
      ),
      prescription: { variantId: "only", settings: { support: "none", "box-height": 45 }, dose: strength },
      trainingDays: [day(8, drifts)],
      ...over,
    });
  it.each([
    ["a ball and a wall to hand", [kit("ball", "wall", "band")], "knee-guide none to ball"],
    ["a band to hand", [kit("band", "wall")], "knee-guide none to band"],
    ["nothing known to be to hand: support, and the cue in words", [], "support none to fingertips"],
  ])("%s", (_what, restrictions, expected) =>
    expect(turned(single({ restrictions }))).toBe(`ease-marked-fault: ${expected}`),
  );
  it("then support, then range", () => {
    const guided = { support: "none", "box-height": 45, "knee-guide": "ball" };
    const prescription = { variantId: "only", settings: guided, dose: strength };
    const restrictions = [kit("ball", "wall")];
    expect(turned(single({ restrictions, prescription }))).toBe(
      "ease-marked-fault: support none to fingertips",
    );
    const held = { ...prescription, settings: { ...guided, support: "two-hands" } };
    expect(turned(single({ restrictions, prescription: held }))).toBe(
      "ease-marked-fault: box-height 45 to 50",
    );
  });
  it("the way up takes the cue away first", () => {
    const before = {
      variantId: "only",
      settings: { support: "fingertips", "box-height": 45 },
      dose: strength,
    };
    const guided = { ...before, settings: { ...before.settings, "knee-guide": "ball" } };
    const eased: SignedChange = {
      at: march(3),
      direction: "easier",
      knob: "knee-guide",
      cause: "marked-fault",
      before,
    };
    const fine = [4, 6, 8].map((date) => day(date, reps([12, 12, 12])));
    const input = single({
      prescription: guided,
      changes: [eased],
      trainingDays: fine,
      answeredAt: march(3),
    });
    expect(turned(input)).toBe("step-up: knee-guide ball to none");
  });
});
