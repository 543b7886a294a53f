import type { Region } from "./body";
import type { Exercise } from "./exercise";

/** Which of the load tags speaks of a region; the thigh and the lower leg have none (common practice). */
const tagOf: Partial<Record<Region, keyof NonNullable<Exercise["loads"]>>> = {
  knee: "kneecap",
  hip: "hip",
  groin: "hip",
  back: "back",
};

const ranks = { low: 1, moderate: 2, high: 3 } as const;

/**
 * How much a movement loads a region, against others: 0 where nobody said, 1 low, 2 moderate, 3 high.
 *
 * @example regionLoad({ loads: { kneecap: "high", hip: "low", back: "low" } }, "knee") // 3
 */
export function regionLoad({ loads }: Pick<Exercise, "loads">, region: Region | undefined): number {
  const tag = region && tagOf[region];
  const said = tag && loads?.[tag];
  return said ? ranks[said] : 0;
}
