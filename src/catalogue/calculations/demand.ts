import { Type, type Static } from "@sinclair/typebox";
import { calculation, type Calculation } from "~/core/calculation/calculation";
import { Demand, LegDemand } from "~/core/demand/demand";
import type { Told } from "~/core/demand/demand-book";
import { Dose } from "~/core/dose/dose";
import { allowed } from "~/core/limit/allowed";
import type { LimitedWork } from "~/core/limit/broken-by";
import { Limit } from "~/core/limit/limit";
import { limitProblems } from "~/core/limit/limit-problems";
import { drawnHeights } from "~/core/pose/body-lengths";
import { doseProblems } from "~/core/progression/dose-problems";
import { Exercise, type Variant } from "~/core/exercise/exercise";
import { exerciseProblems } from "~/core/progression/exercise-problems";
import { kitNeeded } from "~/core/exercise/kit-needed";
import { Prescription } from "~/core/exercise/prescription";
import { settingsProblems } from "~/core/exercise/settings-problems";
import { problemIf, within, type FieldProblem } from "~/core/schema/field-problem";
import { oneOf } from "~/core/schema/one-of";
import { bookFor } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";

const closed = { additionalProperties: false };
const limb = Type.Optional(Type.Number({ minimum: 0.15, maximum: 0.8 }));
const Sides = Type.Optional(oneOf(["left", "right", "both"]));

const asked = {
  exerciseId: Type.Optional(Type.String({ maxLength: 80, description: "Of the starting catalogue" })),
  exercise: Type.Optional(Exercise),
  variantId: Type.String({ maxLength: 80 }),
  settings: Type.Optional(Prescription.properties.settings),
  dose: Type.Optional(Type.Partial(Dose, closed)),
  body: Type.Object(
    {
      heightM: Type.Number({ minimum: drawnHeights.low, maximum: drawnHeights.high }),
      massKg: Type.Optional(Type.Number({ minimum: 10, maximum: 400 })),
      shankM: limb,
      thighM: limb,
    },
    closed,
  ),
  workingSide: Sides,
};
const DemandInput = Type.Object(asked, closed);
const AllowedInput = Type.Object(
  {
    ...asked,
    involvedSide: Sides,
    limits: Type.Array(Limit, { maxItems: 60 }),
    today: Type.String({ format: "date" }),
  },
  closed,
);
type DemandInput = Static<typeof DemandInput>;
type AllowedInput = Static<typeof AllowedInput>;

const PlainLeg = Type.Omit(LegDemand, ["stand"], closed);
const PlainDemand = Type.Object(
  {
    ...Type.Omit(Demand, ["bothWork", "against", "positions"]).properties,
    working: PlainLeg,
    other: PlainLeg,
  },
  closed,
);
const AllowedOutput = Type.Object(
  {
    allowed: Type.Boolean(),
    broken: Type.Array(Type.Object({ index: Type.Integer(), demand: Type.String() }, closed)),
    undrawable: Type.Optional(Type.String()),
  },
  closed,
);

interface Subject {
  readonly exercise: Exercise;
  readonly variant: Variant;
  readonly prescription: Prescription;
}

function subjectOf({ exerciseId, exercise: own, variantId, settings, dose }: DemandInput): Subject | null {
  const exercise = own ?? startingExercises.find(({ id }) => id === exerciseId);
  const variant = exercise?.variants.find(({ id }) => id === variantId);
  if (!exercise || !variant) return null;
  return {
    exercise,
    variant,
    prescription: {
      variantId,
      settings: { ...variant.settings, ...settings },
      dose: { ...variant.dose, ...dose },
    },
  };
}

function subjectProblems(input: DemandInput): FieldProblem[] {
  const { exerciseId, exercise, variantId, settings = {} } = input;
  if ((exerciseId === undefined) === (exercise === undefined))
    return [{ path: "/exerciseId", problem: "give either exerciseId or exercise" }];
  if (exerciseId !== undefined && !startingExercises.some(({ id }) => id === exerciseId))
    return [{ path: "/exerciseId", problem: "is not in the starting catalogue" }];
  const subject = subjectOf(input);
  if (!subject) return [{ path: "/variantId", problem: `${variantId} is not a variant of the exercise` }];
  return [
    ...(exercise ? within("/exercise", exerciseProblems(exercise)) : []),
    ...settingsProblems(settings, "/settings"),
    ...doseProblems(subject.prescription.dose, subject.variant, "/dose"),
  ];
}

function told(input: DemandInput): Told & { readonly subject: Subject } {
  const subject = subjectOf(input);
  if (!subject) throw new RangeError("the variant is checked before");
  return { ...bookFor(input.body).demandOf(subject.exercise, subject.prescription), subject };
}

/** Which leg of the drawing the involved one is; the working one where nobody says otherwise. */
function involvedLeg({ workingSide, involvedSide }: AllowedInput): LimitedWork["involved"] {
  if (involvedSide === "both") return "both";
  if (!workingSide || !involvedSide) return "working";
  if (workingSide === "both") return "both";
  return workingSide === involvedSide ? "working" : "other";
}

const plainLeg = ({ stand: _stand, ...leg }: LegDemand): Static<typeof PlainLeg> => leg;

/** Calculations about what a movement asks of a body, and whether that is allowed. */
export const demandCalculations: readonly Calculation[] = [
  calculation({
    name: "demand",
    says: "What a prescription asks of this body: joint arcs, weight through each leg, contacts, springs, muscles.",
    source: "the drawn movement at this height; statics of its contacts; springs common practice",
    input: DemandInput,
    output: PlainDemand,
    example: {
      exerciseId: "side-step-up",
      variantId: "side-step-up-free",
      settings: { "step-height": 20 },
      body: { heightM: 1.75, massKg: 70 },
    },
    problems: (input) => {
      const problems = subjectProblems(input);
      if (problems.length > 0) return problems;
      const result = told(input);
      return result.ok ? [] : problemIf(true, "/body", `cannot be drawn: ${result.why}`);
    },
    run: (input) => {
      const result = told(input);
      if (!result.ok) throw new RangeError("what cannot be drawn is refused before");
      const { bothWork: _both, against: _against, positions: _positions, ...demand } = result.demand;
      return { ...demand, working: plainLeg(demand.working), other: plainLeg(demand.other) };
    },
  }),
  calculation({
    name: "allowed",
    says: "Whether limits let this body do a prescription today, and what it asks beyond each that does not.",
    source: "the same demand; limits as surgeon, procedure, stage, condition or person set them",
    input: AllowedInput,
    output: AllowedOutput,
    example: {
      exerciseId: "side-step-up",
      variantId: "side-step-up-free",
      settings: { "step-height": 20 },
      body: { heightM: 1.75, massKg: 70 },
      limits: [{ kind: "range", joint: "knee", mostDeg: 60, when: "any", leg: "involved" }],
      today: "2026-03-10",
    },
    problems: (input) => [...subjectProblems(input), ...limitProblems(input.limits, "/limits")],
    run: (input) => {
      const { subject, ...result } = told(input);
      const kit = kitNeeded(subject.variant, subject.prescription);
      const answer = allowed(result, input.limits, input.today, { involved: involvedLeg(input), kit });
      return { ...answer, broken: [...answer.broken] };
    },
  }),
];
