import type { NextDayReport, TrainingDay } from "./session-record";

const hourMs = 3_600_000;
/** A day without a report closes after this time, and a report after it is marked late. */
export const closesAfterHours = 36;
/** A report after this time is kept but no longer counts. */
export const reportCountsHours = 48;

/** `open`: the report can still decide; `reported`: it is in; `unreported`: closed without one that counts. */
export type TrainingDayState = "open" | "reported" | "unreported";

/**
 * Whether a training day is open or closed at `now`, and closed with or without a report that counts.
 *
 * @param day lastSessionAt and the report's receivedAt as ISO instants
 * @param now ISO instant
 * @example trainingDayState({ lastSessionAt: "2026-03-02T08:00:00Z" }, "2026-03-02T18:00:00Z") // "open"
 * @example trainingDayState({ lastSessionAt: "2026-03-02T08:00:00Z" }, "2026-03-04T00:00:00Z") // "unreported"
 * Source: a rule of this product; common practice is to ask within 24 hours.
 */
export function trainingDayState(
  day: Pick<TrainingDay, "lastSessionAt" | "report">,
  now: string,
): TrainingDayState {
  const ended = Date.parse(day.lastSessionAt);
  const present = Date.parse(now);
  const { report } = day;
  if (report && Date.parse(report.receivedAt) <= present && isInTime(report, day.lastSessionAt))
    return "reported";
  return present - ended < closesAfterHours * hourMs ? "open" : "unreported";
}

/**
 * When a day closes for which nobody has reported.
 *
 * @param endedAt ISO instant of its last session
 * @example closesAt("2026-03-02T08:00:00Z") // "2026-03-03T20:00:00.000Z"
 */
export const closesAt = (endedAt: string): string =>
  new Date(Date.parse(endedAt) + closesAfterHours * hourMs).toISOString();

/** Whether a report came early enough to count. */
export const isInTime = ({ receivedAt }: Pick<NextDayReport, "receivedAt">, endedAt: string): boolean =>
  Date.parse(receivedAt) - Date.parse(endedAt) <= reportCountsHours * hourMs;

/** True for a report that came between the closing of the day and the time after which it no longer counts. */
export function isLateReport(day: Pick<TrainingDay, "lastSessionAt" | "report">): boolean {
  if (!day.report) return false;
  return Date.parse(day.report.receivedAt) - Date.parse(day.lastSessionAt) > closesAfterHours * hourMs;
}
