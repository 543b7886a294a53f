import { Check, CircleCheckBig, CircleDashed, CircleX, History, Minus, X } from "lucide-react";
import type { CriterionResult } from "~/core/gate/gate";

/** A mark and a tone for every verdict; the words stand beside it, so that colour never speaks alone. */
export const verdictLook: Record<CriterionResult["verdict"], { Icon: typeof Check; tone: string }> = {
  met: { Icon: Check, tone: "text-success" },
  "met-within-error": { Icon: CircleCheckBig, tone: "text-success" },
  "not-met-within-error": { Icon: CircleX, tone: "text-warning" },
  "not-met": { Icon: X, tone: "text-error" },
  missing: { Icon: CircleDashed, tone: "text-error" },
  stale: { Icon: History, tone: "text-warning" },
  undefined: { Icon: Minus, tone: "text-base-content" },
};
