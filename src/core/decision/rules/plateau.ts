import { dosePolicy } from "~/core/dose/dose-policy";
import { daysBetween, localDay } from "~/core/schedule/local-day";
import type { Finding } from "~/core/decision/record/decide-input";
import { evidence } from "~/core/decision/record/evidence";
import type { RecordView } from "~/core/decision/record/record-view";
import type { Unmet } from "./step-condition";

const noStepDays = 21;
const noEaseDays = 14;
const workedWithinDays = 7;
const askedAgainAfterDays = 7;
/** What keeps from a step without standing in the way of more volume: the work is short of its top, and nothing else. */
const noObstacle: ReadonlySet<string> = new Set(["short-of-top", "run-too-short", "easier-than-prescribed"]);
const offers = ["more-volume", "another-variant", "referral"] as const;

/**
 * Plateau: no step for 21 days although the work was done, nothing had to be eased for 14 days, and nothing else stands in the
 * way of a step: no limit, budget, missing report, pain outside the go band, fault, fear, effusion or open signal.
 * Offers more volume first, then another variant, then referral; the record says what was offered before.
 * Source: common practice.
 */
export function plateau(view: RecordView, against: readonly Unmet[]): Finding | null {
  const { input, days, lastChange, today, prescribedOn } = view;
  // Nothing is left to turn in this stage: what is missing is good days, or the gate.
  if (!dosePolicy(input.prescription.dose.policy).steps || view.next.found !== "change") return null;
  const lastClosed = days.filter((day) => day.state !== "open").at(-1);
  const since = (at: string) => daysBetween(localDay(at, input.zone), today);
  if (!lastClosed || daysBetween(lastClosed.date, today) > workedWithinDays) return null;
  const lastStep = input.changes.filter((change) => change.direction !== "easier").at(-1)?.at;
  const noStepFor = lastStep === undefined ? daysBetween(prescribedOn, today) : since(lastStep);
  const easedRecently = lastChange?.direction === "easier" && since(lastChange.at) < noEaseDays;
  if (noStepFor < noStepDays || easedRecently) return null;
  if (input.leftAsIsAt && since(input.leftAsIsAt) < askedAgainAfterDays) return null;
  if (against.some((reason) => !noObstacle.has(reason.evidence.code))) return null;
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
