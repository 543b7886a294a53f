import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";

const kilograms = Type.Number({ exclusiveMinimum: 0, maximum: 1000 });
const reps = Type.Integer({ minimum: 1, maximum: 100 });
const formula = oneOf(["epley", "brzycki"]);

export const OneRepMaxInput = Type.Object(
  { loadKg: kilograms, reps, formula },
  { additionalProperties: false },
);
export const OneRepMaxOutput = Type.Object({
  oneRepMaxKg: Type.Number(),
  trustworthy: Type.Optional(Type.Literal(false)),
});

/** Brzycki's line meets zero at 37 repetitions. */
export const brzyckiMostReps = 36;
const trustedReps = 12;

/**
 * One-repetition maximum estimated from a load lifted so many times to failure.
 * Epley: w(1 + r/30); Brzycki: 36w/(37 − r); both are the load itself at one repetition.
 *
 * @param input load in kilograms (0 < kg ≤ 1000), whole repetitions 1–100 (Brzycki: to 36; the caller checks)
 * @returns kilograms, unrounded; `trustworthy: false` above 12 repetitions
 * @example oneRepMax({ loadKg: 100, reps: 10, formula: "brzycki" }) // { oneRepMaxKg: 133.33… }
 * Source: Epley 1985; Brzycki 1993, recalled.
 */
export function oneRepMax({
  loadKg,
  reps: r,
  formula: by,
}: Static<typeof OneRepMaxInput>): Static<typeof OneRepMaxOutput> {
  const oneRepMaxKg = loadKg * maximumPerLoad(r, by);
  return { oneRepMaxKg, ...(r > trustedReps ? { trustworthy: false as const } : {}) };
}

export const LoadForRepsInput = Type.Object(
  { oneRepMaxKg: kilograms, reps, formula },
  { additionalProperties: false },
);
export const LoadForRepsOutput = Type.Object({ loadKg: Type.Number() });

/**
 * Load that can be lifted so many times: the exact inverse of `oneRepMax`, not rounded to the kit.
 *
 * @example loadForReps({ oneRepMaxKg: 100, reps: 10, formula: "epley" }) // { loadKg: 75 }
 * Source: Epley 1985; Brzycki 1993, recalled.
 */
export function loadForReps(input: Static<typeof LoadForRepsInput>): Static<typeof LoadForRepsOutput> {
  return { loadKg: input.oneRepMaxKg / maximumPerLoad(input.reps, input.formula) };
}

function maximumPerLoad(r: number, by: "epley" | "brzycki"): number {
  if (r === 1) return 1;
  return by === "epley" ? 1 + r / 30 : 36 / (37 - r);
}
