import { expect, it } from "vitest";
import type { Lane } from "~/core/exercise/body";
import { startingExercises } from "../exercises/all";
import { suits } from "~/core/progression/stage-need";
import { stageNeeds } from "./all";
import { firsts } from "./first";

it.each(Object.entries(firsts))(
  "%s: every first choice belongs to its lane and suits the stage",
  (key, lanes) => {
    const [pathway, stage] = key.split(" ");
    const need = stageNeeds.find((entry) => entry.pathway === pathway && entry.stage === stage);
    expect(need).toBeDefined();
    const misplaced = Object.entries(lanes).flatMap(([lane, ids]) =>
      ids.filter((id) => {
        const exercise = startingExercises.find((entry) => entry.id === id);
        return !need || !exercise?.variants.some((variant) => suits(exercise, variant, need, lane as Lane));
      }),
    );
    expect(misplaced).toEqual([]);
  },
);
