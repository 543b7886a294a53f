import { kgFromPounds, poundsFromKg } from "~/core/load/pounds";
import { ways } from "~/messages/ways";

/** Loads as somebody types them, in their unit: 2, 4, 6.5 */
export const loadsText = (loadsKg: readonly number[]): string =>
  loadsKg.map((kg) => (ways().weight === "lb" ? poundsFromKg(kg) : kg)).join(", ");

/**
 * Loads that were typed, as kilograms from light to heavy, each once.
 *
 * @param text numbers in the reader's unit, with commas, semicolons or spaces between
 * @returns empty for an empty text; null where something is no load of 0.1 to 500 kg
 */
export function loadsTyped(text: string): number[] | null {
  const inPounds = ways().weight === "lb";
  const loads = text
    .split(/[\s,;]+/)
    .filter((word) => word !== "")
    .map((word) => (inPounds ? kgFromPounds(Number(word)) : Number(word)));
  if (!loads.every((kg) => kg >= 0.1 && kg <= 500)) return null;
  return [...new Set(loads)].sort((a, b) => a - b);
}
