import { describe, expect, it } from "vitest";
import { cleanSet, day, march, reps, squeezes, strength } from "~tests/builders/decide-input";
import { decideExample } from "~/core/calculation/examples";
import { cleanReps, markedInMostReps, markedReps } from "./clean-reps";
import { judgeDay } from "./judge-day";
import type { SetRecord, TrainingDay } from "./session-record";
import { isLateReport, trainingDayState } from "./training-day-state";

const fault = (reps: number | "some" | "most", severity: "marked" | "slight" = "marked") => ({
  fault: "knee-in",
  severity,
  reps,
});

describe("clean reps", () => {
  it.each([
    ["a counted fault", 8, [fault(5)], 3, true],
    ["slight faults do not count", 8, [fault(8, "slight")], 8, false],
    ["'some' is the most that is fewer than half", 8, [fault("some")], 5, false],
    ["'some' of an odd number", 7, [fault("some")], 4, false],
    ["'most' leaves none", 8, [fault("most")], 0, true],
    ["exactly half is most", 8, [fault(4)], 4, true],
    ["two faults add up", 8, [fault(2), fault(3)], 3, true],
    ["and not beyond what was done", 4, [fault(3), fault(3)], 0, true],
    ["two that nobody counted are most", 8, [fault("some"), fault("some")], 0, true],
    ["one counted and one not", 10, [fault(1), fault("some")], 5, true],
    ["more than was done is all", 4, [fault(9)], 0, true],
  ])("%s", (_what, done, faults, clean, most) => {
    expect(cleanReps({ reps: done, faults })).toBe(clean);
    expect(markedInMostReps({ reps: done, faults })).toBe(most);
    expect(markedReps({ reps: done, faults })).toBe(done - clean);
  });
});

describe("a training day is open, reported or unreported", () => {
  const at = (hours: number) => new Date(Date.parse(march(8)) + hours * 3_600_000).toISOString();
  const ended = march(8);
  const reported = (hours: number) => ({ lastSessionAt: ended, report: { receivedAt: at(hours), pain: 1 } });

  it.each([
    ["without a report, just before 36 h", { lastSessionAt: ended }, 35.9, "open"],
    ["without a report, at 36 h", { lastSessionAt: ended }, 36, "unreported"],
    ["with its report", reported(21), 22, "reported"],
    ["before its report came", reported(21), 20, "open"],
    ["a late report counts until 48 h", reported(48), 49, "reported"],
    ["a report after that is kept but does not count", reported(48.1), 60, "unreported"],
  ])("%s", (_what, trainingDay, hours, state) => {
    expect(trainingDayState(trainingDay, at(hours))).toBe(state);
  });

  it("a report after 36 h is late", () => {
    expect(isLateReport(reported(36))).toBe(false);
    expect(isLateReport(reported(36.5))).toBe(true);
  });
});

describe("judging a day", () => {
  const context = {
    dose: strength,
    school: "monitored" as const,
    involvedSide: "left" as const,
    maximumN: null,
    now: march(20),
    zone: "UTC",
  };
  const judge = (trainingDay: TrainingDay, over: Partial<typeof context> | object = {}) =>
    judgeDay(trainingDay, { ...context, ...over });

  it("the worse side decides when both are involved, and both need their sets", () => {
    const sets = [...reps([12, 12, 12]), ...reps([12, 12, 9], { side: "right", painDuring: 4 })];
    expect(judge(day(8, sets), { involvedSide: "both" })).toMatchObject({
      atTop: false,
      painDuring: 4,
      during: "hold",
    });
    expect(judge(day(8, sets))).toMatchObject({ atTop: true, painDuring: 4 });
    expect(judge(day(8, reps([12, 12, 12])), { involvedSide: "both" }).atTop).toBe(false);
  });
  it("swelling is in the ease band whatever the pain", () => {
    expect(judge(day(8, reps([12, 12, 12]), { swelling: "more" }))).toMatchObject({
      nextDay: "ease",
      swellingMore: true,
    });
  });
  it("work below the effort band is short, inside it is done", () => {
    const { dose } = decideExample.prescription;
    const held = (forceN: number) => judge(day(8, squeezes({ forceN })), { dose, maximumN: 180 });
    expect(held(89)).toMatchObject({ atTop: false, belowBottom: true });
    expect(held(90)).toMatchObject({ atTop: true, belowBottom: false });
    expect(held(130).atTop).toBe(true);
  });
  it("a hold that was not timed is not done", () => {
    const { dose } = decideExample.prescription;
    const untimed: SetRecord[] = Array.from({ length: 5 }, () => ({ ...cleanSet, forceN: 110 }));
    expect(judge(day(8, untimed), { dose, maximumN: 180 })).toMatchObject({
      atTop: false,
      belowBottom: true,
    });
  });
  it("pain elsewhere is noted and does not count", () => {
    expect(judge(day(8, reps([12], { painDuring: 9, painSite: "elsewhere" }))).painDuring).toBe(0);
  });
});
