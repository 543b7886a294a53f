import { dosePolicy } from "~/core/dose/dose-policy";
import { elapsedDays } from "~/core/schedule/local-day";
import type { Finding } from "~/core/decision/record/decide-input";
import { adherenceNeeded } from "~/core/response/lane-adherence";
import { evidence } from "~/core/decision/record/evidence";
import type { RecordView } from "~/core/decision/record/record-view";

const noStepDays = 21;
const noEaseDays = 14;
const workedWithinDays = 7;
const askedAgainAfterDays = 7;
const offers = ["more-volume", "another-variant", "referral"] as const;

/**
 * Plateau: no step for 21 days although the work was done and nothing had to be eased for 14 days, and no signal is open.
 * Offers more volume first, then another variant, then referral; the record says what was offered before.
 * Source: common practice.
 */
export function plateau({ input, days, lastChange }: RecordView): Finding | null {
  if (!dosePolicy(input.prescription.dose.policy).steps || input.halted !== undefined) return null;
  const lastClosed = days.filter((day) => day.state !== "open").at(-1);
  if (!lastClosed || elapsedDays(lastClosed.lastSessionAt, input.now) > workedWithinDays) return null;
  if (input.laneAdherencePercent !== undefined && input.laneAdherencePercent < adherenceNeeded) return null;
  const lastStep = input.changes.filter((change) => change.direction !== "easier").at(-1)?.at;
  const noStepFor = Math.floor(elapsedDays(lastStep ?? input.prescribedAt, input.now));
  const easedRecently =
    lastChange?.direction === "easier" && elapsedDays(lastChange.at, input.now) < noEaseDays;
  if (noStepFor < noStepDays || easedRecently) return null;
  if (input.leftAsIsAt && elapsedDays(input.leftAsIsAt, input.now) < askedAgainAfterDays) return null;
  if ((input.weeklyMeanRise ?? 0) > 1) return null;
  const offered = input.changes.filter((change) => change.direction === "other").length;
  const offer = offers[Math.min(offered, offers.length - 1)] ?? "referral";
  return {
    outcome: "plateau",
    rule: "plateau",
    evidence: [evidence("plateau", { days: noStepFor })],
    change: { kind: "offer", offer },
    review: true,
  };
}
