import { describe, expect, it } from "vitest";
import { decide } from "~/core/decision/decide";
import type { SignedChange } from "~/core/decision/record/decide-input";
import type { TrainingDay } from "~/core/response/session-record";
import { day, exerciseWith, march, reps, stepUpInput, strength } from "~tests/builders/decide-input";
import { at, said, top, two } from "~tests/builders/side-steps";

/** The same record under what bears on the plan as a whole, and what an ease takes back; reasoned by hand (common practice). */
describe("ceilings of the whole plan", () => {
  it("waking pain of 7 lets nothing get harder and asks for a look; of 6, or a week ago, it does not", () => {
    const with7 = at(march(9, "10:00"), two, { lastPain: { pain: 7, on: "2026-03-09" } });
    expect(with7).toMatchObject({ outcome: "hold", rule: "pain-ceiling", review: true });
    expect(said(march(9, "10:00"), two, { lastPain: { pain: 6, on: "2026-03-09" } })).toBe(
      "step-up: step-up",
    );
    expect(said(march(9, "10:00"), two, { lastPain: { pain: 8, on: "2026-03-01" } })).toBe(
      "step-up: step-up",
    );
  });
  it("is told beside an ease too", () => {
    const eased = at(march(9, "10:00"), [top(8, { before: 7, during: 9, next: 7 })]);
    expect(eased.outcome).toBe("ease");
    expect(eased.evidence.map(({ code }) => code)).toContain("pain-ceiling");
    expect(eased.review).toBe(true);
  });
  it("pain of 8 before, 9 during and 9 the next morning is never answered with more volume", () => {
    const days = [4, 8, 12, 16, 20, 23].map((date) => top(date, { before: 8, during: 9, next: 9 }));
    const { outcome, change } = at(march(25, "10:00"), days, { answeredAt: march(24, "12:00") });
    expect(outcome).toBe("hold");
    expect(change).toBeUndefined();
  });
});

describe("a plateau only where nothing else stands in the way", () => {
  const weeks = (make: (date: number) => TrainingDay) => [4, 8, 12, 16, 20, 22].map(make);
  const short = weeks((date) => day(date, reps([12, 12, 11])));
  it("short of the top is no obstacle", () =>
    expect(said(march(25, "10:00"), short)).toBe("plateau: plateau"));
  it("at the last setting of the stage there is none: no more volume is offered of what is done", () => {
    const highest = { variantId: "only", settings: { "step-height": 20 }, dose: strength };
    expect(said(march(25, "10:00"), short, { prescription: highest })).toBe("hold: short-of-top");
  });
  it.each([
    ["fear", weeks((date) => day(date, reps([12, 12, 11], { limit: { kind: "fear" } }))), {}],
    [
      "slight pinching",
      weeks((date) => day(date, reps([12, 12, 11], { limit: { kind: "pinch", pinchGrade: 1 } }))),
      {},
    ],
    [
      "marked faults",
      weeks((date) =>
        day(date, reps([12, 12, 12], { faults: [{ fault: "knee-in", severity: "marked", reps: 2 }] })),
      ),
      {},
    ],
    ["pain outside the go band", weeks((date) => day(date, reps([12, 12, 11]), { during: 4 })), {}],
    ["a budget that is used up", short, { changeBudget: { limit: 2, used: 2 } }],
    ["effusion", short, { effusion: { grade: 2, raised: true } }],
    [
      "a limit",
      short,
      {
        restrictions: [
          {
            kind: "knob-limit" as const,
            knob: "step-height",
            hardest: 10,
            origin: "stage" as const,
            says: "10 cm",
          },
        ],
      },
    ],
    ["no report of the last day", [...short.slice(0, -1), day(22, reps([12, 12, 11]), { next: null })], {}],
  ])("%s gives hold", (_what, days, over) => {
    expect(said(march(25, "10:00"), days, over)).toContain("hold");
  });
});

describe("undoing a step", () => {
  const dose = (loadKg: number) => ({ ...strength, loadKg });
  const exercise = exerciseWith(
    {},
    [{ knob: "load", incrementKg: 2.5, stepPercent: 10, maximumKg: 100 }],
    dose(45),
  );
  const of = (loadKg: number) => ({ variantId: "only", settings: {}, dose: dose(loadKg) });
  const flared = [top(5, {}, { loadKg: 50 }), top(8, { next: 4 }, { loadKg: 50 })];
  const change = (direction: SignedChange["direction"], before = of(45)): SignedChange => ({
    at: march(4, "08:00"),
    direction,
    knob: "load",
    before,
  });
  it("goes back to the whole prescription before it: 50 kg to 45, not to 47.5", () => {
    const { change: turned } = decide(
      stepUpInput({ exercise, prescription: of(50), trainingDays: flared, changes: [change("harder")] }),
    );
    expect(turned).toMatchObject({ knob: "load", from: 50, to: 45, prescription: of(45) });
  });
  it("without a step before it, one set fewer", () => {
    const { change: turned } = decide(
      stepUpInput({ exercise, prescription: of(50), trainingDays: flared, changes: [] }),
    );
    expect(turned).toMatchObject({ knob: "sets", to: 2 });
  });
});

describe("both sides hurt", () => {
  const marked = { faults: [{ fault: "knee-in", severity: "marked" as const, reps: 8 }] };
  const right = { side: "right" as const };
  it("the worse side's last set counts, whichever was recorded last", () => {
    const sets = [...reps([12, 12]), ...reps([12], marked), ...reps([12, 12, 12], right)];
    const input = { involvedSide: "both" as const };
    expect(said(march(9, "10:00"), [day(8, sets)], input)).toBe("ease: ease-marked-fault");
  });
  it("one side below the bottom on two days is too much, though the sum of both is not", () => {
    const days = [5, 8].map((date) => day(date, [...reps([8, 8, 7]), ...reps([12, 12, 12], right)]));
    expect(said(march(9, "10:00"), days, { involvedSide: "both" })).toBe("ease: ease-too-few-clean");
  });
  it("fear that ended the sets is no sign of too much", () => {
    const days = [5, 8].map((date) => day(date, reps([6, 6, 6], { limit: { kind: "fear" } })));
    expect(said(march(9, "10:00"), days)).toContain("hold");
  });
});

it("pain at the site counts when the other leg was working; soreness of that leg's muscle does not", () => {
  const other = (painSite: "episode" | "muscle") => [
    ...reps([12, 12, 12]),
    ...reps([12], { side: "right", painDuring: 7, painSite }),
  ];
  expect(said(march(9, "10:00"), [day(8, other("episode"))])).toBe("ease: ease-pain-at-depth");
  expect(said(march(9, "10:00"), [day(8, other("muscle"))])).toContain("hold");
});
