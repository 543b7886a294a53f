import { localDay } from "~/core/schedule/local-day";
import { instantOfLocal } from "~/core/schedule/local-time";
import type { TrainingDay } from "./session-record";

/**
 * From when a higher grade of effusion counts: its own date, all of it, or when it reached the record; null while it is still
 * to come.
 */
export function effusionKnownAt(
  {
    effusionUpOn,
    effusionKnownAt: recordedAt,
    lastSessionAt,
  }: Pick<TrainingDay, "effusionUpOn" | "effusionKnownAt" | "lastSessionAt">,
  { now, zone }: { readonly now: string; readonly zone: string },
): string | null {
  if (effusionUpOn === undefined || effusionUpOn > localDay(now, zone)) return null;
  if (recordedAt !== undefined) return Date.parse(recordedAt) <= Date.parse(now) ? recordedAt : null;
  // A date without an hour: after the session it belongs to, and not before its own day.
  const dayBegins = instantOfLocal(`${effusionUpOn}T00:00`, zone);
  return Date.parse(dayBegins) > Date.parse(lastSessionAt) ? dayBegins : lastSessionAt;
}
