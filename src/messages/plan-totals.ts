import type { PlanTotal } from "~/core/progression/plan-totals";
import { sayNumber, t } from "./say";

/** A sum of the plan that is too much, in words. */
export function sayPlanTotal({ code, value, most }: PlanTotal): string {
  return t(`plan.total.${code}`, { value: sayNumber(value), most: sayNumber(most) });
}
