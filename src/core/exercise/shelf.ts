import { Type, type Static } from "@sinclair/typebox";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import { kitByCode } from "./kit";

/** Loads of one piece of kit, kilograms. */
const loadsKg = Type.Array(Type.Number({ exclusiveMinimum: 0, maximum: 500 }), { minItems: 1, maxItems: 80 });

/** The loads that stand somewhere, kilograms, by kit: a clinic's or a home's. Kit that is left out has its usual loads. */
export const Shelf = Type.Record(Type.String({ minLength: 1, maxLength: 40 }), loadsKg, {
  maxProperties: 20,
});
export type Shelf = Static<typeof Shelf>;

/**
 * What is wrong with the loads of a shelf beyond their schema: kit that has none, or loads that do not rise.
 *
 * @example shelfProblems({ dumbbells: [4, 2] }, "/shelfKg") // [{ path: "/shelfKg/dumbbells/1", problem: "must be more than the one before it" }]
 * @example shelfProblems({ wall: [4] }, "/shelfKg") // [{ path: "/shelfKg/wall", problem: "has no loads" }]
 */
export function shelfProblems(shelf: Shelf, path: string): FieldProblem[] {
  return Object.entries(shelf).flatMap(([code, loads]) => [
    ...problemIf(!kitByCode(code)?.shelfKg, `${path}/${code}`, "has no loads"),
    ...loads.flatMap((load, n) =>
      problemIf(
        n > 0 && load <= (loads[n - 1] ?? 0),
        `${path}/${code}/${n}`,
        "must be more than the one before it",
      ),
    ),
  ]);
}
