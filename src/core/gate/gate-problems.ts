import type { FieldProblem } from "~/core/schema/field-problem";
import type { Measure } from "~/core/measure/measure";
import type { Gate } from "./gate";
import { measuresIn } from "./measures-in";

/**
 * What is wrong with a gate beyond its schema: measures that are not given, and measures of both legs together where a
 * single leg is asked about: a fine two-leg value hides a bad single-leg one.
 */
export function gateProblems({ criteria }: Gate, measures: readonly Measure[], path: string): FieldProblem[] {
  return criteria.flatMap((criterion, n) => {
    const at = `${path}/criteria/${n}`;
    const fields = new Set(measuresIn(criterion));
    const named = Object.entries(criterion).filter(
      (entry): entry is [string, string] => typeof entry[1] === "string" && fields.has(entry[1]),
    );
    return named.flatMap(([key, code]): FieldProblem[] => {
      const measure = measures.find((m) => m.code === code);
      if (!measure) return [{ path: `${at}/${key}`, problem: "names a measure that is not given" }];
      const needsSides = ["symmetry", "ratio", "difference"].includes(criterion.kind);
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
