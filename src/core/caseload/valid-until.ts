import { closesAfterHours, reportCountsHours } from "~/core/response/training-day-state";
import { localDay } from "~/core/schedule/local-day";
import type { CaseFile } from "~/core/case/case-file";

const minuteMs = 60_000;
const hourMs = 60 * minuteMs;
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
    nextMidnight(file.asOf, file.zone),
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

/** The first instant of the next local date: in every zone of today a whole minute. */
function nextMidnight(asOf: string, zone: string): number {
  const today = localDay(asOf, zone);
  let low = Math.floor(Date.parse(asOf) / minuteMs);
  let high = low + 26 * 60;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (localDay(new Date(middle * minuteMs).toISOString(), zone) > today) high = middle;
    else low = middle;
  }
  return high * minuteMs;
}
