import type { Finding } from "~/core/decision/record/decide-input";
import { evidence } from "~/core/decision/record/evidence";
import type { RecordView } from "~/core/decision/record/record-view";
import { nearestWithin } from "~/core/progression/nearest-within";

/** Whose limits bind what is prescribed already; a stage's and the kit's are answered by moving, adding and swapping. */
const binds: ReadonlySet<string> = new Set(["surgeon", "procedure", "condition", "person", "clinician"]);

/**
 * What is prescribed already breaks a limit that is in force now: the nearest easier setting within all limits; where there is
 * none the exercise is suspended, without urgency, until the limit ends or another takes its place. It comes before every
 * cause of an ease. Source: common practice; the surgeon's sheet wins.
 */
export function beyondLimit(view: RecordView): Finding | null {
  const { beyond, input, allows, shelf } = view;
  if (!beyond || !binds.has(beyond.origin)) return null;
  const { says, origin, until } = beyond;
  const because = [evidence("beyond-limit", { says, origin, ...(until === undefined ? {} : { until }) })];
  const change = nearestWithin(input.exercise, input.prescription, allows, shelf);
  return change
    ? { outcome: "ease", rule: "ease-beyond-limit", evidence: because, change, review: true }
    : {
        outcome: "stop",
        rule: "beyond-limit",
        evidence: because,
        change: { kind: "suspend", scope: "item" },
      };
}
