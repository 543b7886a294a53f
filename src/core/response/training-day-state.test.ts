import { describe, expect, it } from "vitest";
import { isLateReport, trainingDayState } from "./training-day-state";

const ended = "2026-03-08T18:00:00.000Z";
const after = (hours: number, minutes = 0) =>
  new Date(Date.parse(ended) + hours * 3_600_000 + minutes * 60_000).toISOString();
const reported = (hours: number, minutes = 0) => ({
  lastSessionAt: ended,
  report: { receivedAt: after(hours, minutes), pain: 1 },
});
const silent = { lastSessionAt: ended };

describe("a training day without a report", () => {
  it("is open until 36 hours have passed, and then closed", () => {
    expect(trainingDayState(silent, ended)).toBe("open");
    expect(trainingDayState(silent, after(35, 59))).toBe("open");
    expect(trainingDayState(silent, after(36))).toBe("unreported");
    expect(trainingDayState(silent, after(400))).toBe("unreported");
  });
});

describe("a report", () => {
  it("closes the day as soon as it is in, and not before", () => {
    expect(trainingDayState(reported(12), after(11, 59))).toBe("open");
    expect(trainingDayState(reported(12), after(12))).toBe("reported");
    expect(trainingDayState(reported(12), after(900))).toBe("reported");
  });

  it("between 36 and 48 hours is late, and still counts", () => {
    expect(isLateReport(reported(36))).toBe(false);
    expect(isLateReport(reported(36, 1))).toBe(true);
    expect(trainingDayState(reported(40), after(39))).toBe("unreported");
    expect(trainingDayState(reported(40), after(41))).toBe("reported");
    expect(trainingDayState(reported(48), after(60))).toBe("reported");
  });

  it("after 48 hours is kept and no longer counts", () => {
    expect(trainingDayState(reported(48, 1), after(60))).toBe("unreported");
    expect(isLateReport(reported(48, 1))).toBe(true);
    expect(isLateReport(silent)).toBe(false);
  });
});
