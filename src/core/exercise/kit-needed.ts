import type { Variant } from "./exercise";
import type { Prescription } from "./prescription";

type Movement = Pick<Variant, "kit" | "turns">;
type Dosed = Pick<Prescription, "dose">;
type Set = Dosed & Partial<Pick<Prescription, "settings">>;

/** What a load above 0 is made of; undefined where there is none, or any weight will do. */
export function loadKit({ turns }: Pick<Movement, "turns">, { dose }: Dosed): string | undefined {
  const load = turns.find((turn) => turn.knob === "load");
  return load && "kit" in load && (dose.loadKg ?? 0) > 0 ? load.kit : undefined;
}

/** What a knee that drifts inward is cued with. */
const guideKit: Readonly<Record<string, readonly string[]>> = { ball: ["ball", "wall"], band: ["band"] };

/** Kit that a prescription needs: its variant's, what its load is made of, and what the knee is cued with. */
export function kitNeeded(variant: Movement, prescription: Set): string[] {
  const ofLoad = loadKit(variant, prescription);
  const guide = guideKit[String(prescription.settings?.["knee-guide"])] ?? [];
  return [...new Set([...variant.kit, ...guide, ...(ofLoad === undefined ? [] : [ofLoad])])];
}
