import type { Variant } from "./exercise";
import type { Prescription } from "./prescription";

type Movement = Pick<Variant, "kit" | "turns">;
type Dosed = Pick<Prescription, "dose">;

/** What a load above 0 is made of; undefined where there is none, or any weight will do. */
export function loadKit({ turns }: Pick<Movement, "turns">, { dose }: Dosed): string | undefined {
  const load = turns.find((turn) => turn.knob === "load");
  return load && "kit" in load && (dose.loadKg ?? 0) > 0 ? load.kit : undefined;
}

/** Kit that a prescription needs: its variant's, and what its load is made of. */
export function kitNeeded(variant: Movement, prescription: Dosed): string[] {
  const ofLoad = loadKit(variant, prescription);
  return [...new Set([...variant.kit, ...(ofLoad === undefined ? [] : [ofLoad])])];
}
