import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { ForbidCode, Muscle } from "~/core/exercise/body";
import { Source } from "~/core/schema/source";
import { isVoided, Voided } from "~/core/schema/voided";

const closed = { additionalProperties: false };
const span = Type.Object({ low: Type.Number(), high: Type.Number() }, closed);

export const measureGroups = [
  "state",
  "range",
  "strength",
  "endurance",
  "balance",
  "spring",
  "run",
  "quality",
  "limits",
  "scores",
] as const;

/** How far one measurement may be from the truth, as published: a standard error or a detectable change. */
export const MeasureError = Type.Object(
  {
    /** What it is an error of: the value itself, in its unit, or the limb symmetry index, in per cent. */
    of: oneOf(["value", "symmetry"]),
    kind: oneOf(["sem", "mdc"]),
    amount: Type.Number({ exclusiveMinimum: 0 }),
    confidencePercent: Type.Optional(
      Type.Number({ minimum: 50, maximum: 99.9, description: "Of a detectable change; many are 90 %" }),
    ),
    source: Source,
  },
  closed,
);
export type MeasureError = Static<typeof MeasureError>;

/** A unit a value may be typed in; the stored value is typed × factor. */
export const EntryUnit = Type.Object(
  { unit: Type.String({ maxLength: 20 }), factor: Type.Number({ exclusiveMinimum: 0 }) },
  closed,
);

const arc = Type.Tuple([Type.Number(), Type.Number()], { description: "Least and most, degrees" });

/** What a test asks of the body that takes it, as far as limits ask about it; left out: nothing of the kind. */
export const MeasureAsks = Type.Object(
  {
    spring: Type.Optional(oneOf(["rebound", "two-leg-landing", "single-leg-landing", "cutting"])),
    running: Type.Optional(Type.Boolean()),
    /** How the involved leg carries at its hardest. */
    stand: Type.Optional(oneOf(["shared", "alone"])),
    eyesClosed: Type.Optional(Type.Boolean()),
    kneeDeg: Type.Optional(arc),
    hipDeg: Type.Optional(arc),
    resisted: Type.Optional(Type.Array(Muscle, { maxItems: 6 })),
    lengthened: Type.Optional(Type.Array(Muscle, { maxItems: 6 })),
    stretched: Type.Optional(Type.Array(Muscle, { maxItems: 6 })),
    straightLegRaise: Type.Optional(Type.Boolean()),
    floor: Type.Optional(Type.Boolean()),
    /** Codes of limits that forbid it whatever it asks. */
    forbiddenBy: Type.Optional(Type.Array(ForbidCode, { maxItems: 4 })),
  },
  closed,
);
export type MeasureAsks = Static<typeof MeasureAsks>;

/** A measure: what is taken, in which unit, on which sides, and which values are possible at all. */
export const Measure = Type.Object(
  {
    code: Type.String({ minLength: 1, maxLength: 60 }),
    name: Type.String({ minLength: 1, maxLength: 120 }),
    group: Type.Optional(oneOf(measureGroups)),
    unit: Type.String({
      maxLength: 20,
      description: "UCUM code; '1' for counts, '{0-10}' for a rating scale",
    }),
    sides: oneOf(["each", "none"], "Taken on each leg, or once for the person"),
    better: oneOf(["higher", "lower"]),
    summary: oneOf(["best", "worst", "mean", "latest"], "How trials of one day become one value"),
    trials: Type.Optional(Type.Integer({ minimum: 1, maximum: 5, description: "Usual number of trials" })),
    /** Whole numbers only; with words, the value is the place of a word in the list. */
    whole: Type.Optional(Type.Boolean()),
    grades: Type.Optional(Type.Array(Type.String({ maxLength: 40 }), { minItems: 2, maxItems: 12 })),
    normalise: Type.Optional(oneOf(["none", "body-mass", "leg-length"])),
    entryUnits: Type.Optional(Type.Array(EntryUnit, { maxItems: 4 })),
    plausible: Type.Object({ low: Type.Number(), high: Type.Number() }, closed),
    /** Outside: possible, but asked about. */
    usual: Type.Optional(span),
    errors: Type.Optional(Type.Array(MeasureError, { maxItems: 4 })),
    /** Ways of testing in use: position, device, lever arm, warm-up. */
    ways: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 120 }), { maxItems: 6 })),
    /** Where a way of testing is a movement: the families of exercises that are that movement, so that they know what it found. */
    movements: Type.Optional(
      Type.Array(
        Type.Object(
          {
            way: Type.String({ minLength: 1, maxLength: 120 }),
            families: Type.Array(Type.String({ minLength: 1, maxLength: 80 }), { minItems: 1, maxItems: 6 }),
          },
          closed,
        ),
        { maxItems: 6 },
      ),
    ),
    /** Minutes it costs, both sides, for 'what to measure next'. */
    minutes: Type.Optional(Type.Number({ minimum: 0, maximum: 60 })),
    /** Comes after everything else of a battery: it may provoke. */
    last: Type.Optional(Type.Boolean()),
    /** What the test asks of the body, so that no test is asked for that a limit forbids. */
    asks: Type.Optional(MeasureAsks),
    source: Source,
  },
  closed,
);
export type Measure = Static<typeof Measure>;

export const limitKinds = ["none", "pain", "pinch", "block", "stretch", "fear", "weakness"] as const;

/** What a number does not hold: what limited a movement, where a drawing was marked. */
export const ResultDetail = Type.Object(
  {
    limit: Type.Optional(oneOf(limitKinds)),
    leverM: Type.Optional(
      Type.Number({ exclusiveMinimum: 0, maximum: 2, description: "Lever arm of a force, metres" }),
    ),
    warmUp: Type.Optional(Type.Boolean()),
    /** Held back because the muscle hurt: never a maximum that a strength criterion may count. */
    submaximal: Type.Optional(Type.Boolean()),
    marks: Type.Optional(Type.Array(Type.String({ pattern: "^(front|back)-[a-z-]+$" }), { maxItems: 60 })),
  },
  closed,
);
export type ResultDetail = Static<typeof ResultDetail>;

/** One result; `occasion` tells a value from before the injury from those taken since. */
export const MeasureResult = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 60 }),
    measure: Type.String({ minLength: 1, maxLength: 60 }),
    side: oneOf(["left", "right", "none"]),
    value: Type.Number(),
    takenOn: Type.String({ format: "date" }),
    occasion: oneOf(["pre-injury", "clinic-norm", "since-injury"]),
    position: Type.Optional(Type.String({ maxLength: 120, description: "Way of testing: position, device" })),
    /** The trials behind the value, in the measure's unit, as taken. */
    trials: Type.Optional(Type.Array(Type.Number(), { minItems: 1, maxItems: 5 })),
    detail: Type.Optional(ResultDetail),
    /** When it reached the record, where that is known. */
    recordedAt: Type.Optional(Type.String({ format: "date-time" })),
    /** The result that this one corrects. */
    supersedes: Type.Optional(Type.String({ minLength: 1, maxLength: 60 })),
    /** It belongs to somebody else, or was never so: it stays in the record and is read no more. */
    voided: Type.Optional(Voided),
  },
  closed,
);
export type MeasureResult = Static<typeof MeasureResult>;

/** Results that are not voided and that no later one has corrected; what a voided one had corrected stands again. */
export function standingResults(results: readonly MeasureResult[]): MeasureResult[] {
  const valid = results.filter((result) => !isVoided(result));
  const corrected = new Set(valid.map((result) => result.supersedes));
  return valid.filter((result) => !corrected.has(result.id));
}
