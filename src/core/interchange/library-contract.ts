import { Type, type Static } from "@sinclair/typebox";
import { InvolvedSide } from "~/core/measure/side-value";
import { BodyPosition, Lane, Muscle } from "~/core/progression/body";
import { Prescription } from "~/core/progression/prescription";
import { Source } from "~/core/progression/source";
import { HeightM } from "./contract";

const closed = { additionalProperties: false };
const code = Type.String({ minLength: 1, maxLength: 80 });

/** How active one muscle was in one study, percent of its maximal voluntary contraction. */
export const ActivityRow = Type.Object(
  {
    name: Type.String(),
    variantId: Type.Union([Type.String(), Type.Null()]),
    meanPercent: Type.Number(),
    sdPercent: Type.Number(),
    aboveThreshold: Type.Boolean(),
    source: Source,
    leftOut: Type.String(),
  },
  closed,
);
export type ActivityRow = Static<typeof ActivityRow>;

/** One exercise of the library, with those of its variants that were asked for. */
export const LibraryEntry = Type.Object(
  {
    exerciseId: code,
    name: Type.String(),
    lane: Lane,
    own: Type.Boolean({ description: "Added or revised by this clinic" }),
    drawnLike: Type.Union([Type.String(), Type.Null()]),
    variants: Type.Array(Type.Object({ variantId: code, name: Type.String() }, closed)),
    /** The variant whose figure stands for the exercise. */
    shown: Prescription,
    position: BodyPosition,
    kit: Type.Array(Type.String()),
    activity: Type.Array(ActivityRow),
  },
  closed,
);
export type LibraryEntry = Static<typeof LibraryEntry>;

/** For whom a library is filtered. */
export const LibraryPatient = Type.Object(
  {
    episodeId: Type.String({ format: "uuid" }),
    person: Type.Object({ givenName: Type.String(), familyName: Type.String() }, closed),
    involvedSide: InvolvedSide,
    heightM: HeightM,
    pathway: Type.String(),
    stage: Type.String(),
    stageName: Type.String(),
    maySign: Type.Boolean(),
    /** Exercises that are in the plan already. */
    inPlan: Type.Array(code),
  },
  closed,
);
export type LibraryPatient = Static<typeof LibraryPatient>;

/** What a search of the library found; for a patient also what was left out, and why. */
export const LibraryAnswer = Type.Object(
  {
    exercises: Type.Array(LibraryEntry),
    variantCount: Type.Integer(),
    muscle: Type.Union([Muscle, Type.Null()]),
    patient: Type.Union([LibraryPatient, Type.Null()]),
    leftOut: Type.Array(
      Type.Object(
        {
          says: Type.Union([Type.String(), Type.Null()], { description: "null: not work of this stage" }),
          count: Type.Integer(),
          variants: Type.Array(
            Type.Object({ exerciseId: code, variantId: code, name: Type.String() }, closed),
          ),
        },
        closed,
      ),
    ),
  },
  closed,
);
export type LibraryAnswer = Static<typeof LibraryAnswer>;
