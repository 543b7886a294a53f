import { describe, expect, it } from "vitest";
import { decide } from "~/core/decision/decide";
import type { DecideInput } from "~/core/decision/record/decide-input";
import type { Dose } from "~/core/dose/dose";
import { day, exerciseWith, march, reps, stepUpInput, strength } from "~tests/builders/decide-input";
import { kneeIn, monday, say, sentences, top, two } from "~tests/builders/side-steps";

/**
 * What a clinician reads of a step, a wait and a hold, whole sentences with every figure, day, leg and threshold, written by hand from the rules
 * (common practice) before the engine was asked. The item is the side step-up at 10 cm, 3 × 8–12, prescribed on Tuesday 3 March 2026.
 */
describe("why it steps up", () => {
  it("each good day in figures, then what changes", () => {
    const trainingDays = [
      top(5, { before: 1, during: 2, next: 1 }),
      day(8, reps([12, 12, 12], { effort: 7, painDuring: 1 }), { before: 2, next: 0 }),
    ];
    expect(say({ trainingDays, now: monday })).toEqual([
      "Thu 5 Mar: pain 1 before, 2 during, 1 next morning; effort 6. Counts.",
      "Sun 8 Mar: pain 2 before, 1 during, 0 next morning; effort 7. Counts.",
      "One setting changes: step height. 2 good days were needed.",
    ]);
  });

  it("a jump of load is said with its share, and where to begin", () => {
    const dose: Dose = { ...strength, loadKg: 5 };
    const kg = { loadKg: 5 };
    const input = stepUpInput({
      exercise: exerciseWith({}, [{ knob: "load", stepPercent: 10, incrementKg: 2.5, maximumKg: 40 }], dose),
      prescription: { variantId: "only", settings: {}, dose },
      trainingDays: [top(4, {}, kg), top(6, {}, kg), top(8, {}, kg)],
      now: monday,
    });
    expect(sentences(input).at(-1)).toBe(
      "One setting changes: load. 3 good days were needed: 50 % more is the smallest step there is; begin at 8 repetitions.",
    );
  });

  it("nothing left to turn: the lane is ready", () => {
    const input = stepUpInput({ trainingDays: two, now: monday });
    const last = { ...input.prescription, settings: { "step-height": 20 } };
    expect(sentences({ ...input, prescription: last }).at(-1)).toBe(
      "Knee extensors: nothing left to turn in this stage.",
    );
  });

  it("by the longer rule it is told by how many days, over how long, and where the mean goes", () => {
    const trainingDays = [5, 8, 11, 15].map((date, n) => top(date, { during: n < 2 ? 4 : 3, next: 0 }));
    expect(say({ trainingDays, now: march(16, "10:00") })).toEqual([
      "4 training days over 10 days, each in the go or the hold band; mean pain 4 at first, 3 now.",
      "Thu 5 Mar: pain 4 during, next morning fine. Counts by the longer rule.",
      "Sun 8 Mar: pain 4 during, next morning fine. Counts by the longer rule.",
      "Wed 11 Mar: pain 3 during, next morning fine. Counts by the longer rule.",
      "Sun 15 Mar: pain 3 during, next morning fine. Counts by the longer rule.",
      "One setting changes: step height. 2 good days were needed.",
    ]);
  });
});

describe("why it waits", () => {
  it("the day that would complete the run is not reported yet", () => {
    expect(say({ trainingDays: [top(5), top(8, { next: null })], now: monday })).toEqual([
      "Thu 5 Mar: pain 0 before, 0 during, 0 next morning; effort 6. Counts.",
      "Sun 8 Mar: next-day report not in.",
    ]);
  });
});

describe("why it holds", () => {
  it.each<[string, Partial<DecideInput>, string]>([
    ["nothing was done", { trainingDays: [], now: monday }, "Not done yet."],
    ["one good day", { trainingDays: [top(8)], now: monday }, "1 of 2 good training days in a row."],
    [
      "a step two days ago",
      { trainingDays: [top(8), top(9)], prescribedAt: march(8, "08:00"), now: march(10, "10:00") },
      "Next change from Wed 11 Mar (1 day left).",
    ],
    [
      "nobody reported",
      { trainingDays: [top(5), top(7, { next: null })], now: march(10, "10:00") },
      "Sat 7 Mar: report missing, so the day does not count.",
    ],
    [
      "short of the top, on which leg, by how much",
      { trainingDays: [top(5), day(8, reps([12, 11, 10]))], now: monday },
      "Sun 8 Mar: left leg: 12, 11, 10 clean, 8–12 asked.",
    ],
    [
      "a set was left out",
      { trainingDays: [top(5), day(8, reps([12, 12]))], now: monday },
      "Sun 8 Mar: left leg: 2 of 3 sets.",
    ],
    [
      "the other leg alone was trained",
      { trainingDays: [top(5), day(8, reps([12, 12, 12], { side: "right" }))], now: monday },
      "Sun 8 Mar: left leg not trained.",
    ],
    [
      "pain in the hold band",
      { trainingDays: [top(5), top(8, { during: 4 })], now: monday },
      "Sun 8 Mar: pain 4 during: tolerable, but no step from it.",
    ],
    [
      "sore at the start",
      { trainingDays: [top(5), top(8, { before: 4, during: 4, next: 3 })], now: monday },
      "Sun 8 Mar: started sore at 4, 4 during: held, not counted against.",
    ],
    [
      "a little more the next morning",
      { trainingDays: [top(5), top(8, { before: 1, next: 3 })], now: monday },
      "Sun 8 Mar: next morning 3, before 1: a little more than wanted.",
    ],
    [
      "effort above its cap",
      { trainingDays: [top(5), top(8, {}, { effort: 10 })], now: monday },
      "Sun 8 Mar: effort 10, above 8.",
    ],
    [
      "a marked fault, by its name",
      { trainingDays: [top(5), top(8, {}, kneeIn("marked", "some"))], now: monday },
      "Sun 8 Mar: marked fault (knee-in).",
    ],
    [
      "fear",
      { trainingDays: [top(5), top(8, {}, { limit: { kind: "fear" } })], now: monday },
      "Sun 8 Mar: fear, not pain, set the limit. Offer support or a smaller range.",
    ],
    [
      "a slight pinch",
      { trainingDays: [top(5), top(8, {}, { limit: { kind: "pinch", pinchGrade: 1 } })], now: monday },
      "Sun 8 Mar: slight pinching.",
    ],
    [
      "felt in the wrong place",
      { trainingDays: [top(5), top(8, {}, { limit: { kind: "wrong-place" } })], now: monday },
      "Sun 8 Mar: felt in the wrong place. It belongs here: thigh. Cue first.",
    ],
    [
      "last done over a week ago, with a change between",
      { trainingDays: two, now: march(17, "10:00"), prescribedAt: march(10, "08:00") },
      "Last done 9 days ago; 7 at most.",
    ],
    [
      "four weeks away",
      { trainingDays: two, now: "2026-04-09T10:00:00Z" },
      "32 days away: measure the baseline again first.",
    ],
    [
      "not enough of the lane",
      { trainingDays: two, now: monday, laneAdherencePercent: 69.9 },
      "69 % of this lane done; 70 % needed.",
    ],
    [
      "the week's changes are used",
      { trainingDays: two, now: monday, changeBudget: { used: 1, limit: 2, ahead: 1 } },
      "1 of 2 harder items this week are used, 1 more comes first.",
    ],
    [
      "the week's changes are used by others",
      { trainingDays: two, now: monday, changeBudget: { used: 2, limit: 2 } },
      "2 of 2 harder items this week are used.",
    ],
    [
      "the reaction is another's",
      {
        trainingDays: two,
        now: monday,
        flare: { suspect: false, on: "2026-03-08", names: "Squat and Bridge" },
      },
      "Sun 8 Mar: reaction traced to Squat and Bridge; this one holds.",
    ],
    [
      "pain of 7 on waking",
      { trainingDays: two, now: monday, lastPain: { pain: 7, on: "2026-03-09" } },
      "Mon 9 Mar: pain 7 of 10 on waking or before a session; from 7 nothing gets harder. Talk to the patient.",
    ],
    [
      "the mean of the week is up",
      { trainingDays: two, now: monday, weeklyMeanRise: 1.26 },
      "Mean pain rose by 1.3 from last week to this: everything holds.",
    ],
    [
      "much effusion",
      { trainingDays: two, now: monday, effusion: { grade: 3, raised: true } },
      "Effusion of 2+ or more: nothing gets harder; range and activation go on as they are.",
    ],
    [
      "effusion above what it was",
      { trainingDays: two, now: monday, effusion: { grade: 2, raised: true } },
      "Effusion is a grade above what it was: no step until it is back.",
    ],
    [
      "an open signal elsewhere",
      { trainingDays: two, now: monday, halted: "calf-hot" },
      "Calf hot, swollen, tender: nothing gets harder until that is cleared in writing.",
    ],
    [
      "a refusal, and nothing new since",
      { trainingDays: two, now: monday, leftAsIsAt: march(9, "09:00"), answeredAt: march(9, "09:00") },
      "Answered on Mon 9 Mar. Put again after the next training day.",
    ],
    [
      "a limit with an end",
      {
        trainingDays: two,
        now: monday,
        restrictions: [
          {
            kind: "knob-limit",
            knob: "step-height",
            hardest: 10,
            origin: "surgeon",
            says: "no step above 10 cm until the 20th",
            until: "2026-03-20",
          },
        ],
      },
      "Next would be step height, but no step above 10 cm until the 20th.",
    ],
    [
      "a primer",
      { trainingDays: two, now: monday, role: "primer" },
      "It is a primer: it prepares and must not tire, so it is not made harder.",
    ],
    [
      "a test",
      { trainingDays: two, now: monday, role: "test" },
      "It is a test: it stays as it is, so that it can be compared.",
    ],
  ])("%s", (_what, over, sentence) => {
    expect(decide(stepUpInput(over)).outcome).toBe("hold");
    expect(say(over)).toContain(sentence);
  });
});
