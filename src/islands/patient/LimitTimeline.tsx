import type { LimitLine } from "~/contract/fields";
import { daysBetween } from "~/core/schedule/local-day";
import { label, sayDate, t } from "~/messages/say";

interface Props {
  limits: readonly LimitLine[];
  today: string;
}

/**
 * Limits with an end as bars from their first to their last day with today across them, the next to end on top; those without
 * an end below, in words. What one may not do today stands in full, what comes later in outline.
 */
export default function LimitTimeline({ limits, today }: Props) {
  const ending = limits
    .filter((limit): limit is LimitLine & { until: string } => limit.until !== null)
    .sort((a, b) => a.until.localeCompare(b.until));
  const lasting = limits.filter(({ until }) => until === null);
  const starts = ending.map(({ from }) => from ?? today);
  const first = [today, ...starts].sort()[0] ?? today;
  const last = ending.at(-1)?.until ?? today;
  const days = Math.max(1, daysBetween(first, last) + 1);
  const at = (date: string) => (Math.max(0, daysBetween(first, date)) / days) * 100;
  const share = (from: string, until: string) => ((daysBetween(from, until) + 1) / days) * 100;
  return (
    <div data-testid="limit-timeline">
      {ending.length > 0 && (
        <p className="text-base-content/75 flex items-center gap-1 text-xs">
          <span className="bg-error inline-block h-3 w-1" aria-hidden /> {t("history.today")}
        </p>
      )}
      {ending.length > 0 && (
        <ul className="relative flex flex-col gap-1">
          {ending.map(({ says, origin, from, until }) => {
            const begins = from ?? first;
            const isLater = begins > today;
            return (
              <li key={`${says} ${begins} ${until}`} className="text-sm">
                <div className="flex flex-wrap items-baseline justify-between gap-x-2">
                  <span className="font-medium">{says}</span>
                  <span className="text-base-content/75 text-xs whitespace-nowrap">
                    {label("origin", origin)} ·{" "}
                    {isLater
                      ? t("history.fromUntil", { from: sayDate(begins), until: sayDate(until) })
                      : t("stair.until", { date: sayDate(until) })}
                  </span>
                </div>
                <svg className="h-3 w-full" viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden>
                  <rect className="fill-base-300" x="0" y="4" width="100" height="4" />
                  <rect
                    className={isLater ? "fill-base-100 stroke-neutral" : "fill-neutral"}
                    x={at(begins)}
                    y="3"
                    width={share(begins, until)}
                    height="6"
                    strokeWidth="0.6"
                  />
                  <rect className="fill-error" x={at(today)} y="0" width="0.6" height="12" />
                </svg>
              </li>
            );
          })}
        </ul>
      )}
      {lasting.length > 0 && (
        <ul className={`text-sm ${ending.length > 0 ? "mt-2" : ""}`}>
          {lasting.map(({ says, origin }) => (
            <li key={says} className="flex flex-wrap items-baseline justify-between gap-x-2">
              <span className="font-medium">{says}</span>
              <span className="text-base-content/75 text-xs">{label("origin", origin)}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
