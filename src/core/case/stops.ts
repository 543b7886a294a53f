import type { StopSignal } from "~/core/decision/record/decide-input";
import { halts, stopSignal, urgencies } from "~/core/intake/stop-signal";
import { stoppingPinch } from "~/core/decision/rules/stop";
import { pinchGrade } from "~/core/response/judge-day";
import { isVoided } from "~/core/schema/voided";
import type { CaseFile, CaseItem, CaseSignal } from "./case-file";

const known = (at: string, asOf: string) => Date.parse(at) <= Date.parse(asOf);

/** The stop signals of a person that nobody has cleared at `asOf`, those of other episodes too, oldest first. */
export function openSignalsOf({ signals = [], asOf }: Pick<CaseFile, "signals" | "asOf">): CaseSignal[] {
  return signals.filter(
    ({ at, cleared }) => known(at, asOf) && (cleared === undefined || !known(cleared.at, asOf)),
  );
}

/**
 * The open signals that let nothing be added, made harder or passed, the most urgent first.
 *
 * @example haltsOf({ asOf: "2026-03-02T08:00:00Z", signals: [{ id: "s", code: "calf-hot", at: "2026-03-01T08:00:00Z" }] }).length // 1
 */
export function haltsOf(file: Pick<CaseFile, "signals" | "asOf">): CaseSignal[] {
  const rank = ({ code }: CaseSignal) => urgencies.indexOf(stopSignal(code).urgency);
  return openSignalsOf(file)
    .filter(({ code }) => halts(code))
    .sort((a, b) => rank(a) - rank(b));
}

/**
 * Pinches that stop and blocks that were written down for an exercise in a session that has been corrected or voided since, for an
 * item of it that has left the plan, or for another setting of it: a stop is the exercise's. Clearing any item of it lifts them.
 */
export function pinchesKept(file: CaseFile, own: Pick<CaseItem, "id" | "exerciseId">): StopSignal[] {
  const { exerciseId } = own;
  const items = new Map(file.items.map((item) => [item.id, item]));
  const valid = file.sessions.filter((session) => !isVoided(session, file.asOf));
  const corrected = new Set(valid.map(({ supersedes }) => supersedes));
  const seen = file.sessions.filter(({ at, receivedAt = at }) => known(receivedAt, file.asOf));
  return seen.flatMap((session) => {
    const { id, at, receivedAt = at, items: done } = session;
    const isOut = corrected.has(id) || isVoided(session, file.asOf);
    const stops = done.some(({ itemId, sets }) => {
      const item = items.get(itemId);
      // What stands of the item itself, its own rules read.
      const isStanding = !isOut && item?.endedAt === undefined && itemId === own.id;
      return (
        item?.exerciseId === exerciseId && !isStanding && sets.some((set) => pinchGrade(set) >= stoppingPinch)
      );
    });
    if (!stops) return [];
    const clearedAt = clearedLast(file, exerciseId);
    const isCleared = clearedAt !== undefined && known(receivedAt, clearedAt);
    return [
      { code: "pinch-or-block", scope: "item", raisedAt: receivedAt, ...(isCleared ? { clearedAt } : {}) },
    ];
  });
}

/** When an item of an exercise was last cleared in writing, whichever item of it. */
export function clearedLast(file: CaseFile, exerciseId: string): string | undefined {
  const own = new Set(file.items.filter((item) => item.exerciseId === exerciseId).map(({ id }) => id));
  return file.clearances
    .filter(({ itemId, at }) => own.has(itemId) && known(at, file.asOf))
    .map(({ at }) => at)
    .sort()
    .at(-1);
}
