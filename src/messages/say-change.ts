import type { Change } from "~/core/progression/change";
import { sayDose, sayForce } from "./say-dose";
import { sayKnobValue } from "./say-knob-value";
import { label, t } from "./say";

/** What a change would do, in words, with newtons where an effort band moves. */
export function sayChange(
  change: Change,
  maximumN: number | null,
  variantName?: (id: string) => string,
): string {
  if (change.kind === "lane-ready") return t("change.lane-ready");
  if (change.kind === "offer") return t(`change.offer.${change.offer}`);
  if (change.kind === "by-hand")
    return t("change.byHand", {
      variant: variantName?.(change.prescription.variantId) ?? "",
      dose: sayDose(change.prescription, maximumN),
    });
  if (change.kind === "suspend") return t(`change.suspend.${change.scope}`);
  const { effort } = change.prescription.dose;
  const force = change.knob === "effort" && effort && maximumN ? ` (${sayForce(effort, maximumN)})` : "";
  const turned = t("change.knob", {
    knob: label("knob", change.knob),
    from: sayKnobValue(change.knob, change.from),
    to: sayKnobValue(change.knob, change.to),
  });
  const variant = change.kind === "variant" && variantName ? variantName(change.prescription.variantId) : "";
  return variant ? `${variant} (${turned})` : `${turned}${force}`;
}
