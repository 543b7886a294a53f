import { Type, type Static } from "@sinclair/typebox";
import MiniSearch from "minisearch";
import { oneOf } from "~/core/schema/one-of";
import { suits, type StageNeed } from "./stage-need";
import {
  BodyPosition,
  Lane,
  Muscle,
  Region,
  type Lane as LaneCode,
  type Muscle as MuscleCode,
} from "~/core/exercise/body";
import type { Exercise, Variant } from "~/core/exercise/exercise";

/** What is looked for; everything given must hold. */
export const ExerciseQuery = Type.Object(
  {
    lane: Type.Optional(Lane),
    region: Type.Optional(Region),
    muscle: Type.Optional(Muscle),
    kit: Type.Optional(
      Type.Array(Type.String({ maxLength: 40 }), {
        maxItems: 60,
        description: "What is at hand; a variant may ask for nothing else",
      }),
    ),
    positions: Type.Optional(
      Type.Array(BodyPosition, { minItems: 1, description: "Positions the person can take" }),
    ),
    stage: Type.Optional(
      Type.Object({ pathway: Type.String(), stage: Type.String() }, { additionalProperties: false }),
    ),
    contraction: Type.Optional(oneOf(["isometric", "eccentric-only", "concentric-eccentric", "plyometric"])),
    lowKneeBend: Type.Optional(
      Type.Boolean({ description: "Knee bent no more than 60° under the movement (common practice)" }),
    ),
    text: Type.Optional(Type.String({ maxLength: 80 })),
    limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 1000 })),
  },
  { additionalProperties: false },
);
export type ExerciseQuery = Static<typeof ExerciseQuery>;

export interface ExerciseHit {
  readonly exercise: Exercise;
  readonly variant: Variant;
}

interface Entry extends ExerciseHit {
  readonly id: number;
  readonly kneeBendDeg: number;
}

/** Other words for exercises: everything that is named has them. */
export interface Synonym {
  readonly words: string;
  readonly exercises?: readonly string[];
  readonly variants?: readonly string[];
  readonly muscles?: readonly MuscleCode[];
  /** Settings that a variant stands at. */
  readonly settings?: Readonly<Record<string, string>>;
}

/** Everything that can be searched, made once for a catalogue. */
export interface ExerciseIndex {
  readonly entries: readonly Entry[];
  readonly byLane: ReadonlyMap<LaneCode, readonly Entry[]>;
  readonly text: () => MiniSearch;
  readonly stageNeeds: readonly StageNeed[];
}

const lowKneeBendDeg = 60;
const unknownBend = Infinity;

/** Prepares a catalogue for searching. Words are indexed when they are first asked for. */
export function exerciseIndex(
  exercises: readonly Exercise[],
  stageNeeds: readonly StageNeed[],
  synonyms: readonly Synonym[] = [],
): ExerciseIndex {
  const hits = exercises.flatMap((exercise) => exercise.variants.map((variant) => ({ exercise, variant })));
  const entries = hits.map(({ exercise, variant }, id): Entry => {
    const angle = variant.settings["knee-angle"];
    const kneeBendDeg = typeof angle === "number" ? angle : (variant.arcs?.knee[1] ?? unknownBend);
    return { id, exercise, variant, kneeBendDeg };
  });
  const byLane = new Map<LaneCode, Entry[]>();
  for (const entry of entries) {
    const list = byLane.get(entry.exercise.lane);
    if (list) list.push(entry);
    else byLane.set(entry.exercise.lane, [entry]);
  }
  let text: MiniSearch | undefined;
  return { entries, byLane, stageNeeds, text: () => (text ??= wordIndex(entries, synonyms)) };
}

/** One thing a query can ask; null where it does not ask it. */
type Filter = (query: ExerciseQuery, index: ExerciseIndex) => ((entry: Entry) => boolean) | null;

const filters: readonly Filter[] = [
  ({ region }) => (region ? ({ exercise }) => exercise.regions?.includes(region) ?? false : null),
  ({ muscle }) => (muscle ? ({ exercise }) => exercise.muscles?.includes(muscle) ?? false : null),
  ({ contraction }) =>
    contraction ? ({ variant }) => variant.settings["contraction"] === contraction : null,
  ({ positions }) => (positions ? ({ variant }) => positions.includes(variant.position) : null),
  ({ lowKneeBend }) => (lowKneeBend ? ({ kneeBendDeg }) => kneeBendDeg <= lowKneeBendDeg : null),
  ({ kit }) => {
    if (!kit) return null;
    const atHand = new Set(kit);
    return ({ variant }) => variant.kit.every((piece) => atHand.has(piece));
  },
  ({ stage }, { stageNeeds }) => {
    if (!stage) return null;
    const need = stageNeeds.find((n) => n.pathway === stage.pathway && n.stage === stage.stage);
    return ({ exercise, variant }) => need !== undefined && suits(exercise, variant, need, exercise.lane);
  },
];

/**
 * Variants that fit a query, in the order of the catalogue; with words, the best match first.
 * Words match by their beginnings and forgive a typing mistake in longer ones.
 */
export function exerciseSearch(index: ExerciseIndex, query: ExerciseQuery): ExerciseHit[] {
  const wanted = filters.map((filter) => filter(query, index)).filter((filter) => filter !== null);
  const words = query.text?.trim();
  const byWords = words
    ? index
        .text()
        .search(words)
        .map(({ id }) => index.entries[id as number] as Entry)
    : null;
  const inLane = query.lane ? (index.byLane.get(query.lane) ?? []) : index.entries;
  const candidates = byWords?.filter(({ exercise }) => !query.lane || exercise.lane === query.lane) ?? inLane;
  const found: ExerciseHit[] = [];
  const limit = query.limit ?? Infinity;
  for (const entry of candidates) {
    if (found.length >= limit) break;
    if (wanted.every((fits) => fits(entry))) found.push(entry);
  }
  return found.map(({ exercise, variant }) => ({ exercise, variant }));
}

/**
 * What comes nearest to words that nothing fits altogether: entries with any of them, or something like them, best first. Other
 * filters are not asked: they may be what stands in the way.
 */
export function nearestTo(index: ExerciseIndex, text: string, limit: number): ExerciseHit[] {
  const seen = new Set<string>();
  return index
    .text()
    .search(text, { combineWith: "OR", fuzzy: 0.34 })
    .flatMap(({ id }) => {
      const entry = index.entries[id as number];
      if (!entry || seen.has(entry.exercise.id)) return [];
      seen.add(entry.exercise.id);
      return [{ exercise: entry.exercise, variant: entry.variant }];
    })
    .slice(0, limit);
}

const isMeant = ({ exercise, variant }: ExerciseHit, said: Synonym): boolean =>
  (said.exercises?.includes(exercise.id) ?? false) ||
  (said.variants?.includes(variant.id) ?? false) ||
  (said.muscles?.some((muscle) => exercise.muscles?.includes(muscle)) ?? false) ||
  Object.entries(said.settings ?? {}).some(([name, value]) => variant.settings[name] === value);

function wordIndex(entries: readonly Entry[], synonyms: readonly Synonym[]): MiniSearch {
  const index = new MiniSearch({
    fields: ["name", "variant", "called", "about"],
    searchOptions: {
      prefix: true,
      fuzzy: (term) => (term.length > 4 ? 0.2 : false),
      combineWith: "AND",
      boost: { name: 3, called: 2.5, variant: 2 },
    },
  });
  index.addAll(
    entries.map(({ id, exercise, variant }) => ({
      id,
      called: synonyms
        .filter((said) => said.muscles === undefined && said.settings === undefined)
        .filter((said) => isMeant({ exercise, variant }, said))
        .map(({ words }) => words)
        .join(" "),
      name: exercise.name,
      variant: variant.name,
      about: [
        exercise.family,
        exercise.lane,
        variant.position,
        ...variant.kit,
        ...(exercise.muscles ?? []),
        ...Object.values(variant.settings),
        ...synonyms
          .filter((said) => said.muscles !== undefined || said.settings !== undefined)
          .filter((said) => isMeant({ exercise, variant }, said))
          .map(({ words }) => words),
      ].join(" "),
    })),
  );
  return index;
}
