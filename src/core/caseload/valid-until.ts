import { closesAfterHours, reportCountsHours } from "~/core/response/training-day-state";
import { addDays, localDay } from "~/core/schedule/local-day";
import { instantOfLocal } from "~/core/schedule/local-time";
import type { CaseFile } from "~/core/case/case-file";

const hourMs = 3_600_000;
const dayMs = 24 * hourMs;
/** No rule looks further back from an instant than this; after it, the local date is all that changes anything. */
const longestDays = 60;

/**
 * The first instant after `asOf` at which time alone can change what is said of a case: a training day closes or can no
 * longer be reported, a whole number of days has passed since something the rules count from,
 * or the local date changes.
 *
 * @returns ISO instant, later than `asOf`; what was said holds before it, as long as nothing is written
 */
export function validUntil(file: CaseFile): string {
  const now = Date.parse(file.asOf);
  const later = [
    Date.parse(instantOfLocal(`${addDays(localDay(file.asOf, file.zone), 1)}T00:00`, file.zone)),
    ...file.sessions.flatMap(({ at }) => [
      Date.parse(at) + closesAfterHours * hourMs,
      Date.parse(at) + reportCountsHours * hourMs + 1,
    ]),
    ...anchors(file).map((anchor) => nextWholeDay(anchor, now)),
  ].filter((instant) => instant > now);
  return new Date(Math.min(...later)).toISOString();
}

/** Instants from which rules count elapsed days: an item's last session, its prescription, its last answer and step. */
function anchors(file: CaseFile): number[] {
  const now = Date.parse(file.asOf);
  const instants = [
    ...file.items.filter((item) => item.endedAt === undefined).flatMap((item) => lastOnes(file, item)),
    ...file.items.flatMap((item) => (item.endedAt === undefined ? [] : [item.endedAt])),
  ];
  return [...new Set(instants.map((instant) => Date.parse(instant)))].filter(
    (instant) => now - instant < longestDays * dayMs,
  );
}

function lastOnes(file: CaseFile, item: CaseFile["items"][number]): string[] {
  const sessions = file.sessions
    .filter((s) => s.items.some((done) => done.itemId === item.id))
    .map((s) => s.at);
  const decisions = file.decisions.filter((d) => d.itemId === item.id).map((d) => d.at);
  const steps = file.decisions.filter((d) => d.itemId === item.id && d.signedChange?.direction !== "easier");
  const each = [sessions, item.prescriptions.map((p) => p.from), decisions, steps.map((d) => d.at)];
  return each.flatMap((instants) => instants.sort().at(-1) ?? []);
}

function nextWholeDay(anchor: number, now: number): number {
  if (anchor > now) return anchor;
  // One millisecond on: some rules ask for more than so many days, others for so many.
  const days = Math.floor((now - anchor) / dayMs) + 1;
  const exactly = anchor + days * dayMs;
  return (now - anchor) % dayMs === 0 ? now + 1 : exactly;
}
