import type { Static } from "@sinclair/typebox";
import { loadChange, type Comparison, type LoadChange } from "~/core/load/compare-loads";
import type { LoadKind } from "~/core/load/movement-loads";
import type { SquatLinkageOutput } from "~/core/mechanics/squat-linkage";
import type { Bench } from "./bench";

type Held = Extract<Static<typeof SquatLinkageOutput>, { feasible: true }>;

const read = {
  stress: "patellofemoralStressMPa",
  knee: "kneeMomentNm",
  hip: "hipMomentNm",
  ankle: "ankleMomentNm",
} as const satisfies Record<LoadKind, keyof Held>;

/** Two set-ups that can be held, kind by kind. */
export function compareHeld(before: Held, kept: Bench, after: Held, now: Bench): Comparison {
  const changes = (Object.keys(read) as LoadKind[]).flatMap((kind): LoadChange[] => {
    const [a, b] = [before[read[kind]], after[read[kind]]];
    if (a === null || b === null) return [];
    return [loadChange(kind, a, b)];
  });
  return { bend: { before: kept.kneeDeg, after: now.kneeDeg }, changes };
}
