import { Type, type Static } from "@sinclair/typebox";
import { bandForceProblems, BandForceInput } from "~/core/mechanics/band-force";
import { oneOf } from "~/core/schema/one-of";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";

/**
 * A band as a clinic measured it: what it pulls with at each stretch, and how long it was at rest. A strip is held at any length and
 * pulls alike at the same share of stretch; a loop goes round both limbs and is measured lying flat.
 */
export const Band = Type.Object(
  {
    id: Type.String({ format: "uuid" }),
    name: Type.String({ minLength: 1, maxLength: 40, pattern: "\\S" }),
    form: oneOf(["strip", "loop"]),
    /** It stays at the clinic, or pieces of it are given home. */
    where: oneOf(["clinic", "home"]),
    restCm: Type.Number({ minimum: 5, maximum: 500 }),
    points: BandForceInput.properties.calibration,
  },
  { additionalProperties: false },
);
export type Band = Static<typeof Band>;

/**
 * What is wrong with a band beyond its schema: points that do not rise, or that fall; a name twice in a list.
 *
 * @example bandProblems([{ id: "b", name: "Red", form: "strip", where: "clinic", restCm: 100, points: [{ stretchCm: 0, forceN: 0 }, { stretchCm: 0, forceN: 9 }, { stretchCm: 20, forceN: 20 }] }], "/bands")
 *   // [{ path: "/bands/0/points/1/stretchCm", problem: "must be more than the one before it" }]
 */
export function bandProblems(bands: readonly Band[], path: string): FieldProblem[] {
  const said = (name: string) => name.trim().toLowerCase();
  return bands.flatMap(({ id, name, points }, n) => [
    ...bandForceProblems({ calibration: points, stretchCm: points[0]?.stretchCm ?? 0 }).map(
      ({ path: at, problem }) => ({ path: `${path}/${n}${at.replace("/calibration", "/points")}`, problem }),
    ),
    ...problemIf(
      bands.slice(0, n).some((other) => said(other.name) === said(name)),
      `${path}/${n}/name`,
      "stands in the list already",
    ),
    ...problemIf(
      bands.slice(0, n).some((other) => other.id === id),
      `${path}/${n}/id`,
      "stands in the list already",
    ),
  ]);
}
