import type { FieldProblem } from "~/core/schema/field-problem";
import type { Measure } from "~/core/measure/measure";
import type { Gate } from "./gate";

/**
 * What is wrong with a gate beyond its schema: measures that are not given, and measures of both legs together where a
 * single leg is asked about: a fine two-leg value hides a bad single-leg one.
 */
export function gateProblems({ criteria }: Gate, measures: readonly Measure[], path: string): FieldProblem[] {
  return criteria.flatMap((criterion, n) => {
    const at = `${path}/criteria/${n}`;
    const named = [
      ...("measure" in criterion ? [["measure", criterion.measure] as const] : []),
      ...("over" in criterion ? [["over", criterion.over] as const] : []),
    ];
    return named.flatMap(([key, code]): FieldProblem[] => {
      const measure = measures.find((m) => m.code === code);
      if (!measure) return [{ path: `${at}/${key}`, problem: "names a measure that is not given" }];
      const needsSides = criterion.kind === "symmetry" || criterion.kind === "ratio";
      return needsSides && measure.sides === "none"
        ? [
            {
              path: `${at}/${key}`,
              problem: "is a measure of both legs together; this criterion asks about one leg",
            },
          ]
        : [];
    });
  });
}
