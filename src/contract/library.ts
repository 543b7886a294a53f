import { Type, type Static } from "@sinclair/typebox";
import { DoseMinutesOutput } from "~/core/dose/dose-minutes";
import { InvolvedSide } from "~/core/measure/side-value";
import { BodyPosition, Lane, Muscle, Phase } from "~/core/exercise/body";
import { Exercise } from "~/core/exercise/exercise";
import { ExerciseFile } from "~/core/progression/exercise-file";
import { Prescription } from "~/core/exercise/prescription";
import { Source } from "~/core/schema/source";
import { endpoint, fileLimit, smallLimit } from "./endpoint";
import { closed, code, HeightM, PersonName, reason, uuid, written } from "./fields";
import { signingRoles } from "./roles";

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
    episodeId: uuid,
    person: PersonName,
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
    /** What comes nearest to the words, where nothing has all of them; empty else. */
    nearest: Type.Array(Type.Object({ exerciseId: code, name: Type.String() }, closed)),
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
  {
    count: Type.Integer({ description: "All that fit" }),
    hits: Type.Array(CatalogueHit),
    /** What fits the words, though not the filters; none without words. */
    outside: Type.Array(CatalogueHit),
    /** What comes nearest to the words, where nothing has all of them; empty else. */
    nearest: Type.Array(CatalogueHit),
  },
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
  {
    ...written,
    codes: Type.Array(Type.String()),
    /** Exercises that limits cannot fully judge, with what follows for people who have such limits. */
    unjudged: Type.Array(Type.Object({ code: Type.String(), says: Type.String() }, closed)),
  },
  closed,
);
export type CatalogueWritten = Static<typeof CatalogueWritten>;

const words = Type.Optional(Type.String());
const listed = Type.Optional(Type.String({ description: "Several, with commas" }));

/** What a search asks, as the query of an address; `readQuery` makes the calculation's input of it. */
const searchQuery = {
  lane: words,
  region: words,
  muscle: words,
  kit: listed,
  positions: listed,
  stage: Type.Optional(Type.String({ description: "pathway/stage" })),
  contraction: words,
  lowKneeBend: words,
  text: words,
  limit: words,
};
const libraryQuery = {
  ...searchQuery,
  activity: Type.Optional(Type.String({ description: "A muscle: ordered by how active it was in studies" })),
};

export const searchLibrary = endpoint({
  name: "searchLibrary",
  says: "Search the library, exercise by exercise",
  roles: "signed-in",
  query: Type.Object(libraryQuery, closed),
  answer: LibraryAnswer,
});

export const searchPatientLibrary = endpoint({
  name: "searchPatientLibrary",
  says: "The library for one patient, with what was left out and why",
  roles: "signed-in",
  query: Type.Object(libraryQuery, closed),
  answer: LibraryAnswer,
});

export const searchCatalogue = endpoint({
  name: "searchCatalogue",
  says: "Search the clinic's catalogue",
  roles: "signed-in",
  query: Type.Object(searchQuery, closed),
  answer: CatalogueAnswer,
});

export const readExercise = endpoint({
  name: "readExercise",
  says: "One exercise in use",
  roles: "signed-in",
  answer: Exercise,
});

export const saveExercise = endpoint({
  name: "saveExercise",
  says: "Add or revise an exercise of the clinic's own",
  roles: signingRoles,
  body: ExerciseBody,
  answer: CatalogueWritten,
  status: 201,
});

export const retireExercise = endpoint({
  name: "retireExercise",
  says: "Retire an exercise or take it back",
  roles: signingRoles,
  body: RetirementBody,
  limit: smallLimit,
  answer: CatalogueWritten,
  status: 201,
});

export const exportExercises = endpoint({
  name: "exportExercises",
  says: "Export the clinic's own exercises",
  roles: "signed-in",
  answer: ExerciseFile,
  file: "own.exercises.json",
});

export const importExercises = endpoint({
  name: "importExercises",
  says: "Import exercises, all or none",
  roles: signingRoles,
  body: ImportBody,
  limit: fileLimit,
  answer: CatalogueWritten,
  status: 201,
});
