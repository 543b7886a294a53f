import { doseMinutes } from "~/core/dose/dose-minutes";
import type { Dose } from "~/core/dose/dose";
import type { MovementLoads } from "./movement-loads";

/** What one exercise asks of the kneecap of its working leg. */
export interface KneecapShare {
  /** Highest stress of a repetition, MPa; null where nobody can say. */
  readonly peakMPa: number | null;
  /** Stress over the time that one leg works in a session, MPa·s; null likewise. */
  readonly sessionMPaS: number | null;
}

const unknown: KneecapShare = { peakMPa: null, sessionMPaS: null };

/**
 * Peak, and stress over time, of an exercise under the kneecap of the working leg: the mean over the movement times the seconds that
 * this leg works in a session (of those at which something else carries, none), so that holds and repetitions can stand beside each other.
 *
 * @param loads of the movement as prescribed
 * @returns null for both where the movement cannot be read, or a bend lies beyond 110°
 * @example kneecapShare({ ok: false, reason: "not-standing" }, { style: "strength", policy: "hold", sets: 1, restSeconds: 0, daysPerWeek: 3 }) // { peakMPa: null, sessionMPaS: null }
 * Source: see movementLoads; the sum over time as load and repetitions are summed in training (common practice).
 */
export function kneecapShare(loads: MovementLoads, dose: Dose): KneecapShare {
  if (!loads.ok) return unknown;
  const standing = loads.moments.flatMap(({ legs }) => legs.w ?? legs.o ?? []);
  const stresses = standing.flatMap(({ patellofemoralStressMPa }) => patellofemoralStressMPa ?? []);
  if (stresses.length === 0 || stresses.length < standing.length) return unknown;
  const mean = stresses.reduce((sum, stress) => sum + stress, 0) / stresses.length;
  const { workSeconds } = doseMinutes({ dose, sides: "one-side" });
  return { peakMPa: Math.max(...stresses), sessionMPaS: mean * loads.readShare * workSeconds };
}
