import type { Dose } from "~/core/dose/dose";
import type { SetRecord } from "./session-record";

/** What the worst pain of a day is laid to, and where it was felt, degrees, when that was said. */
export interface PainCause {
  readonly with: "depth" | "effort";
  readonly arc: NonNullable<SetRecord["painArc"]> | null;
}

/** Patterns that speak of the load: in one phase of the lift, or only afterwards, the joint's angle is not what hurt. */
const ofLoad: ReadonlySet<string> = new Set(["effort", "down", "up", "after"]);

/**
 * What the pain of a day came with: the worst set decides; of equally bad ones a depth comes first. Where nobody could name a
 * pattern, work against a load or in an effort band is taken to hurt by its effort, any other by its depth.
 *
 * @param sets the sets that count, each with the pain that counts in it
 * @example painCause([{ pain: 6, set: { painWith: "effort" } }], { style: "control" }) // { with: "effort", arc: null }
 * Source: common practice.
 */
export function painCause(
  sets: readonly { readonly pain: number; readonly set: Pick<SetRecord, "painWith" | "painArc"> }[],
  dose: Pick<Dose, "effort" | "loadKg">,
): PainCause {
  const worst = Math.max(0, ...sets.map(({ pain }) => pain));
  const sources = sets
    .filter(({ pain }) => pain === worst)
    .map(({ set }) => ({ with: sourceOf(set, dose), arc: set.painArc ?? null }));
  const atDepth = sources.filter((source) => source.with === "depth");
  return (
    atDepth.find(({ arc }) => arc !== null) ?? atDepth[0] ?? sources[0] ?? { with: usual(dose), arc: null }
  );
}

function sourceOf(
  { painWith, painArc }: Pick<SetRecord, "painWith" | "painArc">,
  dose: Pick<Dose, "effort" | "loadKg">,
): PainCause["with"] {
  if (painWith === "depth" || (painWith === undefined && painArc)) return "depth";
  return painWith !== undefined && ofLoad.has(painWith) ? "effort" : usual(dose);
}

const usual = ({ effort, loadKg = 0 }: Pick<Dose, "effort" | "loadKg">): PainCause["with"] =>
  effort || loadKg > 0 ? "effort" : "depth";
