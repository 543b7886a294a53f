import { Type, type Static } from "@sinclair/typebox";
import { Muscle } from "~/core/exercise/body";
import type { Exercise } from "~/core/exercise/exercise";
import { Source } from "~/core/schema/source";

/** Taken as enough activity to strengthen, percent of maximal voluntary contraction (common practice). */
export const enoughPercent = 40;

export const ActivationRankingInput = Type.Object(
  {
    muscle: Muscle,
    thresholdPercent: Type.Number({
      minimum: 0,
      maximum: 300,
      description: "Taken as enough to strengthen; 40 is usual (common practice)",
    }),
  },
  { additionalProperties: false },
);

export const ActivationRankingOutput = Type.Object({
  rows: Type.Array(
    Type.Object({
      exerciseId: Type.String(),
      variantId: Type.Union([Type.String(), Type.Null()]),
      name: Type.String(),
      meanPercent: Type.Number(),
      sdPercent: Type.Number(),
      aboveThreshold: Type.Boolean(),
      source: Source,
      leftOut: Type.String(),
    }),
  ),
});

/**
 * Exercises by how strongly one muscle was active in surface electromyography, highest mean first. One argument of
 * several: studies compare few exercises, bodies vary, and activity is not force; every row says what its study left
 * out. Rows of different studies are not comparable as numbers.
 *
 * @param exercises the catalogue
 * @returns one row for each published figure
 */
export function activationRanking(
  exercises: readonly Exercise[],
  { muscle, thresholdPercent }: Static<typeof ActivationRankingInput>,
): Static<typeof ActivationRankingOutput> {
  const rows = exercises.flatMap((exercise) =>
    (exercise.activation ?? [])
      .filter((entry) => entry.muscle === muscle)
      .map(({ variantId, meanPercent, sdPercent, source, leftOut }) => {
        const variant = exercise.variants.find((v) => v.id === variantId);
        return {
          exerciseId: exercise.id,
          variantId: variantId ?? null,
          name: variant ? `${exercise.name}: ${variant.name}` : exercise.name,
          meanPercent,
          sdPercent,
          aboveThreshold: meanPercent > thresholdPercent,
          source,
          leftOut,
        };
      }),
  );
  return { rows: rows.sort((a, b) => b.meanPercent - a.meanPercent) };
}
