import type { TurnedChange } from "./change";

const usualPercent = 10;
const usualKg = 2;

/**
 * By how much a step of load goes beyond what is usual: more than 10 % and more than 2 kg at once, where the shelf has nothing
 * smaller. It asks for one good day more, and begins at the bottom of the range.
 *
 * @returns whole per cent; null for a usual step, a first load, and whatever is no load
 * @example loadJump({ kind: "knob", knob: "load", from: 10, to: 15 }) // 50
 * Source: steps of 2–10 % from ACSM 2009, recalled; the day more common practice.
 */
export function loadJump({
  kind,
  knob,
  from,
  to,
}: Pick<TurnedChange, "kind" | "knob" | "from" | "to">): number | null {
  if (kind !== "knob" || knob !== "load" || typeof from !== "number" || typeof to !== "number" || from <= 0)
    return null;
  const percent = ((to - from) / from) * 100;
  return percent > usualPercent + 1e-9 && to - from > usualKg + 1e-9 ? Math.round(percent) : null;
}
