import type { Finding } from "~/core/decision/record/decide-input";
import { evidence, type Evidence } from "~/core/decision/record/evidence";
import type { RecordView } from "~/core/decision/record/record-view";
import type { Unmet } from "./step-condition";

/** Hold: every reason against a step up, the one nearest to being solved first; that one names the rule. */
export function hold(_view: RecordView, against: readonly Unmet[]): Finding {
  const reasons = against
    .map((reason, order) => ({ ...reason, order }))
    .sort((a, b) => a.nearestDays - b.nearestDays || a.order - b.order)
    .map((reason: Unmet): Evidence => reason.evidence);
  const listed = reasons.length > 0 ? reasons : [evidence("run-too-short", { have: 0, need: 2 })];
  return { outcome: "hold", rule: listed[0]?.code ?? "run-too-short", evidence: listed };
}
