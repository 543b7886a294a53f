import { kitByCode } from "~/core/exercise/kit";
import { problemIf, within, type FieldProblem } from "~/core/schema/field-problem";
import type { Limit } from "./limit";

/**
 * What is wrong with limits beyond their schema: an end before the beginning, a least above the most, a range without either,
 * kit nobody knows.
 *
 * @param path where the list stands in what was sent
 * @example limitProblems([{ kind: "range", joint: "knee", leastDeg: 90, mostDeg: 60, when: "any", leg: "involved" }], "/limits")
 *   // [{ path: "/limits/0/mostDeg", problem: "is less than leastDeg" }]
 */
export function limitProblems(limits: readonly Limit[], path: string): FieldProblem[] {
  return limits.flatMap((limit, n) =>
    within(`${path}/${n}`, [...dateProblems(limit), ...ownProblems(limit)]),
  );
}

function dateProblems({ from, until }: Limit): FieldProblem[] {
  return problemIf(
    from !== undefined && until !== undefined && until < from,
    "/until",
    "ends before it starts",
  );
}

function ownProblems(limit: Limit): FieldProblem[] {
  if (limit.kind === "range") {
    const { leastDeg, mostDeg } = limit;
    return [
      ...problemIf(leastDeg === undefined && mostDeg === undefined, "/mostDeg", "is missing"),
      ...problemIf((leastDeg ?? -Infinity) > (mostDeg ?? Infinity), "/mostDeg", "is less than leastDeg"),
    ];
  }
  if (limit.kind !== "kit") return [];
  return limit.available.flatMap((piece, n) =>
    problemIf(!kitByCode(piece), `/available/${n}`, `${piece} is not a piece of kit`),
  );
}
