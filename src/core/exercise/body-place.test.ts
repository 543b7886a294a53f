import { expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { bodyPlace } from "./body-place";

it("every variant of the catalogue is on the floor, on a seat or on the feet; kneeling counts as the floor", () => {
  const places = startingExercises.flatMap((exercise) =>
    exercise.variants.map(({ id: variantId, position }) => [position, bodyPlace(exercise, { variantId })]),
  );
  const table = Object.fromEntries(places) as Record<string, string>;
  expect(table).toMatchObject({
    supine: "floor",
    "side-lying": "floor",
    kneeling: "floor",
    "hands-and-knees": "floor",
    sitting: "seat",
    standing: "feet",
  });
});
