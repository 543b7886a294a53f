import type { Measure, MeasureResult } from "~/core/measure/measure";
import { latestValue, type DayValue } from "~/core/measure/side-value";
import { daysBetween } from "~/core/schedule/local-day";
import { areTogether, earlier, type Finding } from "./criterion-finding";

type Side = "left" | "right";

/** Values of two sides that may be held against each other, or what is wrong with those there are. */
export type Pair =
  | { readonly found: "pair"; readonly one: DayValue; readonly other: DayValue }
  | { readonly found: "nothing" }
  | { readonly found: "one-side" }
  | { readonly found: "not-comparable"; readonly olderOn: string };

/**
 * The latest value of one side with the latest of the other that was taken in the same way of testing, at most 14 days apart.
 * A belt against a hand-held device is no index.
 */
export function comparablePair(
  measure: Measure,
  side: Side,
  otherSide: Side,
  results: readonly MeasureResult[],
): Pair {
  const one = latestValue(measure, side, results);
  const any = latestValue(measure, otherSide, results);
  if (!one && !any) return { found: "nothing" };
  if (!one || !any) return { found: "one-side" };
  const ways = [...new Set(one.results.map(({ position }) => position))];
  const pairs = ways.flatMap((way) => {
    const inWay = (r: MeasureResult) => r.position === way;
    const mine = latestValue(measure, side, one.results.filter(inWay));
    const near = results.filter((r) => inWay(r) && areTogether(r.takenOn, one.takenOn));
    const other = latestValue(measure, otherSide, near);
    return mine && other ? [{ found: "pair" as const, one: mine, other }] : [];
  });
  const latestFirst = pairs.sort((a, b) => b.other.takenOn.localeCompare(a.other.takenOn));
  return latestFirst[0] ?? { found: "not-comparable", olderOn: earlier(one, any) };
}

/** What two values that are not comparable come to: too old where the older one is, else neither met nor missed. */
export function ofUncomparable(
  { olderOn }: { readonly olderOn: string },
  { maxAgeDays }: { readonly maxAgeDays: number },
  today: string,
): Pick<Finding, "verdict" | "note" | "takenOn"> {
  const isOld = daysBetween(olderOn, today) > maxAgeDays;
  return { verdict: isOld ? "stale" : "undefined", note: "not-comparable", takenOn: isOld ? olderOn : null };
}
