import { LRUCache } from "lru-cache";
import { bookOfBody } from "~/catalogue/demands/book";
import type { DrawnDemandOrWhy } from "~/core/demand/drawn-demand";
import { drawnHeights } from "~/core/pose/body-lengths";
import { Type, type Static } from "@sinclair/typebox";
import { calculation, type Calculation } from "~/core/calculation/calculation";
import { calculations } from "~/core/calculation/registry";
import { Dose } from "~/core/dose/dose";
import { oneOf } from "~/core/schema/one-of";
import { doseProblems } from "~/core/progression/dose-problems";
import type { FieldProblem } from "~/core/schema/field-problem";
import {
  activationRanking,
  ActivationRankingInput,
  ActivationRankingOutput,
} from "~/core/progression/activation-ranking";
import { easier } from "~/core/progression/easier";
import { firstPrescription } from "~/core/exercise/exercise";
import { exerciseIndex, ExerciseQuery, exerciseSearch } from "~/core/progression/exercise-search";
import { harder, type Harder } from "~/core/progression/harder";
import { kitByCode } from "~/core/exercise/kit";
import { KnobValue, Prescription } from "~/core/exercise/prescription";
import { Restriction } from "~/core/limit/restriction";
import { settingsProblems } from "~/core/exercise/settings-problems";
import { restrictionProblems } from "~/core/limit/restriction-problems";
import { startingExercises } from "~/catalogue/exercises/all";
import { demandCalculations } from "./demand";
import { synonyms } from "~/catalogue/exercises/synonyms";
import { stageNeeds } from "~/catalogue/stage-needs/all";

const closed = { additionalProperties: false };
const orNull = <T extends Parameters<typeof Type.Union>[0][number]>(schema: T) =>
  Type.Union([schema, Type.Null()]);

const StepInput = Type.Object(
  {
    variant: Type.String({ description: "A variant of the starting catalogue" }),
    dose: Type.Optional(Dose),
    settings: Type.Optional(Prescription.properties.settings),
    kit: Type.Optional(Type.Array(Type.String({ maxLength: 40 }), { maxItems: 60 })),
    restrictions: Type.Optional(Type.Array(Restriction, { maxItems: 50 })),
    today: Type.Optional(Type.String({ format: "date", description: "For restrictions with dates" })),
    heightM: Type.Optional(Type.Number({ minimum: drawnHeights.low, maximum: drawnHeights.high })),
  },
  closed,
);
type StepInput = Static<typeof StepInput>;

const StepOutput = Type.Object({
  found: oneOf(["change", "restriction", "left-alone", "spent"]),
  knob: orNull(Type.String()),
  from: orNull(KnobValue),
  to: orNull(KnobValue),
  variant: orNull(Type.String()),
  prescription: orNull(Prescription),
  stoppedBy: orNull(Restriction),
});

const anyDay = "2000-01-01";
/** Drawings that were read: of the starting catalogue and a few heights, so their number is bounded. */
const kept = new LRUCache<string, DrawnDemandOrWhy>({ max: 20_000 });

function named(variantId: string) {
  for (const exercise of startingExercises) {
    const variant = exercise.variants.find(({ id }) => id === variantId);
    if (variant) return { exercise, variant };
  }
  return null;
}

function stepProblems({ variant: id, dose, settings, kit, restrictions }: StepInput): FieldProblem[] {
  const found = named(id);
  if (!found) return [{ path: "/variant", problem: "is not in the starting catalogue" }];
  return [
    ...(dose ? doseProblems(dose, found.variant, "/dose") : []),
    ...settingsProblems(settings ?? {}, "/settings"),
    ...(kit ?? []).flatMap((piece, i) =>
      kitByCode(piece) ? [] : [{ path: `/kit/${i}`, problem: `${piece} is not a piece of kit` }],
    ),
    ...restrictionProblems(restrictions ?? [], "/restrictions"),
  ];
}

function step(turn: typeof harder | typeof easier) {
  return ({
    variant: id,
    dose,
    settings,
    kit,
    restrictions = [],
    today = anyDay,
    heightM,
  }: StepInput): Static<typeof StepOutput> => {
    const found = named(id);
    if (!found) throw new RangeError("the variant is checked before");
    const first = firstPrescription(found.variant);
    const prescription: Prescription = {
      ...first,
      ...(dose ? { dose } : {}),
      settings: { ...first.settings, ...settings },
    };
    const atHand: Restriction[] = kit
      ? [{ kind: "kit", available: kit, origin: "kit", says: "not among the kit at hand" }]
      : [];
    return said(
      turn(found.exercise, prescription, {
        restrictions: [...restrictions, ...atHand],
        today,
        book: bookOfBody({ heightM: heightM ?? null }, kept),
      }),
    );
  };
}

function said(result: Harder): Static<typeof StepOutput> {
  const nothing = { knob: null, from: null, to: null, variant: null, prescription: null, stoppedBy: null };
  if (result.found === "spent") return { found: "spent", ...nothing };
  if (result.found === "left-alone") return { found: "left-alone", ...nothing, knob: result.knob };
  if (result.found === "restriction")
    return { found: "restriction", ...nothing, knob: result.knob, stoppedBy: result.restriction };
  const { knob, from, to, prescription } = result.change;
  return { found: "change", ...nothing, knob, from, to, variant: prescription.variantId, prescription };
}

const index = exerciseIndex(startingExercises, stageNeeds, synonyms);

/** Calculations that look into the starting catalogue. */
const catalogueCalculations: readonly Calculation[] = [
  calculation({
    name: "harder",
    says: "The next harder setting of a variant: one knob turned, or the restriction that stops it.",
    source: "the variant's own order of knobs; load steps ACSM 2009, recalled",
    input: StepInput,
    output: StepOutput,
    example: { variant: "side-step-up-held", kit: ["step"] },
    problems: stepProblems,
    run: step(harder),
  }),
  calculation({
    name: "easier",
    says: "The setting before this one: one knob turned back, or what stops every way back.",
    source: "the variant's own order of knobs",
    input: StepInput,
    output: StepOutput,
    example: { variant: "side-step-up-free" },
    problems: stepProblems,
    run: step(easier),
  }),
  calculation({
    name: "activation-ranking",
    says: "Exercises by surface electromyography of one muscle, with spread, study and what it left out.",
    source: "Distefano 2009; Ayotte 2007, recalled",
    input: ActivationRankingInput,
    output: ActivationRankingOutput,
    example: { muscle: "gluteus-medius", thresholdPercent: 40 },
    run: (input) => activationRanking(startingExercises, input),
  }),
  calculation({
    name: "exercise-search",
    says: "Variants by lane, region, kit, position, stage, contraction, low knee bend and words.",
    source: "the starting catalogue",
    input: ExerciseQuery,
    output: Type.Object({
      count: Type.Integer(),
      hits: Type.Array(
        Type.Object({ exerciseId: Type.String(), variantId: Type.String(), name: Type.String() }),
      ),
    }),
    example: { lane: "hip-abductors", kit: [], text: "lift" },
    problems: (query) => {
      if (Object.keys(query).length === 0) return [{ path: "", problem: "asks for nothing" }];
      const { stage } = query;
      return stage && !stageNeeds.some((n) => n.pathway === stage.pathway && n.stage === stage.stage)
        ? [{ path: "/stage", problem: "is not a stage of a known pathway" }]
        : [];
    },
    run: (query) => {
      const hits = exerciseSearch(index, query).map(({ exercise, variant }) => ({
        exerciseId: exercise.id,
        variantId: variant.id,
        name: `${exercise.name}: ${variant.name}`,
      }));
      return { count: hits.length, hits };
    },
  }),
];

/** Every calculation of the product: those of the core, and those that look into the starting catalogue. */
export const allCalculations: readonly Calculation[] = [
  ...calculations((body) => bookOfBody(body, kept)),
  ...catalogueCalculations,
  ...demandCalculations,
];

/** The calculation with this name, or null. */
export function findCalculation(name: string): Calculation | null {
  return allCalculations.find((entry) => entry.name === name) ?? null;
}
