import type { Measure } from "./measure";

/** Why a typed value cannot be taken; `unusual` can, once somebody has said that it is meant. */
export type EntryFault =
  | "not-a-number"
  | "not-whole"
  | "too-low"
  | "too-high"
  | "unknown-unit"
  | "not-a-grade";

export type Entry =
  | { readonly ok: true; readonly value: number; readonly unusual: boolean }
  | { readonly ok: false; readonly fault: EntryFault };

/**
 * Reads what somebody typed for a measure: decimal point or comma, a unit behind it or the one chosen for the column,
 * or one of the measure's own words. The value comes back in the unit of the store.
 *
 * @param unit the unit a bare number is in, as in the measure's `entryUnits`; the store's unless given
 * @example parseEntry("18,4 kgf", { unit: "N", entryUnits: [{ unit: "kgf", factor: 9.80665 }], plausible: { low: 0, high: 1500 } })
 *   // { ok: true, value: 180.44…, unusual: false }
 */
export function parseEntry(text: string, measure: Measure, unit: string = measure.unit): Entry {
  const typed = text.trim();
  const grade = measure.grades?.findIndex((word) => word.toLowerCase() === typed.toLowerCase()) ?? -1;
  if (grade >= 0) return checkValue(grade, measure);
  const parts = /^([+-]?\d+(?:[.,]\d+)?)\s*([^\d\s.,].*)?$/.exec(typed);
  if (!parts) return { ok: false, fault: measure.grades ? "not-a-grade" : "not-a-number" };
  const factor = factorOf(parts[2]?.trim() ?? unit, measure);
  if (factor === null) return { ok: false, fault: "unknown-unit" };
  return checkValue(Number(parts[1]?.replace(",", ".")) * factor, measure);
}

/** A value in the store's unit against what is possible and what is usual. */
export function checkValue(value: number, { whole, plausible, usual }: Measure): Entry {
  if (!Number.isFinite(value)) return { ok: false, fault: "not-a-number" };
  if (whole && !Number.isInteger(value)) return { ok: false, fault: "not-whole" };
  if (value < plausible.low) return { ok: false, fault: "too-low" };
  if (value > plausible.high) return { ok: false, fault: "too-high" };
  const unusual = usual !== undefined && (value < usual.low || value > usual.high);
  return { ok: true, value, unusual };
}

/** How people write the units that UCUM codes otherwise. */
const spellings: Readonly<Record<string, string>> = {
  "°": "deg",
  lb: "[lb_av]",
  lbs: "[lb_av]",
  lbf: "[lbf_av]",
  in: "[in_i]",
  '"': "[in_i]",
  mmhg: "mm[Hg]",
  sec: "s",
  n: "N",
  "/10": "{0-10}",
};

function factorOf(written: string, { unit, entryUnits = [] }: Measure): number | null {
  const code = spellings[written.toLowerCase()] ?? written;
  if (code === unit) return 1;
  return entryUnits.find((entry) => entry.unit === code)?.factor ?? null;
}
