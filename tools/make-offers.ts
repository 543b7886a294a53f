// Writes which words each movement draws: `npx tsx tools/make-offers.ts`, after a figure or a knob has changed.
import { writeFileSync } from "node:fs";
import { startingExercises } from "~/catalogue/exercises/all";
import { offersOf } from "~/catalogue/figures/offers";

const offers = Object.fromEntries(startingExercises.map((exercise) => [exercise.id, offersOf(exercise)]));
writeFileSync(
  new URL("../src/catalogue/figures/offers.json", import.meta.url),
  `${JSON.stringify(offers)}\n`,
);
