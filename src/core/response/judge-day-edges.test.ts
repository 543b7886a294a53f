import { describe, expect, it } from "vitest";
import { cleanSet, day, march, reps, strength } from "~tests/builders/decide-input";
import { markedInMostReps } from "./clean-reps";
import { judgeDay, type DayContext } from "./judge-day";
import type { SetRecord, TrainingDay } from "./session-record";

/** Each side of each line that a day is judged by. The handbook's figures; common practice. */
const context: DayContext = {
  dose: strength,
  school: "monitored",
  involvedSide: "left",
  maximumN: null,
  now: march(20),
  zone: "Europe/Vienna",
};
const judge = (trainingDay: TrainingDay, over: Partial<DayContext> = {}) =>
  judgeDay(trainingDay, { ...context, ...over });
const three = (more: Partial<SetRecord> = {}) => reps([12, 12, 12], more);
const right = (more: Partial<SetRecord> = {}) => three({ side: "right", ...more });

describe("which sets decide", () => {
  it("those of the injured side, and those of both legs together", () => {
    expect(judge(day(8, [...three({ effort: 6 }), ...right({ effort: 9, painDuring: 8 })]))).toMatchObject({
      effort: 6,
      // Pain at the site counts whichever leg was working.
      painDuring: 8,
    });
    expect(judge(day(8, three({ side: "both", painDuring: 4 }))).painDuring).toBe(4);
    expect(
      judge(day(8, [...three(), ...right({ painDuring: 4 })]), { involvedSide: "both" }).painDuring,
    ).toBe(4);
  });
  it("the other side is told of, and does not decide", () => {
    const seen = judge(day(8, [...three(), ...reps([8, 7, 8], { side: "right" })]));
    expect([seen.otherSideBelowBottom, seen.belowBottom, seen.atTop]).toEqual([true, false, true]);
  });
  it("as many sets as the dose asks for, on each injured side", () => {
    const count = (left: number, rightSide: number, involvedSide: "left" | "both") =>
      judge(
        day(8, [
          ...reps(Array.from({ length: left }, () => 12)),
          ...reps(
            Array.from({ length: rightSide }, () => 12),
            { side: "right" },
          ),
        ]),
        { involvedSide },
      ).atTop;
    expect([count(3, 0, "left"), count(2, 3, "left"), count(4, 0, "left")]).toEqual([true, false, true]);
    expect([count(3, 3, "both"), count(3, 2, "both"), count(2, 3, "both"), count(4, 4, "both")]).toEqual([
      true,
      false,
      false,
      true,
    ]);
    expect(judge(day(8, three({ side: "both" })), { involvedSide: "both" }).atTop).toBe(true);
  });
});

describe("easier than prescribed", () => {
  const loaded = { dose: { ...strength, loadKg: 6 } };
  const easier = (more: Partial<SetRecord>, over: Partial<DayContext> = {}) =>
    judge(day(8, three(more)), over).easierThanPrescribed;

  it("less load is; the prescribed load, more, and none written down are not", () => {
    expect([5.5, 6, 6.5].map((loadKg) => easier({ loadKg }, loaded))).toEqual([true, false, false]);
    expect(easier({}, loaded)).toBe(false);
    expect(easier({ loadKg: 0 })).toBe(false);
  });
  it("a knob set easier is; at its notch, harder, or not prescribed it is not", () => {
    const asked = { settings: { "step-height": 10 } };
    const at = (height: number) => easier({ settings: { "step-height": height } }, asked);
    expect([at(5), at(10), at(15)]).toEqual([true, false, false]);
    expect(easier({ settings: { "box-height": 5 } }, asked)).toBe(false);
    expect(easier({ settings: { "step-height": 5 } })).toBe(false);
  });
  it("one set of three is enough", () => {
    const sets = [...reps([12, 12], { loadKg: 6 }), ...reps([12], { loadKg: 4 })];
    expect(judge(day(8, sets), loaded)).toMatchObject({ easierThanPrescribed: true, atTop: false });
    expect(
      judge(day(8, [...three({ loadKg: 6 }), ...right({ loadKg: 4 })]), loaded).easierThanPrescribed,
    ).toBe(false);
  });
});

describe("effusion graded higher", () => {
  // The day in Vienna begins at 23:00 UTC of the day before, in March before the 29th.
  const graded: TrainingDay = { ...day(8, three()), effusionUpOn: "2026-03-09" };

  it("is known from the beginning of its day on, and is a reaction in the ease band", () => {
    expect(judge(graded, { now: march(8, "22:59") })).toMatchObject({ swellingMore: false });
    expect(judge(graded, { now: march(8, "23:00") })).toMatchObject({
      swellingMore: true,
      effusionUp: true,
      nextDay: "ease",
      reactionKnownAt: "2026-03-08T23:00:00.000Z",
    });
  });
  it("on the training day itself, and where it is known when it reached the record, from then on", () => {
    const sameDay: TrainingDay = { ...day(8, three(), { next: null }), effusionUpOn: "2026-03-08" };
    expect(judge(sameDay, { now: march(8, "10:00") })).toMatchObject({ effusionUp: true, nextDay: "ease" });
    const known = { ...sameDay, effusionKnownAt: march(8, "15:00") };
    expect(judge(known, { now: march(8, "14:59") })).toMatchObject({ effusionUp: false });
    expect(judge(known, { now: march(8, "15:00") })).toMatchObject({
      effusionUp: true,
      reactionKnownAt: march(8, "15:00"),
    });
  });
});

describe("what else a day says", () => {
  it("pain elsewhere is the worst of any set, of either side, and only that", () => {
    const elsewhere = { painSite: "elsewhere" as const };
    const sets = [
      ...three({ painDuring: 3 }),
      ...reps([12], { ...elsewhere, painDuring: 2 }),
      ...right({ ...elsewhere, painDuring: 5 }),
    ];
    expect(judge(day(8, sets))).toMatchObject({ painElsewhere: 5, painDuring: 3 });
  });
  it("marked faults by name, once each; slight ones are not told", () => {
    const marked = { fault: "knee-in", severity: "marked" as const, reps: 1 };
    const slight = { fault: "trunk-lean", severity: "slight" as const, reps: 1 };
    expect(judge(day(8, three({ faults: [marked, slight] })))).toMatchObject({
      markedFault: true,
      markedFaultNames: ["knee-in"],
    });
    expect(judge(day(8, three({ faults: [slight] })))).toMatchObject({
      markedFault: false,
      markedFaultNames: [],
    });
  });
  it("fear in one set is fear", () => {
    const limit = { kind: "fear" as const };
    expect(judge(day(8, [...reps([12, 12]), ...reps([12], { limit })])).fear).toBe(true);
    expect(judge(day(8, three())).fear).toBe(false);
  });
  it("pain comes with the effort where there is load or an effort band, else with the depth", () => {
    const usual = (more: object) => judge(day(8, three()), { dose: { ...strength, ...more } }).painWith;
    expect([usual({}), usual({ loadKg: 0 }), usual({ loadKg: 2 })]).toEqual(["depth", "depth", "effort"]);
    expect(usual({ effort: { lowPercent: 50, highPercent: 70 } })).toBe("effort");
    expect(judge(day(8, three({ painWith: "effort" }))).painWith).toBe("effort");
  });
});

describe("contacts, minutes and holds", () => {
  const { reps: _reps, ...bare } = strength;
  const done = (dose: object, set: Partial<SetRecord>) => {
    const seen = judge(
      day(
        8,
        Array.from({ length: 3 }, () => ({ ...cleanSet, side: "left" as const, ...set })),
      ),
      {
        dose: { ...bare, ...dose },
      },
    );
    return [seen.belowBottom, seen.atTop];
  };

  it.each([
    ["contacts at the top", { contacts: { bottom: 20, top: 30 } }, { contacts: 30 }, [false, true]],
    ["contacts between", { contacts: { bottom: 20, top: 30 } }, { contacts: 29 }, [false, false]],
    ["contacts below", { contacts: { bottom: 20, top: 30 } }, { contacts: 19 }, [true, false]],
    ["contacts not written down", { contacts: { bottom: 20, top: 30 } }, {}, [true, false]],
    ["the minutes asked for", { minutes: 5 }, { minutes: 5 }, [false, true]],
    ["two thirds of the minutes", { minutes: 6 }, { minutes: 4 }, [false, false]],
    ["fewer minutes", { minutes: 6 }, { minutes: 3.9 }, [true, false]],
    ["minutes not written down", { minutes: 5 }, {}, [true, false]],
    [
      "a hold within reps that nobody wrote down",
      { reps: { bottom: 8, top: 12 }, hold: { bottom: 3, top: 5 } },
      { reps: 12 },
      [false, false],
    ],
    ["a hold alone that nobody wrote down", { hold: { bottom: 3, top: 5 } }, {}, [true, false]],
  ])("%s", (_what, dose, set, expected) => {
    expect(done(dose, set)).toEqual(expected);
  });
});

describe("a single hold with a fault", () => {
  const fault = (reps: number | "some" | "most", severity: "marked" | "slight" = "marked") => ({
    faults: [{ fault: "knee-in", severity, reps }],
  });
  it("is spoiled by a marked one unless it was seen for less than half", () => {
    expect([fault("most"), fault(1), fault("some"), fault("most", "slight")].map(markedInMostReps)).toEqual([
      true,
      true,
      false,
      false,
    ]);
    expect(markedInMostReps({ faults: [] })).toBe(false);
  });
  it("of many reps, 'most' is enough", () => {
    expect(markedInMostReps({ reps: 20, ...fault("most") })).toBe(true);
    expect(markedInMostReps({ reps: 20, ...fault("most", "slight") })).toBe(false);
  });
});
