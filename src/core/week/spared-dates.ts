import type { CaseDay } from "~/core/case/case-days";
import type { EffusionUp } from "~/core/case/effusion";
import { addDays, localDay } from "~/core/schedule/local-day";

/** The day on which a joint was found more swollen, and so many more, are kept from heavy work and springs. */
const moreDays = 1;

/**
 * Dates that heavy work and springs stay off: the day on which a morning was told as more swollen or an effusion was graded higher,
 * and the one after.
 *
 * @param days training days with their mornings
 * @param effusions grades above the one before
 * @param zone IANA time zone of the clinic
 * @example sparedDates([], [{ on: "2026-03-10" }], "UTC") // ["2026-03-10", "2026-03-11"]
 * Source: common practice, one to two days off.
 */
export function sparedDates(
  days: readonly Pick<CaseDay, "report">[],
  effusions: readonly EffusionUp[],
  zone: string,
): string[] {
  const told = days.flatMap(({ report }) =>
    report?.swelling === "more" ? [localDay(report.occurredAt ?? report.receivedAt, zone)] : [],
  );
  const found = [...told, ...effusions.map(({ on }) => on)];
  const dates = found.flatMap((on) => Array.from({ length: moreDays + 1 }, (_, n) => addDays(on, n)));
  return [...new Set(dates)].sort();
}
