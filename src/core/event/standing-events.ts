import type { CaseEvent } from "./event";

/**
 * The events that stand at an instant, oldest first: those signed by then, without what a later entry corrected or took back.
 *
 * @example standingEvents([{ id: "a", at: "2026-03-01T08:00:00Z", kind: "injury", on: "2026-02-20", reason: "x", withdrawn: true }], "2026-03-02T08:00:00Z") // []
 */
export function standingEvents(events: readonly CaseEvent[], asOf: string): CaseEvent[] {
  const known = events.filter(({ at }) => Date.parse(at) <= Date.parse(asOf));
  const corrected = new Set(known.map(({ supersedes }) => supersedes));
  return known
    .filter(({ id, withdrawn }) => !corrected.has(id) && withdrawn !== true)
    .sort((a, b) => a.on.localeCompare(b.on) || a.at.localeCompare(b.at));
}
