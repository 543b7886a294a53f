import type { Static } from "@sinclair/typebox";
import { loadChange, type Comparison, type LoadChange } from "~/core/load/compare-loads";
import { loadFields, loadKinds } from "~/core/load/load-kind";
import type { SquatLinkageOutput } from "~/core/mechanics/squat-linkage";
import type { Bench } from "./bench";

type Held = Extract<Static<typeof SquatLinkageOutput>, { feasible: true }>;

/** Two set-ups that can be held, kind by kind. */
export function compareHeld(before: Held, kept: Bench, after: Held, now: Bench): Comparison {
  const changes = loadKinds.flatMap((kind): LoadChange[] => {
    const [a, b] = [before[loadFields[kind]], after[loadFields[kind]]];
    if (a === null || b === null) return [];
    return [loadChange(kind, a, b)];
  });
  return { bend: { before: kept.kneeDeg, after: now.kneeDeg }, changes };
}
