import { describe, expect, it } from "vitest";
import type { Demand, LegDemand } from "~/core/demand/demand";
import { labelBook } from "~/core/demand/label-book";
import { decide } from "~/core/decision/decide";
import type { DecideInput, SignedChange } from "~/core/decision/record/decide-input";
import { neededRun, restingKnobs } from "~/core/decision/record/knob-history";
import { nextHarder } from "~/core/decision/record/next-harder";
import { viewRecord } from "~/core/decision/record/record-view";
import type { Exercise } from "~/core/exercise/exercise";
import { day, exerciseWith, march, reps, stepUpInput, strength } from "~tests/builders/decide-input";
import { monday, top } from "~tests/builders/side-steps";
import { asksMore } from "./asks-more";
import { ceilings, effusionBars } from "./ceilings";
import { shortOfPain } from "./short-of-pain";

/** The pieces that rules are made of, both sides of every figure (the product's own rules; common practice). */

describe("whether one movement asks more of the leg than another", () => {
  const input = stepUpInput();
  const told = labelBook.demandOf(input.exercise, input.prescription);
  if (!told.ok) throw new Error(told.why);
  const leg = (over: Partial<LegDemand>): LegDemand => ({
    ...told.demand.working,
    weightShare: 1,
    kneeFlexionDeg: [0, 60],
    ...over,
  });
  const standing = (over: Partial<LegDemand> = {}, more: Partial<Demand> = {}): Demand => ({
    ...told.demand,
    base: "one-foot",
    spring: "none",
    running: false,
    ...more,
    working: leg(over),
  });
  const than = standing();
  it.each<[string, Demand | null, Demand | null, boolean]>([
    ["the same", standing(), than, false],
    ["fifteen degrees further", standing({ kneeFlexionDeg: [0, 75] }), than, false],
    ["sixteen degrees further", standing({ kneeFlexionDeg: [0, 76] }), than, true],
    [
      "further, but hardly carrying",
      standing({ kneeFlexionDeg: [0, 90], weightShare: 0.29 }),
      standing({ weightShare: 0.29 }),
      false,
    ],
    [
      "further, carrying three tenths",
      standing({ kneeFlexionDeg: [0, 90], weightShare: 0.3 }),
      standing({ weightShare: 0.3 }),
      true,
    ],
    ["a tenth more weight", standing({ weightShare: 0.6 }), standing({ weightShare: 0.5 }), false],
    ["clearly more weight", standing({ weightShare: 0.61 }), standing({ weightShare: 0.5 }), true],
    ["more of both, but not standing", standing({ kneeFlexionDeg: [0, 120] }, { base: "none" }), than, false],
    ["a harder landing", standing({}, { spring: "two-leg-landing" }), than, true],
    ["a softer landing", than, standing({}, { spring: "two-leg-landing" }), false],
    ["running", standing({}, { running: true }), than, true],
    ["running as before", standing({}, { running: true }), standing({}, { running: true }), false],
    ["what nobody drew", null, than, false],
    ["than what nobody drew", standing({ kneeFlexionDeg: [0, 120] }), null, false],
  ])("%s", (_what, one, other, is) => {
    expect(asksMore(one, other)).toBe(is);
  });
});

describe("knobs that were stepped and eased", () => {
  const harder = (knob: string): SignedChange => ({ at: march(1), direction: "harder", knob });
  const easier = (knob: string): SignedChange => ({ at: march(2), direction: "easier", knob });
  it("three good days where the last thing done to it was an ease, two else", () => {
    expect(neededRun([], "load")).toBe(2);
    expect(neededRun([harder("load"), easier("load")], "load")).toBe(3);
    expect(neededRun([easier("load"), harder("load")], "load")).toBe(2);
    expect(neededRun([easier("reps")], "load")).toBe(2);
  });
  it("one rests that was eased twice, each time after a step; an ease that follows no step does not count", () => {
    expect(restingKnobs([harder("load"), easier("load")])).toEqual([]);
    expect(restingKnobs([harder("load"), easier("load"), harder("load"), easier("load")])).toEqual(["load"]);
    expect(restingKnobs([harder("load"), easier("load"), easier("load")])).toEqual([]);
    expect(
      restingKnobs([harder("load"), { at: march(2), direction: "other", knob: "load" }, easier("load")]),
    ).toEqual([]);
    expect(restingKnobs([harder("reps"), easier("load"), harder("reps"), easier("load")])).toEqual([]);
    expect(restingKnobs([{ at: march(1), direction: "harder" }, easier("load")])).toEqual([]);
  });
});

describe("what lets nothing get harder", () => {
  const codes = (over: Partial<DecideInput>) => {
    const view = viewRecord(stepUpInput({ now: monday, ...over }));
    return [...ceilings(view), ...effusionBars(view)].map(({ code }) => code);
  };
  it.each<[string, Partial<DecideInput>, string[]]>([
    ["pain of 7 a week ago", { lastPain: { pain: 7, on: "2026-03-02" } }, ["pain-ceiling"]],
    ["pain of 7 eight days ago", { lastPain: { pain: 7, on: "2026-03-01" } }, []],
    ["pain of 6", { lastPain: { pain: 6, on: "2026-03-09" } }, []],
    [
      "pain of 7 before the last session, nobody asked since",
      { trainingDays: [top(8, { before: 7, next: null })] },
      ["pain-ceiling"],
    ],
    ["pain of 7 before it, none the next morning", { trainingDays: [top(8, { before: 7, next: 0 })] }, []],
    ["pain of 7 the next morning", { trainingDays: [top(8, { next: 7 })] }, ["pain-ceiling"]],
    ["the mean up by one", { weeklyMeanRise: 1 }, []],
    ["the mean up by more", { weeklyMeanRise: 1.1 }, ["mean-rising"]],
    ["2+, raised or not", { effusion: { grade: 3, raised: true } }, ["effusion-high"]],
    ["1+, as before, under a step-up", { effusion: { grade: 2, raised: false } }, []],
    ["a trace, raised", { effusion: { grade: 1, raised: true } }, ["effusion-raised"]],
  ])("%s", (_what, over, expected) => {
    expect(codes(over)).toEqual(expected);
  });

  it.each<[string, Partial<Exercise>, Partial<DecideInput["prescription"]>, string[]]>([
    ["a spring", {}, { settings: { contraction: "plyometric" } }, ["effusion-some"]],
    ["running", {}, { dose: { ...strength, style: "running" } }, ["effusion-some"]],
    ["a dose of springs", {}, { dose: { ...strength, style: "plyometric" } }, ["effusion-some"]],
    [
      "much load on the kneecap",
      { loads: { kneecap: "high", hip: "low", back: "low" } },
      {},
      ["effusion-some"],
    ],
    ["some load on the kneecap", { loads: { kneecap: "moderate", hip: "low", back: "low" } }, {}, []],
  ])("effusion of 1+ as before, %s", (_what, exercise, prescription, expected) => {
    const input = stepUpInput();
    const over = {
      exercise: { ...input.exercise, ...exercise },
      prescription: { ...input.prescription, ...prescription },
    };
    expect(codes({ ...over, effusion: { grade: 2, raised: false } })).toEqual(expected);
    expect(codes({ ...over, effusion: { grade: 1, raised: false } })).toEqual([]);
  });
});

describe("short of where it hurts", () => {
  const at = (
    settings: DecideInput["prescription"]["settings"],
    arc: { fromDeg: number; toDeg?: number },
    turns: Parameters<typeof exerciseWith>[1] = [],
  ) => {
    const exercise = exerciseWith(settings, turns, strength);
    const view = viewRecord(
      stepUpInput({ exercise, prescription: { variantId: "only", settings, dose: strength }, now: monday }),
    );
    const change = shortOfPain(view, arc);
    return change && `${change.knob} ${change.from} to ${change.to}`;
  };
  it.each<[string, ...Parameters<typeof at>, string | null]>([
    ["a bend stops five degrees before it", { "knee-angle": 90 }, { fromDeg: 65 }, [], "knee-angle 90 to 60"],
    ["so does one of the hip", { "hip-angle": 90 }, { fromDeg: 65 }, [], "hip-angle 90 to 60"],
    ["one that stops there already is left", { "knee-angle": 60 }, { fromDeg: 65 }, [], null],
    ["pain from the first degrees on leaves nothing", { "knee-angle": 60 }, { fromDeg: 5 }, [], null],
    [
      "of an arc the wider part that is left: below",
      { arc: "0-90" },
      { fromDeg: 60, toDeg: 70 },
      [],
      "arc 0-90 to 0-55",
    ],
    [
      "of an arc the wider part that is left: beyond",
      { arc: "0-90" },
      { fromDeg: 20, toDeg: 30 },
      [],
      "arc 0-90 to 35-90",
    ],
    [
      "pain that does not pass leaves the part below",
      { arc: "0-90" },
      { fromDeg: 60 },
      [],
      "arc 0-90 to 0-55",
    ],
    ["less than ten degrees are no work", { arc: "50-90" }, { fromDeg: 64, toDeg: 90 }, [], null],
    ["ten degrees are", { arc: "50-90" }, { fromDeg: 65, toDeg: 90 }, [], "arc 50-90 to 50-60"],
    ["an arc clear of it stays as it is", { arc: "0-40" }, { fromDeg: 60 }, [], null],
    [
      "the hips take over at the last angle short of it",
      { "sit-back-at": "none" },
      { fromDeg: 70 },
      [{ knob: "sit-back-at", ladder: ["none", "60", "45"] }],
      "sit-back-at none to 65",
    ],
    [
      "not later than they do already",
      { "sit-back-at": "45" },
      { fromDeg: 70 },
      [{ knob: "sit-back-at", ladder: ["none", "60", "45"] }],
      null,
    ],
    ["nor where the movement has no such form", {}, { fromDeg: 70 }, [], null],
  ])("%s", (_what, settings, arc, turns, expected) => {
    expect(at(settings, arc, turns)).toBe(expected);
  });
});

describe("what comes next", () => {
  const input = stepUpInput();
  const next = (over: Partial<DecideInput>) => nextHarder({ ...input, ...over }, "2026-03-09", labelBook);
  it("a setting that stands in the plan by itself is not climbed into", () => {
    const beside = { ...input.prescription, settings: { "step-height": 15 } };
    expect(next({})).toMatchObject({ found: "change", change: { knob: "step-height", from: 10, to: 15 } });
    expect(next({ beside: [beside] })).toMatchObject({
      found: "restriction",
      knob: "step-height",
      restriction: { origin: "plan", says: "stands in the plan already, as a setting of its own" },
    });
    expect(next({ beside: [{ ...beside, settings: { "step-height": 20 } }] }).found).toBe("change");
    expect(next({ beside: [input.prescription] }).found).toBe("change");
  });
});

describe("no step for a while", () => {
  const worked = [4, 8, 12, 16, 20, 22].map((date) => day(date, reps([12, 12, 11])));
  const offer = (over: Partial<DecideInput>) => {
    const { outcome, change, review } = decide(
      stepUpInput({ trainingDays: worked, now: march(24, "10:00"), ...over }),
    );
    return outcome === "plateau" && change?.kind === "offer" ? `${change.offer} ${review}` : outcome;
  };
  const swap = (date: number): SignedChange => ({ at: march(date, "07:00"), direction: "other" });
  it("more volume, then another variant, then somebody else: by what was offered before", () => {
    expect(offer({})).toBe("more-volume true");
    expect(offer({ changes: [swap(1)] })).toBe("another-variant true");
    expect(offer({ changes: [swap(1), swap(2)] })).toBe("referral true");
    expect(offer({ changes: [swap(1), swap(1), swap(2)] })).toBe("referral true");
  });
  it("an ease within two weeks, or any other reason against a step, comes first", () => {
    const eased = (date: number): SignedChange => ({
      at: march(date, "07:00"),
      direction: "easier",
      knob: "step-height",
    });
    expect(offer({ changes: [eased(11)] })).toBe("hold");
    expect(offer({ changes: [eased(10)] })).toBe("more-volume true");
    expect(offer({ laneAdherencePercent: 50 })).toBe("hold");
    expect(offer({ trainingDays: worked.slice(0, -2) })).not.toBe("more-volume true");
  });
});
