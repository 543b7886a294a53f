import type { Finding } from "~/core/decision/record/decide-input";
import { evidence } from "~/core/decision/record/evidence";
import { localDay } from "~/core/schedule/local-day";
import { after, type RecordView } from "~/core/decision/record/record-view";

/** A pinch of this grade, or a block, suspends the item (common practice). */
export const stoppingPinch = 2;

/**
 * Stop: an uncleared stop signal, or a pinch graded 2–3 or a block felt in this item since it was last cleared.
 * Suspended until a clinician clears it in writing. Source: common practice; the table of stop signals.
 */
export function stop({ input, allDays }: RecordView): Finding | null {
  const signal = input.stopSignals.find((s) => s.clearedAt === undefined && !after(s.raisedAt, input.now));
  if (signal) {
    return {
      outcome: "stop",
      rule: "stop-signal",
      evidence: [
        evidence("stop-signal", {
          signal: signal.code,
          on: localDay(signal.raisedAt, input.zone),
          ...(signal.urgency === undefined ? { form: "day" } : { form: "urgent", urgency: signal.urgency }),
        }),
      ],
      change: { kind: "suspend", scope: signal.scope },
    };
  }
  const pinch = allDays.find((d) => d.pinchGrade >= stoppingPinch && after(d.arrivedAt, input.clearedAt));
  if (!pinch) return null;
  return {
    outcome: "stop",
    rule: "pinch-or-block",
    evidence: [
      evidence(
        "pinch",
        pinch.pinchSaid === "graded" || pinch.pinchSaid === null
          ? { grade: pinch.pinchGrade }
          : { form: pinch.pinchSaid },
        pinch.date,
      ),
    ],
    change: { kind: "suspend", scope: "item" },
  };
}
