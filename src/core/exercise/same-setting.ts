import type { Prescription } from "./prescription";

/**
 * Whether two prescriptions of one exercise are one setting: variant, every knob of the movement, and the leg. What is done with it
 * may differ.
 *
 * @example sameSetting({ variantId: "a", settings: { trunk: "upright" } }, { variantId: "a", settings: {} }) // false
 */
export function sameSetting(
  a: Pick<Prescription, "variantId" | "settings" | "leg">,
  b: Pick<Prescription, "variantId" | "settings" | "leg">,
): boolean {
  const names = new Set([...Object.keys(a.settings), ...Object.keys(b.settings)]);
  return (
    a.variantId === b.variantId &&
    a.leg === b.leg &&
    [...names].every((name) => a.settings[name] === b.settings[name])
  );
}
