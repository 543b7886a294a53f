import { describe, expect, it } from "vitest";
import { decide } from "~/core/decision/decide";
import { caseExample } from "~/core/calculation/examples";
import { reviewCase } from "~/core/review/review-case";
import type { CaseFile } from "~/core/case/case-file";
import type { TurnedChange } from "~/core/progression/change";
import { effortTarget } from "~/core/dose/effort-target";
import { bridge } from "~/catalogue/exercises/bridges";
import {
  day,
  exerciseWith,
  march,
  reps,
  squeezeInput,
  squeezes,
  stepUpInput,
  strength,
} from "~tests/builders/decide-input";

/** Worked examples of the product's decision rules; figures by hand, common practice unless a source is named. */
const turned = (input: Parameters<typeof decide>[0]) => decide(input).change as TurnedChange;

describe("1. squeeze in an effort band", () => {
  const record = {
    trainingDays: [day(10, squeezes({ painDuring: 3 }), { next: null })],
    now: march(10, "10:00"),
  };

  it("50–70 % of 180 N is 90–126 N; 30–40 % is 54–72 N", () => {
    expect(effortTarget({ maximumN: 180, lowPercent: 50, highPercent: 70 })).toEqual({
      lowN: 90,
      highN: 126,
    });
    expect(effortTarget({ maximumN: 180, lowPercent: 30, highPercent: 40 })).toEqual({ lowN: 54, highN: 72 });
  });

  it("pain 0 before, 3 during: the pain-free school eases by one band", () => {
    const proposal = decide(squeezeInput({ ...record, school: "pain-free" }));
    expect(proposal.outcome).toBe("ease");
    expect(proposal.rule).toBe("ease-pain-with-effort");
    expect(proposal.change).toMatchObject({ kind: "knob", knob: "effort", from: "50-70", to: "30-40" });
  });

  it("the monitored school holds the same record", () => {
    expect(decide(squeezeInput({ ...record, school: "monitored" })).outcome).toBe("hold");
  });
});

describe("2. and 3. side step-up, 2-for-2 rule (NSCA, recalled)", () => {
  const good = (date: number, next: number | null = 1) =>
    day(date, reps([12, 12, 12], { effort: 7, painDuring: 1 }), { before: 1, next });

  it("two closed good days three days apart, last change six days ago: 15 cm, 3 × 8", () => {
    const input = stepUpInput({ trainingDays: [good(5), good(8)], now: march(9, "10:00") });
    expect(decide(input).outcome).toBe("step-up");
    expect(turned(input)).toMatchObject({ knob: "step-height", from: 10, to: 15 });
    expect(turned(input).prescription.dose.reps).toEqual({ bottom: 8, top: 12 });
  });

  it("ten hours after the second day without its report: wait", () => {
    const proposal = decide(stepUpInput({ trainingDays: [good(5), good(8, null)], now: march(8, "19:00") }));
    expect(proposal.outcome).toBe("wait");
  });

  it("forty hours after it: hold, the report of the second day is missing", () => {
    const proposal = decide(
      stepUpInput({ trainingDays: [good(5), good(8, null)], now: "2026-03-10T01:00:00Z" }),
    );
    expect(proposal).toMatchObject({ outcome: "hold", rule: "report-missing" });
    expect(proposal.evidence[0]?.date).toBe("2026-03-08");
  });
});

describe("4. single-leg squat to a 45 cm box, knee in", () => {
  const exercise = exerciseWith(
    { support: "none", "box-height": 45 },
    [
      { knob: "support", ladder: ["two-hands", "one-hand", "fingertips", "none"] },
      { knob: "box-height", ladder: [55, 50, 45, 40] },
    ],
    strength,
  );
  const fault = { fault: "knee-in", severity: "marked" as const, reps: 5 };
  const sets = reps([8, 8, 8]).map((set, i) => (i === 2 ? { ...set, faults: [fault] } : set));
  const prescription = { variantId: "only", settings: { support: "none", "box-height": 45 }, dose: strength };

  it("five of eight marked, no pain: more support, not load", () => {
    const input = stepUpInput({ exercise, prescription, trainingDays: [day(8, sets)] });
    expect(decide(input).rule).toBe("ease-marked-fault");
    expect(turned(input)).toMatchObject({ knob: "support", to: "fingertips" });
  });

  it("where support cannot grow, a higher box", () => {
    const held = exerciseWith(
      { "box-height": 45 },
      [{ knob: "box-height", ladder: [55, 50, 45, 40] }],
      strength,
    );
    const at45 = { ...prescription, settings: { "box-height": 45 } };
    const input = stepUpInput({ exercise: held, prescription: at45, trainingDays: [day(8, sets)] });
    expect(turned(input)).toMatchObject({ knob: "box-height", to: 50 });
  });

  it("three of eight is no ease, but the day does not count", () => {
    const few = sets.map((set) => ({ ...set, faults: set.faults.map((f) => ({ ...f, reps: 3 })) }));
    const proposal = decide(stepUpInput({ exercise, prescription, trainingDays: [day(8, few)] }));
    expect(proposal.outcome).toBe("hold");
    expect(proposal.evidence.map((e) => e.code)).toContain("marked-fault");
  });
});

it("5. bridge: 30 clean twice at effort 6, then holds of 5 s, then weight, then one leg", () => {
  const first = bridge.variants[0];
  if (!first) throw new Error("the bridge has variants");
  const wide = { ...first.dose, reps: { bottom: 12, top: 30 }, hold: { bottom: 3, top: 3 } };
  const done = (date: number, hold: number) =>
    day(date, reps([30, 30], { side: "both", holdSeconds: hold, effort: 6 }));
  const input = stepUpInput({
    exercise: bridge,
    prescription: { variantId: first.id, settings: first.settings, dose: wide },
    trainingDays: [done(5, 3), done(8, 3)],
  });
  expect(turned(input)).toMatchObject({ knob: "hold", to: "5-5" });
  const withHolds = turned(input).prescription;
  const loaded = stepUpInput({ ...input, prescription: withHolds, trainingDays: [done(5, 5), done(8, 5)] });
  expect(turned(loaded)).toMatchObject({ knob: "load", to: 2 });
  const spent = { ...withHolds, dose: { ...withHolds.dose, loadKg: 20 } };
  const oneLeg = stepUpInput({ ...loaded, prescription: spent });
  expect(turned(oneLeg)).toMatchObject({ kind: "variant", knob: "laterality", to: "single" });
});

it("6. pinching in a deep squat stops that movement until it is cleared in writing", () => {
  const pinched = reps([8, 8, 8], { limit: { kind: "pinch", pinchGrade: 2 } });
  const input = stepUpInput({ trainingDays: [day(8, pinched)] });
  expect(decide(input)).toMatchObject({ outcome: "stop", change: { kind: "suspend", scope: "item" } });
  expect(decide({ ...input, clearedAt: march(9, "09:30") }).outcome).toBe("hold");
  const slight = reps([8, 8, 8], { limit: { kind: "pinch", pinchGrade: 1 } });
  expect(decide(stepUpInput({ trainingDays: [day(8, slight)] })).outcome).toBe("hold");
});

it("7. a flare is traced to the item changed that day; the others hold", () => {
  const base = caseExample.items[0];
  const prescription = base?.prescriptions[0]?.prescription;
  if (!base || !prescription) throw new Error("the example has an item");
  const ids = ["squat", "b", "c", "d", "e", "f", "g", "h"];
  const file: CaseFile = {
    ...caseExample,
    asOf: march(10, "08:00"),
    items: ids.map((id) => ({
      ...base,
      id,
      prescriptions: [{ id: `p-${id}`, from: march(1), prescription }],
    })),
    sessions: [
      {
        id: "monday",
        at: march(9),
        painBefore: 1,
        items: ids.map((itemId) => ({ itemId, sets: squeezes({ painDuring: 1 }) })),
      },
    ],
    reports: [{ id: "tuesday", trainingDate: "2026-03-09", receivedAt: march(10, "06:30"), pain: 5 }],
    decisions: [
      {
        id: "raised",
        itemId: "squat",
        at: march(9, "08:30"),
        action: "accept",
        signedBy: "",
        reason: null,
        school: "monitored",
        proposal: { outcome: "step-up", rule: "step-up", evidence: [], engineVersion: "1" },
        applied: null,
        signedChange: {
          at: march(9, "08:30"),
          direction: "harder",
          knob: "effort",
          before: {
            ...prescription,
            dose: { ...prescription.dose, effort: { lowPercent: 30, highPercent: 40 } },
          },
        },
      },
    ],
  };
  const review = reviewCase(file);
  expect(review.items.map((item) => item.proposal.outcome)).toEqual([
    "ease",
    ...Array.from({ length: 7 }, () => "hold"),
  ]);
  expect(review.items[0]?.proposal).toMatchObject({
    rule: "ease-flare",
    change: { knob: "effort", to: "30-40" },
  });
});

describe("8. monitored: days in the hold band count once there are four over ten days", () => {
  const pains = [4, 4, 4, 3, 3];
  const days = pains.map((during, i) =>
    day(2 + 3 * i, squeezes({ painDuring: during }), { before: 1, next: 1 }),
  );
  const input = squeezeInput({ trainingDays: days, prescribedAt: march(1), now: march(15, "10:00") });

  it("five days over twelve, falling: step up", () => expect(decide(input).outcome).toBe("step-up"));

  it("rising: hold", () => {
    const rising = days.map((d, i) => ({ ...d, sets: squeezes({ painDuring: [3, 3, 4, 4, 4][i] ?? 4 }) }));
    expect(decide({ ...input, trainingDays: rising }).outcome).toBe("hold");
  });

  it("three days only, or within a week: hold", () => {
    expect(decide({ ...input, trainingDays: days.slice(-3) }).outcome).toBe("hold");
    const week = pains.map((during, i) =>
      day(8 + i, squeezes({ painDuring: during }), { before: 1, next: 1 }),
    );
    expect(decide({ ...input, trainingDays: week, now: march(13, "10:00") }).outcome).toBe("hold");
  });
});

describe("9. return from absence", () => {
  const twoVariants = {
    ...bridge,
    variants: bridge.variants.map((v) => ({ ...v, turns: [{ knob: "reps", ladder: ["8-15", "10-20"] }] })),
  };
  const [two, one] = twoVariants.variants;
  const at = (now: string) => {
    if (!two || !one) throw new Error("the bridge has two variants");
    const sets = reps([20, 20], { side: "both" });
    return stepUpInput({
      exercise: twoVariants,
      prescription: {
        variantId: one.id,
        settings: one.settings,
        dose: { ...one.dose, reps: { bottom: 10, top: 20 } },
      },
      trainingDays: [day(4, sets), day(6, sets)],
      now,
    });
  };

  it("three weeks: easier variant", () => {
    expect(decide(at(march(27))).rule).toBe("ease-absence");
    expect(turned(at(march(27)))).toMatchObject({ kind: "variant", to: "both" });
  });
  it("nine days: one notch", () => expect(turned(at(march(15)))).toMatchObject({ kind: "knob", to: "8-15" }));
  it("seven days: no ease yet", () => expect(decide(at(march(13))).outcome).not.toBe("ease"));
  it("more than four weeks: hold, measure again first", () => {
    expect(decide(at("2026-04-06T09:00:00Z"))).toMatchObject({ outcome: "hold" });
    expect(decide(at("2026-04-06T09:00:00Z")).evidence.map((e) => e.code)).toContain("rebaseline");
  });
});

it("10. pain 4 before and 4 during, monitored: hold", () => {
  const sore = day(10, squeezes({ painDuring: 4 }), { before: 4, next: 4 });
  const proposal = decide(squeezeInput({ trainingDays: [sore], now: march(11, "10:00") }));
  expect(proposal.outcome).toBe("hold");
  expect(proposal.evidence.map((e) => e.code)).toContain("sore-start");
});
