import type { Variant } from "./exercise";
import type { Prescription } from "./prescription";

/** Kit that a prescription needs: its variant's, and what a load above 0 is made of. */
export function kitNeeded(
  { kit, turns }: Pick<Variant, "kit" | "turns">,
  { dose }: Pick<Prescription, "dose">,
): string[] {
  const made = turns.find((turn) => turn.knob === "load");
  const ofLoad = made && "kit" in made && made.kit !== undefined && (dose.loadKg ?? 0) > 0 ? [made.kit] : [];
  return [...new Set([...kit, ...ofLoad])];
}
