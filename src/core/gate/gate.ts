import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { EarlyPercent } from "~/core/measure/early-reference";
import { errorVerdicts } from "~/core/measure/criterion-probability";
import { Lane } from "~/core/exercise/body";
import { Source } from "~/core/schema/source";

const common = {
  id: Type.String({ minLength: 1, maxLength: 60 }),
  name: Type.String({ minLength: 1, maxLength: 160 }),
  required: Type.Boolean(),
  source: Source,
};
const threshold = { comparison: oneOf([">=", "<="]), threshold: Type.Number() };
const maxAgeDays = Type.Integer({ minimum: 1, maximum: 365, description: "Older results are stale" });
const measure = Type.String({ minLength: 1, maxLength: 60 });

/** What a gate asks. Each kind is evaluated by the function of the same name in criterion-kinds.ts. */
export const Criterion = Type.Union([
  Type.Object(
    { kind: Type.Literal("value"), measure, maxAgeDays, ...threshold, ...common },
    { additionalProperties: false, description: "The involved side's (or the person's) latest value" },
  ),
  Type.Object(
    {
      kind: Type.Literal("symmetry"),
      measure,
      maxAgeDays,
      ...threshold,
      twoSided: Type.Optional(
        Type.Boolean({
          description: "Within so many per cent of each other, whichever side is the better one",
        }),
      ),
      ...common,
    },
    { additionalProperties: false, description: "Limb symmetry index, %" },
  ),
  Type.Object(
    { kind: Type.Literal("difference"), measure, maxAgeDays, ...threshold, ...common },
    { additionalProperties: false, description: "How far the two sides lie apart, in the measure's unit" },
  ),
  Type.Object(
    { kind: Type.Literal("change"), measure, maxAgeDays, ...threshold, ...common },
    { additionalProperties: false, description: "How much a score has changed since it was first taken" },
  ),
  Type.Object(
    {
      kind: Type.Literal("reach-composite"),
      front: measure,
      backInside: measure,
      backOutside: measure,
      legLength: measure,
      maxAgeDays,
      ...threshold,
      ...common,
    },
    { additionalProperties: false, description: "Three reaches over three leg lengths, %" },
  ),
  Type.Object(
    { kind: Type.Literal("chair-stand"), measure, maxAgeDays, ...common },
    { additionalProperties: false, description: "Chair stands, not below the band of age and norm group" },
  ),
  Type.Object(
    { kind: Type.Literal("ratio"), measure, over: measure, maxAgeDays, ...threshold, ...common },
    { additionalProperties: false, description: "One measure over another, both on the involved side" },
  ),
  Type.Object(
    { kind: Type.Literal("of-reference"), measure, maxAgeDays, ...threshold, ...common },
    { additionalProperties: false, description: "Per cent of the squeeze reference" },
  ),
  Type.Object(
    {
      kind: Type.Literal("within-rule"),
      exercise: Type.String(),
      effortPercent: Type.Number({ minimum: 0, maximum: 100 }),
      closedDays: Type.Integer({ minimum: 1, maximum: 20 }),
      ...common,
    },
    {
      additionalProperties: false,
      description: "An effort held within the pain school on so many closed training days",
    },
  ),
]);
export type Criterion = Static<typeof Criterion>;

/** A gate: minimum times and every required criterion; a clinician signs what the gate only proposes. */
export const Gate = Type.Object(
  {
    minimumDaysSinceOnset: Type.Integer({ minimum: 0, maximum: 1000 }),
    minimumDaysInStage: Type.Integer({ minimum: 0, maximum: 1000 }),
    criteria: Type.Array(Criterion, { maxItems: 20 }),
  },
  { additionalProperties: false },
);
export type Gate = Static<typeof Gate>;

/** A training day as a gate reads it: the effort reached and whether it stayed within the pain school. */
export const EffortDay = Type.Object(
  {
    exercise: Type.String(),
    date: Type.String({ format: "date" }),
    closed: Type.Boolean(),
    withinRule: Type.Boolean(),
    effortPercent: Type.Number({ minimum: 0 }),
  },
  { additionalProperties: false },
);
export type EffortDay = Static<typeof EffortDay>;

export const CriterionVerdict = oneOf([...errorVerdicts, "missing", "stale", "undefined"]);

/** What counts as passing: the measured value itself, or only a probability of 90 % that the true one passes. */
export const Passing = oneOf(["point", "confident"]);
export type Passing = Static<typeof Passing>;

const numberOrNull = Type.Union([Type.Number(), Type.Null()]);

export const CriterionResult = Type.Object({
  id: Type.String(),
  name: Type.String(),
  required: Type.Boolean(),
  verdict: CriterionVerdict,
  /** Whether it counts as passed under the school of passing in force. */
  passes: Type.Boolean(),
  value: numberOrNull,
  unit: Type.String(),
  /** Words of its grades, where value and threshold are places among them. */
  grades: Type.Optional(Type.Array(Type.String())),
  comparison: oneOf([">=", "<="]),
  threshold: Type.Number(),
  takenOn: Type.Union([Type.String({ format: "date" }), Type.Null()]),
  ageDays: Type.Union([Type.Integer(), Type.Null()]),
  /** That the true value passes; null where no error is known. */
  probability: numberOrNull,
  low95: numberOrNull,
  high95: numberOrNull,
  /** For symmetry: the same side against the early reference. */
  early: Type.Union([EarlyPercent, Type.Null()]),
  /** What the value was compared with, or why it cannot be judged. */
  note: Type.Union([
    oneOf([
      "other-side",
      "pre-injury",
      "clinic-norm",
      "own-best",
      "both-sides-injured",
      "needs-the-other-side",
      "other-side-is-zero",
      "two-leg-measure",
      "not-comparable",
      "above-115",
      "norm-unknown",
      "age-band",
      "since-the-first",
      "needs-a-later-value",
      "sub-maximal",
      "clinician-word",
    ]),
    Type.Null(),
  ]),
});
export type CriterionResult = Static<typeof CriterionResult>;

/** A measurement that would decide something, with what it decides. */
export const MeasureNext = Type.Object({
  measure: Type.String(),
  minutes: Type.Number(),
  criteria: Type.Array(Type.String()),
});
export type MeasureNext = Static<typeof MeasureNext>;

export const GateResult = Type.Object({
  outcome: oneOf(["open", "closed"], "open: everything required is met; a clinician may sign"),
  rule: oneOf(["gate-open", "gate-stop", "gate-time", "gate-criteria", "gate-lanes"]),
  passing: Passing,
  daysSinceOnset: Type.Integer(),
  daysInStage: Type.Integer(),
  daysLeft: Type.Integer({ minimum: 0 }),
  criteria: Type.Array(CriterionResult),
  /** Lanes of which less than 70 % was done: they keep the gate closed. */
  lanesLeftOut: Type.Optional(Type.Array(Lane)),
  /** Codes of open stop signals: while one is open nobody passes, not by override either. */
  halts: Type.Optional(Type.Array(Type.String())),
  measureNext: Type.Array(MeasureNext),
  /** What would decide something and may not be taken now: the limit that bars it, in words. */
  barred: Type.Optional(Type.Array(Type.Object({ measure: Type.String(), says: Type.String() }))),
});
export type GateResult = Static<typeof GateResult>;
