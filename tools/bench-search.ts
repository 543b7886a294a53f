import { startingExercises } from "~/catalogue/exercises/all";
import { stageNeeds } from "~/catalogue/stage-needs/all";
import type { Exercise } from "~/core/exercise/exercise";
import { exerciseIndex, exerciseSearch, type ExerciseQuery } from "~/core/progression/exercise-search";
import { bareHome } from "~/core/exercise/kit";
import { compare, type Row } from "./bench-compare";

const queries: readonly ExerciseQuery[] = [
  { lane: "knee-extensors", kit: [...bareHome], contraction: "isometric" },
  { lane: "landing", lowKneeBend: true },
  { region: "groin", positions: ["supine", "side-lying"] },
  { muscle: "gluteus-medius", kit: [...bareHome], positions: ["standing"] },
];
const repeats = 100;

/** Copies of the catalogue under other names, until there are so many variants. */
function grown(variants: number): Exercise[] {
  const grownTo: Exercise[] = [...startingExercises];
  for (let n = 0; grownTo.reduce((sum, e) => sum + e.variants.length, 0) < variants; n += 1) {
    grownTo.push(
      ...startingExercises.map((e) => ({
        ...e,
        id: `${e.id}-${n}`,
        variants: e.variants.map((v) => ({ ...v, id: `${v.id}-${n}` })),
      })),
    );
  }
  return grownTo;
}

/** The plain filter that somebody would write over the array, condition by condition. */
function plainFilter(exercises: readonly Exercise[], query: ExerciseQuery) {
  return exercises.flatMap((exercise) =>
    exercise.variants
      .filter(
        (variant) =>
          (!query.lane || exercise.lane === query.lane) &&
          (!query.region || exercise.regions?.includes(query.region)) &&
          (!query.muscle || exercise.muscles?.includes(query.muscle)) &&
          (!query.contraction || variant.settings["contraction"] === query.contraction) &&
          (!query.positions || query.positions.includes(variant.position)) &&
          (!query.kit || variant.kit.every((piece) => query.kit?.includes(piece))) &&
          (!query.lowKneeBend ||
            Number(variant.settings["knee-angle"] ?? variant.arcs?.knee[1] ?? Infinity) <= 60),
      )
      .map((variant) => ({ exercise, variant })),
  );
}

async function row(what: string, exercises: readonly Exercise[]): Promise<Row> {
  const index = exerciseIndex(exercises, stageNeeds);
  for (const query of queries) {
    const [ours, plain] = [exerciseSearch(index, query), plainFilter(exercises, query)];
    if (ours.length !== plain.length) throw new Error(`the searches differ: ${JSON.stringify(query)}`);
  }
  const all = (search: (query: ExerciseQuery) => unknown) => () => {
    for (let n = 0; n < repeats; n += 1) for (const query of queries) search(query);
  };
  const result = await compare(
    all((query) => exerciseSearch(index, query)),
    all((query) => plainFilter(exercises, query)),
  );
  return { what, baseline: "a plain array filter", target: "≤ 1 ×", ...result };
}

/** Words over 5 000 variants, against testing every name for the letters. */
async function wordsRow(exercises: readonly Exercise[]): Promise<Row> {
  const index = exerciseIndex(exercises, stageNeeds);
  const words = ["heel raise", "single leg", "bridge", "wall"];
  const result = await compare(
    () => words.forEach((text) => exerciseSearch(index, { text })),
    () =>
      words.forEach((text) => {
        const letters = new RegExp(text.split(" ").join(".*"), "i");
        return exercises.flatMap((e) =>
          e.variants.filter((v) => letters.test(`${e.name} ${v.name} ${e.family}`)),
        );
      }),
  );
  return {
    what: "exercise-search by words, 5 000 variants",
    baseline: "a regular expression over every name",
    target: "stated",
    ...result,
  };
}

/** Searching the catalogue, and one that a clinic has grown to 5 000 variants. */
export async function searchRows(): Promise<Row[]> {
  const large = grown(5000);
  return [
    await row(`exercise-search × ${repeats * queries.length}, the catalogue`, startingExercises),
    await row(`exercise-search × ${repeats * queries.length}, 5 000 variants`, large),
    await wordsRow(large),
  ];
}
