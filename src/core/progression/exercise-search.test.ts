import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { stageNeeds } from "~/catalogue/stage-needs/all";
import type { Exercise } from "~/core/exercise/exercise";
import {
  exerciseIndex,
  exerciseSearch,
  nearestTo,
  type ExerciseQuery,
  type Synonym,
} from "./exercise-search";

const named = (id: string): Exercise => {
  const found = startingExercises.find((exercise) => exercise.id === id);
  if (!found) throw new Error(`${id} is in the catalogue`);
  return found;
};
const [squat, singleLegSquat] = [named("two-leg-squat"), named("single-leg-squat")];
const [ballSqueeze, glutealSet] = [named("ball-squeeze"), named("gluteal-set")];
const catalogue = [squat, singleLegSquat, ballSqueeze, glutealSet];
const synonyms: Synonym[] = [
  { words: "pistol", exercises: ["single-leg-squat"] },
  { words: "crate work", variants: ["squat-bar"] },
  { words: "groin muscle", muscles: ["adductors"] },
  { words: "chest carry", settings: { "load-place": "goblet" } },
];
const index = exerciseIndex(catalogue, stageNeeds, synonyms);
const ids = (query: ExerciseQuery, of = index) => exerciseSearch(of, query).map(({ variant }) => variant.id);
const all = catalogue.flatMap(({ variants }) => variants.map(({ id }) => id));
const of = (exercise: Exercise) => exercise.variants.map(({ id }) => id);
const exercisesOf = (query: ExerciseQuery) => [
  ...new Set(exerciseSearch(index, query).map(({ exercise }) => exercise.id)),
];

describe("what is asked must hold, in the order of the catalogue", () => {
  it("nothing asked finds everything; a limit takes the first", () => {
    expect(ids({})).toEqual(all);
    expect(ids({ limit: 3 })).toEqual(all.slice(0, 3));
    expect(ids({ limit: 1000 })).toEqual(all);
    expect(ids({ text: "  " })).toEqual(all);
  });
  it("lane", () => {
    expect(ids({ lane: "adductors" })).toEqual(of(ballSqueeze));
    expect(ids({ lane: "knee-extensors" })).toEqual([...of(squat), ...of(singleLegSquat)]);
    expect(ids({ lane: "running" })).toEqual([]);
  });
  it("region and muscle; an exercise that says none has none", () => {
    expect(exercisesOf({ region: "groin" })).toEqual(["ball-squeeze"]);
    expect(exercisesOf({ region: "back" })).toEqual(["gluteal-set"]);
    expect(exercisesOf({ muscle: "gluteus-medius" })).toEqual(["single-leg-squat"]);
    const { regions: _regions, muscles: _muscles, ...bare } = squat;
    const plain = exerciseIndex([bare], stageNeeds);
    expect([ids({ region: "knee" }, plain), ids({ muscle: "quadriceps" }, plain)]).toEqual([[], []]);
  });
  it("contraction and position", () => {
    expect(exercisesOf({ contraction: "isometric" })).toEqual(["ball-squeeze", "gluteal-set"]);
    expect(ids({ contraction: "plyometric" })).toEqual([]);
    expect(exercisesOf({ positions: ["supine"] })).toEqual(["ball-squeeze", "gluteal-set"]);
    expect(exercisesOf({ positions: ["sitting", "standing"] })).toEqual([
      "two-leg-squat",
      "single-leg-squat",
    ]);
  });
  it("kit: a variant asks for nothing that is not at hand", () => {
    expect(ids({ kit: [] })).toEqual(of(squat).slice(0, 3));
    expect(ids({ kit: ["band"] })).toEqual(of(squat).slice(0, 4));
    expect(ids({ kit: ["dumbbells"] })).not.toContain("squat-goblet");
    expect(ids({ kit: ["band", "dumbbells"] })).toContain("squat-goblet");
  });
  it("little knee bend: the angle that is set, else the arc that is written, 60° at most", () => {
    const low = ids({ lowKneeBend: true });
    expect(low).toContain("squat-held");
    expect(low).not.toContain("single-leg-squat-free");
    const bent = (knee: number) => ({
      ...squat,
      variants: squat.variants.map((v) => ({ ...v, settings: { ...v.settings, "knee-angle": knee } })),
    });
    expect(ids({ lowKneeBend: true }, exerciseIndex([bent(60)], []))).toEqual(of(squat));
    expect(ids({ lowKneeBend: true }, exerciseIndex([bent(61)], []))).toEqual([]);
    const nobodyKnows = {
      ...glutealSet,
      variants: glutealSet.variants.map(({ arcs: _arcs, ...rest }) => rest),
    };
    expect(ids({ lowKneeBend: true }, exerciseIndex([nobodyKnows], []))).toEqual([]);
    expect(ids({}, exerciseIndex([nobodyKnows], []))).toEqual(of(glutealSet));
  });
  it("stage: what it names; one that nobody knows names nothing", () => {
    expect(exercisesOf({ stage: { pathway: "groin-strain", stage: "protect" } })).toEqual(["ball-squeeze"]);
    expect(exercisesOf({ stage: { pathway: "groin-strain", stage: "build" } })).toContain("two-leg-squat");
    expect(ids({ stage: { pathway: "groin-strain", stage: "no such stage" } })).toEqual([]);
    expect(ids({ stage: { pathway: "no such pathway", stage: "protect" } })).toEqual([]);
  });
  it("everything that is asked at once", () => {
    expect(ids({ lane: "knee-extensors", kit: ["band"], positions: ["standing"], limit: 2 })).toEqual(
      of(squat).slice(0, 2),
    );
    expect(ids({ lane: "knee-extensors", positions: ["supine"] })).toEqual([]);
  });
});

describe("words", () => {
  it("match by their beginnings, every one of them, in whatever order", () => {
    expect(ids({ text: "barb" })).toEqual(["squat-bar"]);
    expect(ids({ text: "chest squat" })[0]).toBe("squat-goblet");
    expect(ids({ text: "barbell supine" })).toEqual([]);
  });
  it("forgive a slip in longer words, and none in short ones", () => {
    expect(ids({ text: "barbel" })).toContain("squat-bar");
    expect(ids({ text: "barbekl" })).toContain("squat-bar");
    expect(ids({ text: "baxx" })).toEqual([]);
  });
  it("count with the filters, and a lane too", () => {
    expect(ids({ text: "squat", lane: "adductors" })).toEqual([]);
    expect(exercisesOf({ text: "squat", lane: "knee-extensors" }).sort()).toEqual([
      "single-leg-squat",
      "two-leg-squat",
    ]);
    expect(ids({ text: "squat", kit: [], limit: 1 })).toHaveLength(1);
  });
  it("name before anything that is only said about it", () => {
    const [first] = exerciseSearch(index, { text: "squeeze" });
    expect(first?.exercise.id).toBe("ball-squeeze");
  });
  it("also called: an exercise, a variant, whatever works a muscle or stands at a setting", () => {
    expect(exercisesOf({ text: "pistol" })).toEqual(["single-leg-squat"]);
    expect(ids({ text: "crate work" })).toEqual(["squat-bar"]);
    expect(exercisesOf({ text: "groin muscle" }).sort()).toEqual(["ball-squeeze", "two-leg-squat"]);
    expect(ids({ text: "chest carry" }).sort()).toEqual(["single-leg-squat-loaded", "squat-goblet"]);
    expect(ids({ text: "pistol" }, exerciseIndex(catalogue, stageNeeds))).toEqual([]);
  });
});

describe("the nearest to words that nothing fits", () => {
  const near = (text: string, limit = 10) => nearestTo(index, text, limit).map(({ exercise }) => exercise.id);
  it("has any of the words, each exercise once, the best first", () => {
    expect(ids({ text: "barbell pistol" })).toEqual([]);
    const found = near("barbell pistol");
    expect(new Set(found).size).toBe(found.length);
    expect([...found].sort()).toEqual(expect.arrayContaining(["single-leg-squat", "two-leg-squat"]));
  });
  it("no more than are wanted, and nothing for nothing", () => {
    expect(near("squat squeeze buttock", 2)).toHaveLength(2);
    expect(near("squat squeeze buttock", 0)).toEqual([]);
    expect(near("zzzzzzzz")).toEqual([]);
  });
});
