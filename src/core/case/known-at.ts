import { unlessVoidedLater } from "~/core/schema/voided";
import type { CaseDecision, CaseFile } from "./case-file";

/**
 * The case as it was known at an instant: nothing that reached the record later.
 *
 * @param at ISO instant
 * @param decisions those signed before it; of one instant the order in the file decides, which only the caller knows
 */
export function knownAt(file: CaseFile, at: string, decisions: readonly CaseDecision[]): CaseFile {
  const known = (instant: string) => Date.parse(instant) <= Date.parse(at);
  return {
    ...file,
    asOf: at,
    decisions: [...decisions],
    sessions: file.sessions
      .filter((session) => known(session.receivedAt ?? session.at))
      .map((session) => unlessVoidedLater(session, at)),
    reports: file.reports
      .filter((report) => known(report.receivedAt))
      .map((report) => unlessVoidedLater(report, at)),
    results: file.results
      .filter((result) => known(result.recordedAt ?? `${result.takenOn}T00:00:00Z`))
      .map((result) => unlessVoidedLater(result, at)),
    signals: (file.signals ?? []).filter((signal) => known(signal.at)),
    attributions: (file.attributions ?? []).filter((choice) => known(choice.at)),
    arrangements: (file.arrangements ?? []).filter((signed) => known(signed.at)),
    lifts: (file.lifts ?? []).filter((lift) => known(lift.at)),
    smallDoses: (file.smallDoses ?? []).filter((step) => known(step.at)),
    clearances: file.clearances.filter((clearance) => known(clearance.at)),
    items: file.items
      .filter((item) => known(item.prescriptions[0]?.from ?? at))
      .map((item) => ({
        ...item,
        prescriptions: item.prescriptions.filter(
          (entry, n) => n === 0 || madeBefore(entry, item.id, decisions, at),
        ),
      })),
  };
}

/** Prescriptions that stood at an instant: older ones, and those of decisions of the same instant that came before. */
function madeBefore(
  { from }: CaseFile["items"][number]["prescriptions"][number],
  itemId: string,
  decisions: readonly CaseDecision[],
  at: string,
): boolean {
  if (Date.parse(from) !== Date.parse(at)) return Date.parse(from) < Date.parse(at);
  return decisions.some((other) => other.itemId === itemId && Date.parse(other.at) === Date.parse(at));
}
