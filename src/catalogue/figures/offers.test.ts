import { expect, it } from "vitest";
import { startingExercises } from "../exercises/all";
import { offeredWords } from "./offered";
import { offersOf } from "./offers";
import kept from "./offers.json";

it("what is kept is what the figures show; after a figure has changed: npx tsx tools/make-offers.ts", () => {
  const now = Object.fromEntries(startingExercises.map((exercise) => [exercise.id, offersOf(exercise)]));
  expect(kept).toEqual(now);
});

it("a squat offers how the feet stand, a bridge does not; what is borrowed offers what its figure shows", () => {
  expect(offeredWords({ id: "two-leg-squat" }, "foot-turn")).toEqual(["straight", "turned-out"]);
  expect(offeredWords({ id: "two-leg-squat" }, "raised")).toEqual(["heels", "flat"]);
  expect(offeredWords({ id: "split-squat" }, "raised")).toEqual(["front-foot", "flat", "rear-foot"]);
  expect(offeredWords({ id: "bridge" }, "laterality")).toEqual(["both", "single"]);
  expect(offeredWords({ id: "own", drawnLike: "bridge" }, "laterality")).toEqual(["both", "single"]);
  expect(offeredWords({ id: "own" }, "lever")).toEqual(["short", "long"]);
});
