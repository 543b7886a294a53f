import { daysBetween } from "~/core/schedule/local-day";
import { nothing, togetherDays, type Evaluator } from "./criterion-finding";

/**
 * An effort held within the pain school: on the last so many closed days, none older than 14 days, and nothing worse since. Old
 * good days do not pass for ever.
 */
export const withinRule: Evaluator<"within-rule"> = (criterion, { effortDays, today }) => {
  const own = effortDays
    .filter((day) => day.exercise === criterion.exercise)
    .sort((a, b) => a.date.localeCompare(b.date));
  const dates = [...new Set(own.filter((day) => day.closed).map((day) => day.date))];
  if (dates.length === 0) return { ...nothing, unit: "d" };
  const isGood = (date: string) =>
    own.every(
      (day) =>
        day.date !== date ||
        !day.closed ||
        (day.withinRule && day.effortPercent >= criterion.effortPercent - 1e-9),
    );
  const lastBad = dates.findLastIndex((date) => !isGood(date));
  const run = dates.slice(lastBad + 1);
  const fresh = run.filter((date) => daysBetween(date, today) <= togetherDays);
  const last = run.at(-1) ?? null;
  // An open day is no good day yet; a bad one is bad already.
  const isWorseSince = own.some((day) => !day.closed && !day.withinRule && last !== null && day.date >= last);
  const verdict =
    isWorseSince || run.length < criterion.closedDays
      ? "not-met"
      : fresh.length >= criterion.closedDays
        ? "met"
        : "stale";
  return { ...nothing, verdict, value: run.length, unit: "d", takenOn: last };
};
