import type { Variant } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";

/**
 * Flexion through which a joint works under a prescription, degrees: the variant's own arc, with the `arc` or the
 * angle knob in place of its bent end where the prescription sets one.
 *
 * @returns [straighter end, more bent end], or null where the variant does not say
 */
export function jointArc(
  joint: "knee" | "hip",
  { settings }: Prescription,
  variant: Variant,
): [number, number] | null {
  const written = variant.arcs?.[joint];
  const angle = settings[`${joint}-angle`];
  const worked = joint === "knee" ? settings["arc"] : undefined;
  if (typeof worked === "string") {
    const [from = 0, to = from] = worked.split("-").map(Number);
    return [from, to];
  }
  if (typeof angle === "number") return [Math.min(written?.[0] ?? 0, angle), angle];
  return written ? [written[0], written[1]] : null;
}
