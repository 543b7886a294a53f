import type { Measure, MeasureResult } from "~/core/measure/measure";
import { latestValue, type InvolvedSide } from "~/core/measure/side-value";

/** What was measured says that free work comes too early: helped, supported and smaller first. */
export interface LowAbility {
  readonly measure: string;
  readonly name: string;
  readonly value: number;
  /** UCUM code. */
  readonly unit: string;
  readonly threshold: number;
}

const leastStance = { measure: "stance-open", seconds: 5 } as const;
const leastStands = { measure: "chair-stand-30s", stands: 5 } as const;

/**
 * What of a baseline asks for helped and supported work first: standing on the involved leg for less than 5 s, or fewer than 5
 * stands from a chair in 30 s.
 *
 * @returns the first of them with its value, or null
 * Source: Vellas 1997 (5 s of single-leg stance and injurious falls), recalled; fewer than 5 stands: common practice.
 */
export function lowAbility(
  measures: readonly Measure[],
  results: readonly MeasureResult[],
  involved: InvolvedSide,
): LowAbility | null {
  const least = (code: string, sides: readonly ("left" | "right" | "none")[], threshold: number) => {
    const measure = measures.find((candidate) => candidate.code === code);
    if (!measure) return [];
    const found = sides.flatMap((side) => latestValue(measure, side, results)?.value ?? []);
    const value = Math.min(...found);
    return found.length > 0 && value < threshold
      ? [{ measure: code, name: measure.name, value, unit: measure.unit, threshold }]
      : [];
  };
  const legs = involved === "both" ? (["left", "right"] as const) : ([involved] as const);
  const [first = null] = [
    ...least(leastStance.measure, legs, leastStance.seconds),
    ...least(leastStands.measure, ["none"], leastStands.stands),
  ];
  return first;
}
