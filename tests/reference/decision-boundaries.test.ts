import { describe, expect, it } from "vitest";
import { decide } from "~/core/decision/decide";
import type { DecideInput, SignedChange } from "~/core/decision/record/decide-input";
import type { SetRecord } from "~/core/response/session-record";
import {
  day,
  exerciseWith,
  march,
  reps,
  stepUpInput,
  strength,
  type DayOptions,
} from "~tests/builders/decide-input";

/**
 * Both sides of every limit a decision has, by the minute, day, kilogram or point (the product's own rules of response; common
 * practice). The item is the side step-up of the decision table: 10 cm, 3 × 8–12, prescribed on 3 March at 08:00.
 */
const top = (date: number, options: DayOptions = {}, more: Partial<SetRecord> = {}) =>
  day(date, reps([12, 12, 12], more), options);
const outcome = (over: Partial<DecideInput>) => {
  const { outcome, rule } = decide(stepUpInput(over));
  return `${outcome}: ${rule}`;
};
const change = (at: string, direction: SignedChange["direction"], more: Partial<SignedChange> = {}) => ({
  at,
  direction,
  knob: "step-height",
  ...more,
});

/** The step-up with a dumbbell that goes by half kilograms up to 40 kg. */
const loaded = (loadKg: number, over: Partial<DecideInput> = {}) => {
  const dose = { ...strength, loadKg };
  return stepUpInput({
    exercise: exerciseWith({}, [{ knob: "load", stepPercent: 10, incrementKg: 0.5, maximumKg: 40 }], dose),
    prescription: { variantId: "only", settings: {}, dose },
    ...over,
  });
};

describe("days away", () => {
  const away = (now: string) => outcome({ trainingDays: [top(5), top(8)], now });

  it.each([
    ["seven days are no absence, to the last minute of the day", march(15, "22:59"), "step-up: step-up"],
    ["eight days are, from the first minute", march(15, "23:00"), "ease: ease-absence"],
    ["and so are twenty-eight", "2026-04-05T21:59:00Z", "ease: ease-absence"],
    ["one day more and it is measured again", "2026-04-05T22:00:00Z", "hold: rebaseline"],
  ])("%s", (_what, now, expected) => {
    expect(away(now)).toBe(expected);
  });

  it.each([
    ["fourteen days turn one knob", march(22, "22:59"), { kind: "knob", to: 5 }],
    ["fifteen look for an easier variant", march(22, "23:00"), { kind: "variant", to: 5 }],
  ])("%s", (_what, now, expected) => {
    const { exercise } = stepUpInput();
    const low = exercise.variants.map((variant) => ({
      ...variant,
      id: "low",
      name: "Low",
      settings: { "step-height": 5 },
    }));
    const both = { ...exercise, variants: [...low, ...exercise.variants] };
    const { change } = decide(stepUpInput({ exercise: both, trainingDays: [top(5), top(8)], now }));
    expect(change).toMatchObject(expected);
  });

  it("counts from the day of the last change where that came later", () => {
    const changed = { prescribedAt: march(10, "09:00"), trainingDays: [top(5), top(8)] };
    expect(outcome({ ...changed, now: march(17, "22:59") })).not.toContain("absence");
    expect(outcome({ ...changed, now: march(17, "23:00") })).toBe("ease: ease-absence");
  });
});

describe("a plateau", () => {
  const worked = [4, 8, 12, 16, 20, 22].map((date) => day(date, reps([12, 12, 11])));
  const at = (now: string, over: Partial<DecideInput> = {}) =>
    outcome({ trainingDays: worked, now, ...over });

  it.each([
    ["not before twenty-one days without a step", march(23, "22:59"), {}, "hold: short-of-top"],
    ["at twenty-one", march(23, "23:00"), {}, "plateau: plateau"],
    ["worked seven days ago", march(29, "09:00"), {}, "plateau: plateau"],
    [
      "counted from the last step",
      march(26),
      { changes: [change(march(6), "harder")] },
      "hold: short-of-top",
    ],
    [
      "eased less than fourteen days ago",
      march(24, "22:59"),
      { changes: [change(march(11), "easier")] },
      "hold: short-of-top",
    ],
    ["eased fourteen days ago", march(25), { changes: [change(march(11), "easier")] }, "plateau: plateau"],
    [
      "left as it is less than a week ago",
      march(27, "22:59"),
      { leftAsIsAt: march(21) },
      "hold: short-of-top",
    ],
    ["left as it is a week ago", march(28), { leftAsIsAt: march(21) }, "plateau: plateau"],
    ["69 % of the lane done", march(26), { laneAdherencePercent: 69 }, "hold: short-of-top"],
    ["70 % of the lane done", march(26), { laneAdherencePercent: 70 }, "plateau: plateau"],
    ["mean of the week up by 1", march(26), { weeklyMeanRise: 1 }, "plateau: plateau"],
    ["mean of the week up by more", march(26), { weeklyMeanRise: 1.01 }, "hold: short-of-top"],
  ] as const)("%s", (_what, now, over, expected) => {
    expect(at(now, over as Partial<DecideInput>)).toBe(expected);
  });

  it.each([
    [0, "more-volume"],
    [1, "another-variant"],
    [2, "referral"],
    [3, "referral"],
  ])("after %i offers it offers %s", (offered, offer) => {
    const changes = Array.from({ length: offered }, () => change("2026-02-01T08:00:00Z", "other"));
    expect(decide(stepUpInput({ trainingDays: worked, now: march(26), changes })).change).toEqual({
      kind: "offer",
      offer,
    });
  });
});

describe("how much an ease takes", () => {
  const sore = (more: Partial<SetRecord> = {}) => [top(8, { during: 6 }, more)];
  const turned = (input: DecideInput) => decide(input).change;

  it("takes a fifth of the load where pain came with the effort", () => {
    expect(turned(loaded(20, { trainingDays: sore({ painWith: "effort", loadKg: 20 }) }))).toMatchObject({
      knob: "load",
      to: 16,
    });
  });
  it("takes a tenth after a flare with one set only", () => {
    const single = { ...strength, sets: 1, loadKg: 20 };
    const input = loaded(20, { trainingDays: [day(8, reps([12], { loadKg: 20 }), { next: 3 })] });
    expect(turned({ ...input, prescription: { ...input.prescription, dose: single } })).toMatchObject({
      knob: "load",
      to: 18,
    });
  });
  it("takes one set after a flare where there are several", () => {
    expect(turned(loaded(20, { trainingDays: [top(8, { next: 3 }, { loadKg: 20 })] }))).toMatchObject({
      knob: "sets",
      to: 2,
    });
  });
  it("takes a tenth where too few reps were clean", () => {
    const few = [5, 8].map((date) => day(date, reps([8, 8, 7], { loadKg: 20 })));
    expect(turned(loaded(20, { trainingDays: few }))).toMatchObject({ knob: "load", to: 18 });
  });
  it.each([
    [8, "6-12"],
    [3, "1-12"],
  ])("asks two reps fewer of work without load, from %i", (bottom, to) => {
    const dose = { ...strength, reps: { bottom, top: 12 } };
    const few = [5, 8].map((date) => day(date, reps([bottom, bottom, bottom - 1])));
    const over = {
      prescription: { variantId: "only", settings: { "step-height": 10 }, dose },
      trainingDays: few,
    };
    expect(turned(stepUpInput(over))).toMatchObject({ knob: "reps", to });
  });
  it("never asks for fewer than one", () => {
    const dose = { ...strength, reps: { bottom: 2, top: 12 } };
    const few = [5, 8].map((date) => day(date, reps([2, 2, 1])));
    const over = {
      prescription: { variantId: "only", settings: { "step-height": 10 }, dose },
      trainingDays: few,
    };
    expect(turned(stepUpInput(over))).toMatchObject({ knob: "sets", to: 2 });
  });
});

describe("at the easiest setting", () => {
  const lowest = (sets: number, over: Partial<DecideInput> = {}) =>
    decide(
      stepUpInput({
        trainingDays: [day(8, reps(Array.from({ length: sets }, () => 12)), { during: 6 })],
        prescription: { variantId: "only", settings: { "step-height": 5 }, dose: { ...strength, sets } },
        ...over,
      }),
    );

  it("takes a set, down to one", () => {
    expect(lowest(2).change).toMatchObject({ knob: "sets", to: 1 });
    expect(lowest(2).review).toBeUndefined();
  });
  it("then offers a swap", () => {
    expect(lowest(1)).toMatchObject({ change: { kind: "offer", offer: "swap" }, review: true });
  });
  it("and after a swap a look at the lane", () => {
    const changes = [change(march(2), "other")];
    expect(lowest(1, { changes }).change).toEqual({ kind: "offer", offer: "lane-review" });
  });
});

describe("a report", () => {
  const reported = (reportAt: string) =>
    outcome({ trainingDays: [top(5), top(8, { reportAt })], now: march(10, "10:00") });

  it("counts up to forty-eight hours after the session", () => {
    expect(reported(march(10, "09:00"))).toBe("step-up: step-up");
  });
  it("does not count a minute later", () => {
    expect(reported(march(10, "09:01"))).toBe("hold: report-missing");
  });
  it("is waited for up to thirty-six hours", () => {
    const open = { trainingDays: [top(5), top(8, { next: null })] };
    expect(outcome({ ...open, now: march(9, "20:59") })).toBe("wait: wait-next-day");
    expect(outcome({ ...open, now: march(9, "21:00") })).toBe("hold: report-missing");
  });
});

describe("the monitored school's longer rule for the hold band", () => {
  const held = (dates: readonly number[], pains: readonly number[] = dates.map(() => 3)) =>
    outcome({
      trainingDays: dates.map((date, i) => top(date, { during: pains[i] ?? 3 })),
      now: march((dates.at(-1) ?? 0) + 1, "10:00"),
    });

  it("lets four days over ten count", () => {
    expect(held([4, 7, 10, 14])).toBe("step-up: step-up");
  });
  it("does not let three count", () => {
    expect(held([4, 9, 14])).toBe("hold: pain-hold-band");
  });
  it("does not let four over nine days count", () => {
    expect(held([5, 8, 11, 14])).toBe("hold: pain-hold-band");
  });
  it("does not count while the mean rises", () => {
    expect(held([4, 7, 10, 14], [3, 3, 4, 4])).toBe("hold: pain-hold-band");
  });
});

describe("what is told beside", () => {
  const codes = (over: Partial<DecideInput>) => decide(stepUpInput(over)).evidence.map(({ code }) => code);
  const elsewhere = (pain: number, dates: readonly number[] = [5, 8]) =>
    dates.map((date) => top(date, { during: pain }, { painSite: "elsewhere" }));

  it("pain elsewhere from 4, on two days", () => {
    expect(codes({ trainingDays: elsewhere(4) })).toContain("pain-elsewhere");
    expect(codes({ trainingDays: elsewhere(3) })).not.toContain("pain-elsewhere");
    expect(codes({ trainingDays: elsewhere(4, [8]) })).not.toContain("pain-elsewhere");
  });
  it("pain elsewhere for a fortnight", () => {
    const told = (now: string) => codes({ trainingDays: elsewhere(4), now });
    expect(told(march(19, "10:00"))).toContain("pain-elsewhere");
    expect(told(march(20, "10:00"))).not.toContain("pain-elsewhere");
  });
  it("pain elsewhere until it was answered", () => {
    const answered = { trainingDays: elsewhere(4), answeredAt: march(8, "10:00") };
    expect(codes(answered)).not.toContain("pain-elsewhere");
  });
});
