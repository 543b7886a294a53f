import type { Criterion, Gate } from "./gate";

/**
 * The measures that a criterion reads, by code.
 *
 * @example measuresIn({ kind: "within-rule", id: "a", name: "A", required: true, source: { kind: "common-practice" }, exercise: "x", effortPercent: 70, closedDays: 2 }) // []
 */
export function measuresIn(criterion: Criterion): string[] {
  switch (criterion.kind) {
    case "within-rule":
      return [];
    case "ratio":
      return [criterion.measure, criterion.over];
    case "reach-composite":
      return [criterion.front, criterion.backInside, criterion.backOutside, criterion.legLength];
    default:
      return [criterion.measure];
  }
}

/** Everything that a gate reads, each measure once. */
export const measuresOfGate = (gate: Gate | undefined): string[] => [
  ...new Set((gate?.criteria ?? []).flatMap(measuresIn)),
];
