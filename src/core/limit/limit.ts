import { Type, type Static, type TProperties } from "@sinclair/typebox";
import { BodyPosition, Muscle } from "~/core/exercise/body";
import { Spring } from "~/core/demand/demand";
import { oneOf } from "~/core/schema/one-of";

const closed = { additionalProperties: false };
const degrees = Type.Number({ minimum: -90, maximum: 180 });

/** Balance from what a held stance asks to what a free one on soft ground with a second task does. */
export const balanceLevels = ["hands", "fingertips", "free", "eyes-closed", "soft", "second-task"] as const;

export const limitedJoints = ["knee", "hip", "hip-rotation", "hip-abduction", "ankle", "spine"] as const;

/**
 * The questions that a limit puts to a demand, as schemas; what stands around each (from when until when, whose it is, its
 * words) is the caller's.
 */
export const predicateSchemas = <C extends TProperties>(common: C) =>
  [
    Type.Object(
      {
        kind: Type.Literal("range"),
        joint: oneOf(limitedJoints),
        leastDeg: Type.Optional(degrees),
        mostDeg: Type.Optional(degrees),
        when: oneOf(["any", "loaded"], "At all, or only where the leg bears more than its own weight"),
        leg: oneOf(["involved", "both"]),
        ...common,
      },
      closed,
    ),
    Type.Object(
      {
        kind: Type.Literal("weight"),
        mostShare: Type.Number({
          minimum: 0,
          maximum: 10,
          description: "Of body mass, through the involved leg",
        }),
        ...common,
      },
      closed,
    ),
    Type.Object({ kind: Type.Literal("legs"), most: oneOf(["both", "one"]), ...common }, closed),
    Type.Object({ kind: Type.Literal("spring"), most: Spring, ...common }, closed),
    Type.Object({ kind: Type.Literal("running"), ...common }, closed),
    Type.Object(
      { kind: Type.Literal("resisted"), muscle: Muscle, most: oneOf(["none", "own-weight"]), ...common },
      closed,
    ),
    Type.Object({ kind: Type.Literal("lengthened"), muscle: Muscle, ...common }, closed),
    Type.Object({ kind: Type.Literal("stretched"), muscle: Muscle, ...common }, closed),
    Type.Object({ kind: Type.Literal("straight-leg-raise"), ...common }, closed),
    Type.Object({ kind: Type.Literal("kneeling"), ...common }, closed),
    Type.Object({ kind: Type.Literal("floor"), ...common }, closed),
    Type.Object({ kind: Type.Literal("balance"), most: oneOf(balanceLevels), ...common }, closed),
  ] as const;

const dates = {
  from: Type.Optional(Type.String({ format: "date", description: "First day on which it holds" })),
  until: Type.Optional(Type.String({ format: "date", description: "Last day on which it holds" })),
};

/** In a function of its own, so that a view which reads no limits does not carry it (see the build's pure functions). */
const limitSchema = () =>
  Type.Union([
    ...predicateSchemas(dates),
    Type.Object(
      { kind: Type.Literal("position"), cannot: Type.Array(BodyPosition, { maxItems: 7 }), ...dates },
      closed,
    ),
    Type.Object(
      {
        kind: Type.Literal("kit"),
        available: Type.Array(Type.String({ maxLength: 40 }), { maxItems: 60 }),
        ...dates,
      },
      closed,
    ),
  ]);

/** A limit as the calculation takes it: a question to a demand, from when until when. */
export const Limit = limitSchema();
export type Limit = Static<typeof Limit>;

type WithoutDates<T> = T extends unknown ? Omit<T, "from" | "until"> : never;
/** A limit without its dates: what it asks. */
export type Predicate = WithoutDates<Limit>;
export type PredicateOf<K extends Predicate["kind"]> = Extract<Predicate, { kind: K }>;
