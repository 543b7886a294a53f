import type { Side } from "~/core/demand/contacts";
import { loadKinds, type LoadKind } from "./load-kind";
import type { LoadsAt } from "./movement-loads";
import { deepestBend, peakOf } from "./peak-of";

/** One kind of load in two forms of a movement, each at its peak. */
export interface LoadChange {
  readonly kind: LoadKind;
  readonly before: number;
  readonly after: number;
  /** Rise above, fall below 0; null where there was nothing before. */
  readonly percent: number | null;
}

export interface Comparison {
  /** Deepest bend of the leg in each, degrees. */
  readonly bend: { readonly before: number; readonly after: number };
  readonly changes: readonly LoadChange[];
}

/** Moments below this are none: a share of them says nothing, N·m or MPa. */
const nothing = 0.05;

/**
 * What changes for one leg from one form of a movement to another, peak against peak.
 *
 * @returns kinds that are known of both; null where the leg does not stand in both
 * Source: arithmetic.
 */
export function compareLoads(
  before: readonly LoadsAt[],
  after: readonly LoadsAt[],
  side: Side,
): Comparison | null {
  const [from, to] = [deepestBend(before, side), deepestBend(after, side)];
  if (from === null || to === null) return null;
  const changes = loadKinds.flatMap((kind): LoadChange[] => {
    const [a, b] = [peakOf(before, side, kind), peakOf(after, side, kind)];
    if (!a || !b) return [];
    return [loadChange(kind, a.value, b.value)];
  });
  return { bend: { before: from, after: to }, changes };
}

/** One kind of load before and after. @example loadChange("hip", 50, 75).percent // 50 */
export const loadChange = (kind: LoadKind, before: number, after: number): LoadChange => ({
  kind,
  before,
  after,
  percent: Math.abs(before) < nothing ? null : (100 * (after - before)) / Math.abs(before),
});
