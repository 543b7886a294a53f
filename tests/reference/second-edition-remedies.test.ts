import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { decide } from "~/core/decision/decide";
import type { DecideInput, SignedChange } from "~/core/decision/record/decide-input";
import { sayEvidence } from "~/messages/say-evidence";
import { variantOf } from "~/core/exercise/exercise";
import type { SetRecord } from "~/core/response/session-record";
import { bookOfBody } from "~/catalogue/demands/book";
import { day, exerciseWith, march, reps, stepUpInput, strength } from "~tests/builders/decide-input";
import { at, codes, painful, poor, said, top, turned } from "~tests/builders/side-steps";

/**
 * What an ease turns, reasoned by hand from the table of causes and remedies before the engine was run (common practice).
 * Shelves, arcs and bends as a clinic writes them.
 */
const withVariant = (id: string) => {
  const found = startingExercises.find(({ variants }) => variants.some((variant) => variant.id === id));
  if (!found) throw new Error(`no exercise has ${id}`);
  return found;
};
const extension = (arc: string, sets: SetRecord[]) =>
  stepUpInput({
    exercise: exerciseWith({ arc }, [{ knob: "arc", ladder: ["60-90", "45-90", "30-90", "0-90"] }], strength),
    prescription: { variantId: "only", settings: { arc }, dose: strength },
    trainingDays: [day(8, sets)],
  });
const squat = (kneeAngle: number, sets: SetRecord[], over: Partial<DecideInput> = {}) =>
  stepUpInput({
    exercise: exerciseWith(
      { "knee-angle": kneeAngle },
      [{ knob: "knee-angle", ladder: [30, 45, 60, 75, 90] }],
      strength,
    ),
    prescription: { variantId: "only", settings: { "knee-angle": kneeAngle }, dose: strength },
    trainingDays: [day(8, sets)],
    ...over,
  });

describe("pain at a depth or arc", () => {
  const at = (fromDeg: number, toDeg?: number): Partial<SetRecord> => ({
    painWith: "depth",
    painArc: { fromDeg, ...(toDeg === undefined ? {} : { toDeg }) },
  });
  it.each([
    ["squat to 90°, pain from 70°", squat(90, painful(7, at(70))), "knee-angle 90 to 65"],
    ["squat to 60°, pain from 50°", squat(60, painful(7, at(50))), "knee-angle 60 to 45"],
    ["an angle nobody named: one notch", squat(60, painful(7, { painWith: "depth" })), "knee-angle 60 to 45"],
    ["pain beyond the bend: one notch all the same", squat(60, painful(7, at(80))), "knee-angle 60 to 45"],
    [
      "leg extension 0–90°, pain at 20°: the deep part stays",
      extension("0-90", painful(7, at(20))),
      "arc 0-90 to 25-90",
    ],
    [
      "leg extension 0–90°, pain 30–50°: the wider part stays",
      extension("0-90", painful(7, at(30, 50))),
      "arc 0-90 to 55-90",
    ],
    ["leg extension 0–90°, pain from 80°", extension("0-90", painful(7, at(80))), "arc 0-90 to 0-75"],
    [
      "an arc is range as well: no angle named",
      extension("30-90", painful(7, { painWith: "depth" })),
      "arc 30-90 to 45-90",
    ],
  ])("%s", (_what, input, expected) => expect(turned(input)).toBe(`ease-pain-at-depth: ${expected}`));

  describe("a depth hurt, nobody said at which angle, and the movement had been measured", () => {
    const unnamed = painful(7, { painWith: "depth" });
    const measured = (on: string, fromDeg: number, toDeg?: number) => ({
      measuredArc: { on, fromDeg, ...(toDeg === undefined ? {} : { toDeg }) },
    });
    // The painful day is 8 March.
    it.each([
      ["on the day itself", squat(90, unnamed, measured("2026-03-08", 55)), "knee-angle 90 to 50"],
      ["fourteen days before", squat(90, unnamed, measured("2026-02-22", 55)), "knee-angle 90 to 50"],
      ["two days after", squat(90, unnamed, measured("2026-03-10", 55)), "knee-angle 90 to 50"],
      [
        "fifteen days before: too old, one notch",
        squat(90, unnamed, measured("2026-02-21", 55)),
        "knee-angle 90 to 75",
      ],
      [
        "an angle that was named comes first",
        squat(90, painful(7, at(70)), measured("2026-03-08", 55)),
        "knee-angle 90 to 65",
      ],
      [
        "it passed again at 50°",
        { ...extension("0-90", unnamed), ...measured("2026-03-08", 30, 50) },
        "arc 0-90 to 55-90",
      ],
    ])("%s", (_what, input, expected) => expect(turned(input)).toBe(`ease-pain-at-depth: ${expected}`));

    it("says when it was measured", () => {
      const [first] = decide(squat(90, unnamed, measured("2026-03-06", 55))).evidence;
      expect(first?.values).toMatchObject({ form: "measured", fromDeg: 55, on: "2026-03-06" });
      expect(first && sayEvidence(first)).toBe(
        "Sun 8 Mar: pain 7 during, 0 before, at a depth (measured on Fri 6 Mar: from 55°): more than the pain rule allows (up to 2 goes on, 3 to 5 holds).",
      );
    });
    it("pain with effort does not read it", () => {
      const [first] = decide(
        squat(90, painful(7, { painWith: "effort" }), measured("2026-03-08", 55)),
      ).evidence;
      expect(first?.values).not.toHaveProperty("fromDeg");
    });
  });

  it("says the angle", () => {
    const said = decide(squat(90, painful(7, at(70)))).evidence[0];
    expect(said).toMatchObject({ code: "pain-during-ease", values: { painDuring: 7, fromDeg: 70 } });
  });
  it("climbs from between two rungs to the next", () => {
    const fine = [5, 8].map((date) => day(date, reps([12, 12, 12])));
    const input = squat(65, [], { trainingDays: fine });
    const exercise = exerciseWith(
      { "knee-angle": 60 },
      [{ knob: "knee-angle", ladder: [30, 45, 60, 75, 90] }],
      strength,
    );
    expect(turned({ ...input, exercise })).toBe("step-up: knee-angle 65 to 75");
  });
  it("a box is raised until this body stays short of where it hurts", () => {
    const exercise = withVariant("chair-stand-free");
    const first = variantOf(exercise, "chair-stand-free");
    const prescription = {
      variantId: first.id,
      settings: { ...first.settings, "box-height": 45 },
      dose: strength,
    };
    const input = stepUpInput({
      exercise,
      prescription,
      involvedSide: "both",
      trainingDays: [day(8, reps([12, 12, 12], { side: "both", painDuring: 7, ...at(80) }))],
    });
    const book = bookOfBody({ heightM: 1.75 });
    const { change } = decide(input, undefined, book);
    if (!change || !("knob" in change)) throw new Error("an ease turns something");
    const bend = (prescribed: typeof prescription) => {
      const told = book.demandOf(exercise, prescribed);
      return told.ok ? told.demand.working.kneeFlexionDeg[1] : NaN;
    };
    expect(change.knob).toBe("box-height");
    expect(bend(prescription)).toBeGreaterThan(75);
    expect(bend(change.prescription as typeof prescription)).toBeLessThanOrEqual(75);
  });
  it("with the range at its end the same movement sits back, its bend and load as they were", () => {
    const exercise = withVariant("squat-sit-back");
    const free = exercise.variants.find(({ settings }) => settings["knee-travel"] === "free");
    if (!free) throw new Error("a squat with free knees is in the catalogue");
    const lowest = { ...free.settings, "knee-angle": 30 };
    const input = stepUpInput({
      exercise,
      prescription: { variantId: free.id, settings: lowest, dose: strength },
      involvedSide: "both",
      trainingDays: [day(8, reps([12, 12, 12], { side: "both", painDuring: 7, painWith: "depth" }))],
    });
    const { change } = decide(input);
    expect(change).toMatchObject({ kind: "variant", knob: "knee-travel", from: "free", to: "limited" });
    if (!change || !("knob" in change)) throw new Error("an ease turns something");
    expect(change.prescription).toMatchObject({ dose: strength, settings: { "knee-angle": 30 } });
    expect(variantOf(exercise, change.prescription.variantId).settings["knee-travel"]).toBe("limited");
  });
});

describe("the worst set says what it came with", () => {
  const set = (painDuring: number, painWith?: SetRecord["painWith"]): SetRecord => ({
    ...(reps([12])[0] as SetRecord),
    painDuring,
    ...(painWith ? { painWith } : {}),
  });
  const loaded = { ...strength, loadKg: 20 };
  const both = (sets: SetRecord[], dose: typeof strength = loaded) =>
    stepUpInput({
      exercise: exerciseWith(
        { "step-height": 10 },
        [
          { knob: "step-height", ladder: [5, 10, 15] },
          { knob: "load", stepPercent: 5, incrementKg: 2, maximumKg: 40 },
        ],
        dose,
      ),
      prescription: { variantId: "only", settings: { "step-height": 10 }, dose },
      trainingDays: [day(8, sets)],
    });
  it.each([
    ["the worst, not the first", [set(3, "depth"), set(7, "effort"), set(6, "depth")], "load 20 to 16"],
    ["equally bad: depth first", [set(7, "effort"), set(7, "depth"), set(6)], "step-height 10 to 5"],
    ["on the way down: the load", [set(7, "down"), set(5), set(5)], "load 20 to 16"],
    ["on the way up: the load", [set(7, "up"), set(5), set(5)], "load 20 to 16"],
    ["afterwards: the load", [set(7, "after"), set(5), set(5)], "load 20 to 16"],
    ["no pattern, under a load", [set(7, "none"), set(5), set(5)], "load 20 to 16"],
    ["nobody asked, under a load", [set(7), set(5, "depth"), set(5)], "load 20 to 16"],
  ])("%s", (_what, sets, expected) => expect(turned(both(sets))).toMatch(new RegExp(`: ${expected}$`)));
  it("no pattern without a load: the depth", () =>
    expect(turned(both([set(7, "none"), set(5), set(5)], strength))).toMatch(/: step-height 10 to 5$/));
});

describe("two eases running", () => {
  const before = { variantId: "only", settings: { "step-height": 15 }, dose: strength };
  const eased = (date: string, cause: SignedChange["cause"]): SignedChange => ({
    at: date,
    direction: "easier",
    knob: "step-height",
    before,
    ...(cause ? { cause } : {}),
  });
  const hurts = [top(8, {}, { painDuring: 7, painWith: "depth" })];
  const says = (changes: SignedChange[]) =>
    codes(march(9, "10:00"), hurts, { changes }).includes("second-ease-running");
  it.each([
    ["28 days ago", [eased("2026-02-09T09:00:00Z", "pain-at-depth")], true],
    ["29 days ago", [eased("2026-02-08T09:00:00Z", "pain-at-depth")], false],
    ["for an absence", [eased(march(3), "absence")], false],
    ["for a limit", [eased(march(3), "beyond-limit")], false],
    ["of the clinician's own", [eased(march(3), undefined)], true],
    [
      "with a step between",
      [eased(march(1), "flare"), { at: march(3), direction: "harder" as const, knob: "step-height" }],
      false,
    ],
    [
      "behind an offer that was noted",
      [eased(march(1), "flare"), { at: march(3), direction: "other" as const }],
      true,
    ],
    ["behind an absence", [eased(march(1), "flare"), eased(march(3), "absence")], true],
  ])("one %s: %s", (_what, changes, expected) => expect(says(changes)).toBe(expected));
});

describe("felt in the wrong place", () => {
  const wrong = (date: number) => top(date, {}, { limit: { kind: "wrong-place" } });
  it("the day does not count, and the cue says where it belongs", () => {
    const { outcome, evidence } = at(march(9, "10:00"), [top(5), wrong(8)]);
    expect(outcome).toBe("hold");
    expect(evidence.find(({ code }) => code === "wrong-place")).toMatchObject({
      date: "2026-03-08",
      values: { feltIn: "thigh" },
    });
  });
  it("on the second day running another variant is offered, and somebody looks", () => {
    const proposal = at(march(9, "10:00"), [wrong(5), wrong(8)]);
    expect(proposal.evidence.map(({ code }) => code)).toContain("wrong-place-again");
    expect(proposal.review).toBe(true);
  });
  it("it is no plateau", () => {
    const weeks = [3, 6, 10, 13, 17, 20, 24].map(wrong);
    expect(said(march(25, "10:00"), weeks)).toBe("hold: wrong-place");
  });
});

describe("marked faults of one set add up", () => {
  const faults: SetRecord["faults"] = [
    { fault: "knee-in", severity: "marked", reps: 2 },
    { fault: "leans", severity: "marked", reps: 2 },
  ];
  it("to most of its repetitions", () =>
    expect(said(march(9, "10:00"), [day(8, reps([8, 8, 8], { faults }))])).toBe("ease: ease-marked-fault"));
  it("and below the bottom of the range", () => {
    const twelve = reps([11, 11, 11], { faults });
    expect(said(march(9, "10:00"), [day(5, twelve), day(8, twelve)])).toBe("ease: ease-too-few-clean");
  });
});

it("words name what was done and asked", () => {
  const short = at(march(9, "10:00"), [top(5), poor(8)]).evidence.find(({ code }) => code === "short-of-top");
  expect(short?.values).toMatchObject({ done: "9, 9, 9", asked: "8–12", leg: "left", unit: "reps" });
  const twoSets = at(march(9, "10:00"), [day(8, reps([12, 12]))]).evidence;
  expect(twoSets[0]?.values).toMatchObject({ form: "sets", sets: 2, asked: 3 });
  const otherLeg = at(march(9, "10:00"), [day(8, reps([12, 12, 12], { side: "right" }))]).evidence;
  expect(otherLeg[0]?.values).toMatchObject({ form: "leg", leg: "left" });
});

describe("an ease stays in its movement", () => {
  const book = bookOfBody({ heightM: 1.75 });
  const eased = (variantId: string) => {
    const exercise = withVariant(variantId);
    const { dose, settings } = variantOf(exercise, variantId);
    const input = stepUpInput({
      exercise,
      prescription: { variantId, settings, dose: { ...dose, sets: 3 } },
      trainingDays: [top(3), top(20)],
      now: march(21, "10:00"),
    });
    return decide(input, undefined, book);
  };
  it("a lunge forward does not turn into one across, which bends further and carries more", () => {
    const { rule, change } = eased("forward-lunge-free");
    expect(rule).toBe("ease-absence");
    expect(change).not.toMatchObject({ kind: "variant" });
  });
  it("a single-leg squat without hands does turn into one with a hand", () => {
    expect(eased("stance-eyes-open").change).toMatchObject({ kind: "variant", to: "one-hand" });
  });
});
