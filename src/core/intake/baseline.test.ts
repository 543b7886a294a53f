import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { startingMeasures } from "~/catalogue/measures/all";
import type { MeasureResult } from "~/core/measure/measure";
import { resultOf } from "~/core/measure/taken-result";
import { someIntake } from "~tests/builders/intake";
import { placed } from "~tests/builders/placed";
import { lowAbility } from "./ability";
import { baselineProblems, type Intake } from "./intake";

const today = "2026-03-10";
const measures = new Map(startingMeasures.map((measure) => [measure.code, measure]));
const taken = (measure: string, value: number, side: "left" | "right" | "none" = "none") => ({
  measure,
  side,
  trials: [value],
});
const result = (measure: string, value: number, side: "left" | "right" | "none" = "none"): MeasureResult => {
  const found = measures.get(measure);
  if (!found) throw new Error(measure);
  return resultOf(taken(measure, value, side), found, `${measure}-${side}`, today);
};

describe("a result as it was taken", () => {
  it("sums its trials up by the measure's own rule and belongs to the time since the injury unless it says so", () => {
    const hop = measures.get("single-hop");
    if (!hop) throw new Error("no hop");
    const three = { measure: "single-hop", side: "left" as const, trials: [98, 120, 111] };
    expect(resultOf(three, hop, "a", today)).toEqual({
      ...three,
      id: "a",
      value: 120,
      takenOn: today,
      occasion: "since-injury",
    });
    const other = {
      ...three,
      way: "bare foot",
      occasion: "pre-injury" as const,
      detail: { submaximal: true },
    };
    expect(resultOf(other, hop, "a", today)).toMatchObject({
      position: "bare foot",
      occasion: "pre-injury",
      detail: { submaximal: true },
    });
  });
});

describe("a baseline that cannot be", () => {
  const paths = (baseline: Intake["baseline"], over: Partial<Intake> = {}) =>
    baselineProblems(someIntake("kneecap-pain", { baseline, ...over }), measures, today).map((p) => p.path);
  const sound = [taken("pain-worst", 3)];
  it.each([
    ["tomorrow", { takenOn: "2026-03-11", results: sound }, ["/baseline/takenOn"]],
    ["the day before the injury", { takenOn: "2026-02-09", results: sound }, ["/baseline/takenOn"]],
    ["pain of 11", { takenOn: today, results: [taken("pain-worst", 11)] }, ["/baseline/results/0/trials/0"]],
    [
      "strength on no side",
      { takenOn: today, results: [taken("knee-extension-force", 300)] },
      ["/baseline/results/0/side"],
    ],
    [
      "a measure nobody has",
      { takenOn: today, results: [taken("aura", 3)] },
      ["/baseline/results/0/measure"],
    ],
    ["the same twice", { takenOn: today, results: [...sound, ...sound] }, ["/baseline/results/1/measure"]],
  ] as const)("%s", (_what, { takenOn, results }, expected) => {
    expect(paths({ takenOn, results: [...results] })).toEqual(expected);
  });
  it("the day of the injury, today, and none at all are fine; so is a value from before it that says so", () => {
    expect(paths({ takenOn: "2026-02-10", results: sound })).toEqual([]);
    expect(paths({ takenOn: today, results: sound })).toEqual([]);
    expect(paths(undefined)).toEqual([]);
    const before = { ...taken("single-hop", 140, "left"), occasion: "pre-injury" as const };
    expect(paths({ takenOn: "2025-09-01", results: [before] })).toEqual([]);
  });
});

describe("what was measured places", () => {
  const place = (intake: Intake, results: MeasureResult[]) => placed(intake, { results });

  it("beyond every gate that it opens, and says which", () => {
    const { stage, reasons } = place(someIntake("kneecap-pain"), [
      result("pain-step-down", 1),
      result("pain-worst", 2),
    ]);
    expect(stage).toBe("capacity");
    expect(reasons[0]).toEqual({ code: "measured", values: { stages: "Calm" } });
  });
  it("a value from before the operation opens nothing", () => {
    const intake = someIntake("meniscus-partial", {
      onsetOn: "2026-01-10",
      surgery: { on: "2026-02-20", procedure: "partial meniscectomy" },
    });
    const good = [
      result("effusion", 0, "left"),
      result("knee-extension-deficit", 0, "left"),
      result("walk-limp", 0),
    ];
    const early = good.map((one) => ({ ...one, takenOn: "2026-02-18" }));
    expect(place(intake, good).stage).toBe("strength");
    expect(place(intake, early).stage).toBe("settle");
  });
  it("compares stands from a chair with the person's own age and group", () => {
    const person = { givenName: "Runa", familyName: "Testrup", bornOn: "1944-01-01", activity: "Gardener" };
    const stage = (normGroup: "female" | "male", stands: number) =>
      place(someIntake("single-leg-confidence", { person: { ...person, normGroup } }), [
        result("stance-open", 12, "left"),
        result("stance-open", 12, "right"),
        result("chair-stand-30s", stands),
      ]).stage;
    // CDC STEADI, 80 to 84 years: women 9, men 10.
    expect(stage("female", 9)).toBe("one-leg");
    expect(stage("male", 9)).toBe("hold-on");
    expect(stage("male", 10)).toBe("one-leg");
  });

  it.each([
    ["stance-open", 4.9, "left", true],
    ["stance-open", 5, "left", false],
    ["stance-open", 1, "right", false],
    ["chair-stand-30s", 4, "none", true],
    ["chair-stand-30s", 5, "none", false],
  ] as const)("%s of %s on the %s: helped work first is %s", (measure, value, side, low) => {
    const found = lowAbility(startingMeasures, [result(measure, value, side)], "left");
    expect(found !== null).toBe(low);
    if (low) expect(found).toMatchObject({ measure, value, threshold: 5 });
  });
  it("with both sides hurt the weaker leg counts", () => {
    const legs = [result("stance-open", 20, "left"), result("stance-open", 3, "right")];
    expect(lowAbility(startingMeasures, legs, "both")).toMatchObject({ value: 3 });
  });
  it("weak on the leg: no lane gets a freer variant than without the measurement", () => {
    const intake = someIntake("stairs-again");
    const weak = place(intake, [result("stance-open", 2, "left")]);
    expect(weak.reasons.map(({ code }) => code)).toContain("ability");
    const without = place(intake, []);
    const rank = (lanes: typeof weak.lanes) =>
      lanes.map(({ chosen }) => {
        const exercise = startingExercises.find(({ id }) => id === chosen?.exerciseId);
        return {
          id: exercise?.id,
          at: exercise?.variants.findIndex(({ id }) => id === chosen?.variantId) ?? 0,
        };
      });
    const [now, before] = [rank(weak.lanes), rank(without.lanes)];
    now.forEach(({ id, at }, n) => {
      if (id === before[n]?.id) expect(at).toBeLessThanOrEqual(before[n]?.at ?? 0);
    });
    expect(now.map(({ at }) => at)).not.toEqual(before.map(({ at }) => at));
  });
});
