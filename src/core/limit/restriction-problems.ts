import { problemIf, within, type FieldProblem } from "~/core/schema/field-problem";
import { findKnob } from "~/core/exercise/knob";
import { kitByCode } from "~/core/exercise/kit";
import type { Restriction } from "./restriction";

/**
 * What is wrong with limits beyond their schema: a setting that does not exist or cannot stand there, an end before the
 * beginning, angles in the wrong order, kit nobody knows. A limit that cannot be judged is never taken in.
 *
 * @param path where the list stands in what was sent
 * @example restrictionProblems([{ kind: "knob-limit", knob: "load", hardest: "abc", origin: "surgeon", says: "light" }], "/limits")
 *   // [{ path: "/limits/0/hardest", problem: "cannot be a value of load" }]
 */
export function restrictionProblems(limits: readonly Restriction[], path: string): FieldProblem[] {
  return limits.flatMap((limit, i) =>
    within(`${path}/${i}`, [...datesInOrder(limit), ...kindProblems(limit)]),
  );
}

function datesInOrder({ from, until }: Restriction): FieldProblem[] {
  return problemIf(
    from !== undefined && until !== undefined && until < from,
    "/until",
    "ends before it starts",
  );
}

function kindProblems(limit: Restriction): FieldProblem[] {
  switch (limit.kind) {
    case "knob-limit": {
      const knob = findKnob(limit.knob);
      if (!knob) return [{ path: "/knob", problem: `${limit.knob} is not a setting of any exercise` }];
      return problemIf(!knob.accepts(limit.hardest), "/hardest", `cannot be a value of ${limit.knob}`);
    }
    case "range":
    case "range-limit": {
      const { leastDeg, mostDeg } = limit;
      return [
        ...problemIf(leastDeg === undefined && mostDeg === undefined, "/mostDeg", "is missing"),
        ...problemIf((leastDeg ?? -Infinity) > (mostDeg ?? Infinity), "/mostDeg", "is less than leastDeg"),
      ];
    }
    case "weight":
      return problemIf(limit.mostShare > 1, "/mostShare", "is more than the body weighs");
    case "kit":
      return limit.available.flatMap((piece, n) =>
        problemIf(!kitByCode(piece), `/available/${n}`, `${piece} is not a piece of kit`),
      );
    default:
      return [];
  }
}
