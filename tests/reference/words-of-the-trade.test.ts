import { expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { synonyms } from "~/catalogue/exercises/synonyms";
import { stageNeeds } from "~/catalogue/stage-needs/all";
import { exerciseIndex, exerciseSearch, nearestTo } from "~/core/progression/exercise-search";

const index = exerciseIndex(startingExercises, stageNeeds, synonyms);
const found = (text: string) => [
  ...new Set(exerciseSearch(index, { text }).map(({ exercise }) => exercise.id)),
];

// Written down before the search was asked: what clinicians type, and what they mean (common practice).
it.each([
  ["terminal", "terminal-extension"],
  ["TKE", "terminal-extension"],
  ["quad set", "quad-set"],
  ["SLR", "straight-leg-raise"],
  ["clamshell", "clam"],
  ["nordic", "kneeling-lowering"],
  ["sit to stand", "chair-stand"],
  ["deep squat", "two-leg-squat"],
  ["pistol", "single-leg-squat"],
  ["bulgarian", "split-squat"],
  ["diagonal", "three-way-reach"],
  ["star excursion", "three-way-reach"],
  ["kettlebell", "swing"],
  ["deadlift", "deadlift"],
  ["RDL", "hinge"],
  ["rack pull", "deadlift"],
  ["plyometric", "rebounds"],
  ["pogo", "rebounds"],
  ["depth jump", "drop-jump"],
  ["VMO", "quad-set"],
  ["ITB", "side-lying-lift"],
  ["glute bridge", "bridge"],
  ["monster walk", "band-side-steps"],
  ["fire hydrant", "hands-and-knees-hip"],
  ["copenhagen", "side-lying-adduction"],
  ["bird dog", "opposite-reach"],
  ["roman chair", "back-extension"],
  ["farmer's walk", "carry"],
  ["step-down", "touch-down"],
  ["wall sit", "wall-squat"],
  ["pause", "two-leg-squat"],
  ["psoas", "march"],
  ["internal rotation", "shoulder-inward-rotation"],
  ["tandem", "line-walk"],
])("'%s' finds %s among the first ten", (text, id) => {
  expect(found(text).slice(0, 10)).toContain(id);
});

it("every synonym means something that the catalogue has", () => {
  const ids = new Set(startingExercises.map(({ id }) => id));
  const variants = startingExercises.flatMap((exercise) => exercise.variants);
  for (const { words, exercises = [], variants: named = [], muscles = [], settings = {} } of synonyms) {
    expect([words, ...exercises.filter((id) => !ids.has(id))]).toEqual([words]);
    for (const id of named) expect(variants.map((variant) => variant.id)).toContain(id);
    for (const muscle of muscles)
      expect(startingExercises.some((exercise) => exercise.muscles?.includes(muscle))).toBe(true);
    for (const [name, value] of Object.entries(settings))
      expect(variants.some((variant) => variant.settings[name] === value)).toBe(true);
    expect(exercises.length + named.length + muscles.length + Object.keys(settings).length).toBeGreaterThan(
      0,
    );
  }
});

it("words that nothing has altogether are answered by what comes nearest, each exercise once", () => {
  expect(found("squat on the moon")).toEqual([]);
  const near = nearestTo(index, "squat on the moon", 5).map(({ exercise }) => exercise.id);
  expect(near).toHaveLength(5);
  expect(new Set(near).size).toBe(5);
  expect(near.some((id) => id.includes("squat"))).toBe(true);
  expect(nearestTo(index, "xqzzt", 5)).toEqual([]);
});
