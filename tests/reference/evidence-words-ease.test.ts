import { describe, expect, it } from "vitest";
import { decide } from "~/core/decision/decide";
import type { DecideInput } from "~/core/decision/record/decide-input";
import type { Dose } from "~/core/dose/dose";
import type { SetRecord } from "~/core/response/session-record";
import {
  cleanSet,
  day,
  exerciseWith,
  march,
  reps,
  squeezeInput,
  squeezes,
  stepUpInput,
} from "~tests/builders/decide-input";
import { kneeIn, monday, say, sentences, top, two } from "~tests/builders/side-steps";

/**
 * What a clinician reads of an ease, of a stop and beside a proposal, whole sentences with every figure, day, leg and threshold, written by hand from the rules
 * (common practice) before the engine was asked. The item is the side step-up at 10 cm, 3 × 8–12, prescribed on Tuesday 3 March 2026.
 */
describe("why it eases", () => {
  const arc = (painArc: NonNullable<SetRecord["painArc"]>) => ({
    painDuring: 6,
    painWith: "depth" as const,
    painArc,
  });
  it.each<[string, Partial<DecideInput>, string]>([
    [
      "pain at a depth that nobody measured",
      { trainingDays: [top(8, { before: 1 }, { painDuring: 6, painWith: "depth" })], now: monday },
      "Sun 8 Mar: pain 6 during, 1 before: more than the pain rule allows (up to 2 goes on, 3 to 5 holds).",
    ],
    [
      "pain from an angle on",
      { trainingDays: [top(8, {}, arc({ fromDeg: 60 }))], now: monday },
      "Sun 8 Mar: pain 6 during from 60°, 0 before: more than the pain rule allows (up to 2 goes on, 3 to 5 holds).",
    ],
    [
      "pain within an arc",
      { trainingDays: [top(8, {}, arc({ fromDeg: 60, toDeg: 80 }))], now: monday },
      "Sun 8 Mar: pain 6 during between 60° and 80°, 0 before: more than the pain rule allows (up to 2 goes on, 3 to 5 holds).",
    ],
    [
      "pain at a depth that was measured near that day",
      {
        trainingDays: [top(8, {}, { painDuring: 6, painWith: "depth" })],
        now: monday,
        measuredArc: { on: "2026-02-22", fromDeg: 55 },
      },
      "Sun 8 Mar: pain 6 during, 0 before, at a depth (measured on Sun 22 Feb: from 55°): more than the pain rule allows (up to 2 goes on, 3 to 5 holds).",
    ],
    [
      "what was measured a fortnight and a day before says nothing of it",
      {
        trainingDays: [top(8, {}, { painDuring: 6, painWith: "depth" })],
        now: monday,
        measuredArc: { on: "2026-02-21", fromDeg: 55 },
      },
      "Sun 8 Mar: pain 6 during, 0 before: more than the pain rule allows (up to 2 goes on, 3 to 5 holds).",
    ],
    [
      "sore before, and more in the work",
      { trainingDays: [top(8, { before: 3 }, { painDuring: 5, painWith: "effort" })], now: monday },
      "Sun 8 Mar: pain 5 during, 3 before: more than the pain rule allows (sore before: at most 1 more).",
    ],
    [
      "a morning that is bad by itself",
      { trainingDays: [top(5), top(8, { before: 5, next: 6 }, { painDuring: 5 })], now: monday },
      "Sun 8 Mar: next morning 6, before the session 5: pain rose more than allowed (from 6 on it is too much).",
    ],
    [
      "the morning after",
      { trainingDays: [top(5), top(8, { before: 1, next: 5 })], now: monday },
      "Sun 8 Mar: next morning 5, before the session 1: pain rose more than allowed (up to 1 more goes on, 2 more holds).",
    ],
    [
      "more swelling",
      { trainingDays: [top(5), top(8, { swelling: "more" })], now: monday },
      "Sun 8 Mar: more swelling the next day. One or two days off.",
    ],
    [
      "a fault in most of the last set",
      { trainingDays: [top(5), top(8, {}, kneeIn("marked", "most"))], now: monday },
      "Sun 8 Mar: marked fault in most repetitions of the last set (knee-in).",
    ],
    [
      "below the bottom twice running",
      { trainingDays: [day(5, reps([7, 7, 6])), day(8, reps([7, 6, 6]))], now: monday },
      "left leg: Sun 8 Mar 7, 6, 6, Thu 5 Mar 7, 7, 6 clean: below 8 a set, twice running.",
    ],
    ["days away", { trainingDays: two, now: march(17, "10:00") }, "9 days since the last session."],
    [
      "back after days away",
      { trainingDays: [top(5), top(15)], now: march(16, "10:00") },
      "10 days away before Sun 15 Mar.",
    ],
  ])("%s", (_what, over, sentence) => {
    expect(decide(stepUpInput(over)).outcome).toBe("ease");
    expect(say(over)).toContain(sentence);
  });

  it("a reaction is laid at an exercise's door with the reason", () => {
    const trainingDays = [top(5), top(8, { before: 1, next: 5 })];
    const flare = { suspect: true as const, on: "2026-03-08", why: "painful" as const };
    expect(say({ trainingDays, now: monday, flare })).toContain("Suspected because it hurt that day.");
    expect(say({ trainingDays, now: monday }).join(" ")).not.toContain("Suspected");
  });

  it("the second ease running asks for a review; with nothing left to turn down that is said", () => {
    const eased = {
      at: march(6, "09:00"),
      direction: "easier" as const,
      knob: "step-height",
      cause: "flare" as const,
    };
    const again = { trainingDays: [top(8, { before: 1, next: 5 })], changes: [eased], now: monday };
    expect(say(again)).toContain("The second ease running: review this exercise.");
    const lowest = stepUpInput({
      trainingDays: [top(8, {}, { painDuring: 6, painWith: "depth" })],
      now: monday,
    });
    const at5 = { ...lowest.prescription, settings: { "step-height": 5 } };
    expect(sentences({ ...lowest, prescription: at5 })).toContain(
      "Nothing left to turn down at this setting.",
    );
  });
});

describe("why it stops", () => {
  it.each<[string, Partial<DecideInput>, string]>([
    [
      "a sign, with its day and how soon",
      {
        stopSignals: [{ code: "calf-hot", scope: "plan", raisedAt: march(8, "23:30"), urgency: "same-day" }],
      },
      "Calf hot, swollen, tender (Mon 9 Mar). To a doctor today.",
    ],
    [
      "a pinch with its grade",
      { trainingDays: [top(8, {}, { limit: { kind: "pinch", pinchGrade: 2 } })] },
      "Sun 8 Mar: pinching, grade 2. It stops from grade 2 on, or blocked.",
    ],
    [
      "a pinch that nobody graded",
      { trainingDays: [top(8, {}, { limit: { kind: "pinch" } })] },
      "Sun 8 Mar: pinching, not graded. It stops from grade 2 on, or blocked.",
    ],
    [
      "a block",
      { trainingDays: [top(8, {}, { limit: { kind: "block" } })] },
      "Sun 8 Mar: blocked. It stops from grade 2 on, or blocked.",
    ],
  ])("%s", (_what, over, sentence) => {
    expect(decide(stepUpInput({ now: monday, ...over })).outcome).toBe("stop");
    expect(say({ now: monday, ...over })).toEqual([sentence]);
  });
});

describe("what is told beside it, and changes nothing", () => {
  it.each<[string, Partial<DecideInput>, string]>([
    [
      "pain elsewhere twice",
      {
        trainingDays: [5, 8].map((date) => top(date, {}, { painDuring: 4, painSite: "elsewhere" })),
        now: monday,
      },
      "Sun 8 Mar: pain 4 elsewhere, on 2 days now: look where it comes from.",
    ],
    [
      "felt in the wrong place twice running",
      {
        trainingDays: [5, 8].map((date) => top(date, {}, { limit: { kind: "wrong-place" } })),
        now: monday,
      },
      "Sun 8 Mar and the time before: felt in the wrong place. Try another variant; it belongs here: thigh.",
    ],
    [
      "done alone",
      { trainingDays: [top(5), { ...top(8), alone: true }], now: monday },
      "Sun 8 Mar: done alone; nobody watched the form.",
    ],
    [
      "fear without pain",
      { trainingDays: [top(5), top(8, {}, { limit: { kind: "fear" } })], now: monday },
      "Fear without pain: offer it with step height at 5 cm, as practice, not as less work.",
    ],
  ])("%s", (_what, over, sentence) => {
    expect(say(over)).toContain(sentence);
  });

  it("once, or long ago, or answered: nothing is told of pain elsewhere", () => {
    const elsewhere = (date: number) => top(date, {}, { painDuring: 4, painSite: "elsewhere" });
    const told = (over: Partial<DecideInput>) =>
      decide(stepUpInput(over)).evidence.filter(({ code }) => code === "pain-elsewhere");
    expect(told({ trainingDays: [elsewhere(8)], now: monday })).toEqual([]);
    expect(told({ trainingDays: [elsewhere(5), elsewhere(8)], now: march(19, "22:30") })).toHaveLength(1);
    expect(told({ trainingDays: [elsewhere(5), elsewhere(8)], now: march(20, "10:00") })).toEqual([]);
    expect(
      told({ trainingDays: [elsewhere(5), elsewhere(8)], now: monday, answeredAt: march(9, "09:30") }),
    ).toEqual([]);
    const less = (date: number) => top(date, {}, { painDuring: 3, painSite: "elsewhere" });
    expect(told({ trainingDays: [less(5), less(8)], now: monday })).toEqual([]);
  });

  it("pushed harder than the band asks", () => {
    const trainingDays = [day(8, squeezes({ forceN: 110 })), day(10, squeezes({ forceN: 140 }))];
    expect(sentences(squeezeInput({ trainingDays, now: march(11, "07:00") }))).toContain(
      "Tue 10 Mar: pushed harder than the band asks. It counts as done.",
    );
    const within = decide(
      squeezeInput({ trainingDays: [...trainingDays].reverse().slice(1), now: march(11, "07:00") }),
    );
    expect(within.evidence.map(({ code }) => code)).not.toContain("force-above");
  });

  it("the other side below the bottom twice running", () => {
    const uneven = (date: number) =>
      day(date, [...reps([12, 12, 12]), ...reps([7, 7, 7], { side: "right" })]);
    const told = (trainingDays: DecideInput["trainingDays"]) => say({ trainingDays, now: monday });
    expect(told([uneven(5), uneven(8)])).toContain(
      "Sun 8 Mar and the time before: the other side did not reach the bottom of the range.",
    );
    expect(told([top(5), uneven(8)]).join()).not.toContain("other side");
  });
});

describe("springs", () => {
  const dose: Dose = {
    style: "plyometric",
    policy: "contacts",
    sets: 3,
    contacts: { bottom: 10, top: 10 },
    restSeconds: 60,
    daysPerWeek: 2,
  };
  const hops = (contacts: DecideInput["contacts"]) => {
    const worked = (date: number) =>
      day(
        date,
        Array.from({ length: 3 }, () => ({ ...cleanSet, side: "left" as const, contacts: 10 })),
      );
    return stepUpInput({
      exercise: exerciseWith({}, [{ knob: "contacts", ladder: [10, 12, 15] }], dose),
      prescription: { variantId: "only", settings: {}, dose },
      trainingDays: [worked(5), worked(8)],
      now: monday,
      ...(contacts ? { contacts } : {}),
    });
  };
  it("do not go beyond the plan's contacts of a day", () => {
    expect(sentences(hops({ elsewhere: 30, most: 100 }))).toContain(
      "Ground contacts a day would be 102; 100 at most for the whole plan.",
    );
    expect(decide(hops({ elsewhere: 28, most: 100 })).outcome).toBe("step-up");
    expect(decide(hops(undefined)).outcome).toBe("step-up");
  });
});
