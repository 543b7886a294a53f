import type { PlacingReason } from "~/core/intake/placing";
import { label, sayQuantity, t } from "./say";

/** Why a stage or an exercise was proposed, in a sentence. */
export function sayPlacingReason({ code, values }: PlacingReason): string {
  const said: Record<string, string | number> = { ...values };
  if (typeof values["phase"] === "string") said["phase"] = label("phase", values["phase"]);
  if (typeof values["kit"] === "string")
    said["kit"] = values["kit"]
      .split(",")
      .map((piece) => label("kit", piece))
      .join(", ");
  if (typeof values["lane"] === "string") said["lane"] = label("lane", values["lane"]);
  const { value, unit } = values;
  if (typeof value === "number" && typeof unit === "string") said["value"] = sayQuantity(value, unit);
  return t(`placing.reason.${code}`, said);
}
