import type { Side } from "~/core/demand/contacts";
import { loadFields, type LoadKind } from "./load-kind";
import type { LoadsAt } from "./movement-loads";

/** The most a leg meets over a movement, and where. */
export interface Peak {
  readonly value: number;
  /** Bend of the knee at that moment, degrees. */
  readonly kneeFlexionDeg: number;
}

/** The highest value of one kind of load on one leg; null where the leg does not stand or nobody can say. */
export function peakOf(moments: readonly LoadsAt[], side: Side, kind: LoadKind): Peak | null {
  return moments.reduce<Peak | null>((most, { legs }) => {
    const leg = legs[side];
    const value = leg?.[loadFields[kind]];
    if (!leg || value === null || value === undefined || (most && value <= most.value)) return most;
    return { value, kneeFlexionDeg: leg.kneeFlexionDeg };
  }, null);
}

/** The deepest bend of a leg's knee over a movement, degrees; null where it does not stand. */
export function deepestBend(moments: readonly LoadsAt[], side: Side): number | null {
  const bends = moments.flatMap(({ legs }) => legs[side]?.kneeFlexionDeg ?? []);
  return bends.length === 0 ? null : Math.max(...bends);
}
