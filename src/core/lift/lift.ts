import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";

const closed = { additionalProperties: false };

/** How a lift felt, in the words of people whose planned load stalls (common practice). */
export const liftFeelings = ["quick", "usual", "heavy", "legs-absent", "back-stiff"] as const;

/** One lift of somebody's own training: what was lifted how often, and how it felt. Kept beside the plan, never judged with it. */
export const LiftEntry = Type.Object(
  {
    on: Type.String({ format: "date" }),
    movement: Type.String({ minLength: 2, maxLength: 60, pattern: "\\S.*\\S" }),
    sets: Type.Integer({ minimum: 1, maximum: 20 }),
    reps: Type.Integer({ minimum: 1, maximum: 50 }),
    loadKg: Type.Number({ exclusiveMinimum: 0, maximum: 600 }),
    felt: Type.Optional(oneOf(liftFeelings)),
    note: Type.Optional(Type.String({ maxLength: 200 })),
    /** The entry that this one corrects; that one stays in the record and counts no more. */
    supersedes: Type.Optional(Type.String({ minLength: 1, maxLength: 60 })),
    /** It was never lifted, or by somebody else. */
    withdrawn: Type.Optional(Type.Boolean()),
  },
  closed,
);
export type LiftEntry = Static<typeof LiftEntry>;

/** A lift as it stands in a case. */
export const Lift = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 60 }),
    at: Type.String({ format: "date-time" }),
    ...LiftEntry.properties,
  },
  closed,
);
export type Lift = Static<typeof Lift>;

/**
 * The lifts that stand: neither corrected nor withdrawn, newest day first.
 *
 * @example standingLifts([]) // []
 */
export function standingLifts<L extends Lift>(lifts: readonly L[]): L[] {
  const gone = new Set(lifts.flatMap(({ supersedes }) => supersedes ?? []));
  return lifts
    .filter(({ id, withdrawn }) => !gone.has(id) && withdrawn !== true)
    .sort((a, b) => b.on.localeCompare(a.on) || b.at.localeCompare(a.at));
}

/**
 * What is wrong with an entry beside the others: a day to come, or a correction of what does not stand.
 *
 * @param today local date
 * @example liftProblems({ on: "2026-03-02", movement: "Squat", sets: 3, reps: 5, loadKg: 80 }, [], "2026-03-01") // [{ path: "/on", problem: "lies in the future" }]
 */
export function liftProblems(
  { on, supersedes, withdrawn }: LiftEntry,
  standing: readonly Lift[],
  today: string,
): FieldProblem[] {
  return [
    ...problemIf(on > today, "/on", "lies in the future"),
    ...problemIf(
      supersedes !== undefined && !standing.some(({ id }) => id === supersedes),
      "/supersedes",
      "is no entry that stands",
    ),
    ...problemIf(withdrawn === true && supersedes === undefined, "/withdrawn", "does not say which entry"),
  ];
}

/** A load so many times the heaviest so far is more likely a slip of the finger (common practice). */
const unlikelyTimes = 1.5;

/**
 * The heaviest load of a movement so far, where a new one lies so far above it that one asks whether it is meant; kilograms.
 *
 * @returns null where nothing has to be asked
 * @example unlikelyAbove({ on: "2026-03-01", movement: "Squat", sets: 3, reps: 5, loadKg: 800 }, []) // null
 */
export function unlikelyAbove(
  { movement, loadKg, supersedes, withdrawn }: LiftEntry,
  standing: readonly Lift[],
): number | null {
  const others = standing.filter(
    (other) => other.id !== supersedes && movementKey(other.movement) === movementKey(movement),
  );
  const heaviest = Math.max(0, ...others.map((other) => other.loadKg));
  return withdrawn !== true && heaviest > 0 && loadKg > heaviest * unlikelyTimes ? heaviest : null;
}

/**
 * One movement under one name, however it was typed.
 *
 * @example movementKey("  Front  Squat ") // "front squat"
 */
export function movementKey(movement: string): string {
  return movement.trim().replaceAll(/\s+/g, " ").toLowerCase();
}
