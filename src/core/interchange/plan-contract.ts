import { Type, type Static } from "@sinclair/typebox";
import { Dose } from "~/core/dose/dose";
import { DoseMinutesOutput } from "~/core/dose/dose-minutes";
import { Circumstances } from "~/core/intake/intake";
import { BodyPosition, Lane, Phase } from "~/core/progression/body";
import { Exercise } from "~/core/progression/exercise";
import { KnobValue, Prescription } from "~/core/progression/prescription";
import { InvolvedSide } from "~/core/measure/side-value";
import { HeightM } from "./contract";
import { ExerciseFile } from "~/core/progression/exercise-file";

const closed = { additionalProperties: false };
const uuid = Type.String({ format: "uuid" });
const code = Type.String({ minLength: 1, maxLength: 80 });
const reason = Type.String({ minLength: 3, maxLength: 400, pattern: "\\S" });

/** The next setting in one direction: the knob with where it goes, or the words of what stops it. */
export const NextStep = Type.Object(
  {
    knob: Type.Union([Type.String(), Type.Null()]),
    from: Type.Union([KnobValue, Type.Null()]),
    to: Type.Union([KnobValue, Type.Null()]),
    variantName: Type.Union([Type.String(), Type.Null()]),
    stoppedBy: Type.Union([Type.String(), Type.Null()]),
  },
  closed,
);
export type NextStep = Static<typeof NextStep>;

export const PlanItem = Type.Object(
  {
    itemId: uuid,
    exerciseId: code,
    exerciseName: Type.String(),
    variantName: Type.String(),
    lane: Lane,
    drawnLike: Type.Union([Type.String(), Type.Null()]),
    prescription: Prescription,
    maximumN: Type.Union([Type.Number(), Type.Null()]),
    time: DoseMinutesOutput,
    harder: NextStep,
    easier: NextStep,
    stopped: Type.Boolean(),
    /** The limit that its present setting breaks, in words; null when it breaks none. */
    blockedBy: Type.Union([Type.String(), Type.Null()]),
  },
  closed,
);
export type PlanItem = Static<typeof PlanItem>;

/** A patient's plan: what is done, how long it takes, where each item goes next; and the lanes nobody filled. */
export const PlanView = Type.Object(
  {
    episodeId: uuid,
    version: Type.Integer(),
    person: Type.Object({ givenName: Type.String(), familyName: Type.String() }, closed),
    involvedSide: InvolvedSide,
    heightM: HeightM,
    stageName: Type.String(),
    pathway: Type.String(),
    stage: Type.String(),
    items: Type.Array(PlanItem),
    time: DoseMinutesOutput,
    emptyLanes: Type.Array(Lane),
    stageLanes: Type.Array(Lane),
    limits: Type.Array(Type.String()),
    circumstances: Type.Union([Circumstances, Type.Null()]),
    /** Items that got harder in the last seven days, and the most that is usual. */
    changeBudget: Type.Object({ used: Type.Integer(), limit: Type.Integer() }, closed),
    maySign: Type.Boolean(),
  },
  closed,
);
export type PlanView = Static<typeof PlanView>;

/** An exercise for the plan. The item's id is made by the sender. */
export const ItemBody = Type.Object(
  {
    id: uuid,
    exerciseId: code,
    variantId: code,
    settings: Type.Optional(Prescription.properties.settings),
    dose: Type.Optional(Dose),
  },
  closed,
);
export type ItemBody = Static<typeof ItemBody>;

export const CircumstancesBody = Type.Object({ id: uuid, circumstances: Circumstances, reason }, closed);
export type CircumstancesBody = Static<typeof CircumstancesBody>;

export const EndingBody = Type.Object({ id: uuid, itemId: uuid, reason }, closed);
export type EndingBody = Static<typeof EndingBody>;

export const PlanWritten = Type.Object({ id: uuid, repeated: Type.Boolean(), plan: PlanView }, closed);
export type PlanWritten = Static<typeof PlanWritten>;

/** One variant of the clinic's catalogue as a search shows it. */
export const CatalogueHit = Type.Object(
  {
    exerciseId: code,
    exerciseName: Type.String(),
    lane: Lane,
    variantId: code,
    variantName: Type.String(),
    position: BodyPosition,
    kit: Type.Array(Type.String()),
    phase: Type.Union([Phase, Type.Null()]),
    prescription: Prescription,
    time: DoseMinutesOutput,
    own: Type.Boolean({ description: "Added or revised by this clinic" }),
    drawnLike: Type.Union([Type.String(), Type.Null()]),
  },
  closed,
);
export type CatalogueHit = Static<typeof CatalogueHit>;

export const CatalogueAnswer = Type.Object(
  { count: Type.Integer({ description: "All that fit" }), hits: Type.Array(CatalogueHit) },
  closed,
);
export type CatalogueAnswer = Static<typeof CatalogueAnswer>;

export const ExerciseBody = Type.Object(
  {
    id: uuid,
    action: Type.Union([Type.Literal("add"), Type.Literal("revise")]),
    exercise: Exercise,
  },
  closed,
);
export type ExerciseBody = Static<typeof ExerciseBody>;

export const RetirementBody = Type.Object(
  {
    id: uuid,
    code,
    action: Type.Union([Type.Literal("retire"), Type.Literal("restore")]),
    reason,
  },
  closed,
);
export type RetirementBody = Static<typeof RetirementBody>;

export const ImportBody = Type.Object({ id: uuid, file: ExerciseFile }, closed);
export type ImportBody = Static<typeof ImportBody>;

export const CatalogueWritten = Type.Object(
  { id: uuid, repeated: Type.Boolean(), codes: Type.Array(Type.String()) },
  closed,
);
export type CatalogueWritten = Static<typeof CatalogueWritten>;
