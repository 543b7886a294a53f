import { describe, expect, it } from "vitest";
import { bookFor } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import { firstPrescription, type Exercise, type Variant } from "~/core/exercise/exercise";
import type { KeptDemands, KeptDrawings } from "./demand-book";
import type { DrawnDemandOrWhy } from "./drawn-demand";

/** Drawings and demands kept as the server keeps them. */
function keeping(): KeptDrawings & { demands: Map<string, KeptDemands> } {
  const drawings = new Map<string, DrawnDemandOrWhy>();
  const demands = new Map<string, KeptDemands>();
  return {
    demands,
    get: (key) => drawings.get(key),
    set: (key, drawn) => drawings.set(key, drawn),
    demandsFor: (body) => {
      const made: KeptDemands = demands.get(body) ?? new WeakMap();
      demands.set(body, made);
      return made;
    },
  };
}

const some = startingExercises.filter((_, n) => n % 8 === 0);
const squat = startingExercises.find(({ id }) => id === "two-leg-squat") as Exercise;
const heavy = { heightM: 1.7, massKg: 100 };
const light = { heightM: 1.7, massKg: 50 };

describe("what is kept of demands", () => {
  it("answers as a book that keeps nothing does, whoever was asked about before", () => {
    const kept = keeping();
    const drawings = keeping();
    for (const body of [heavy, light, heavy]) {
      const [book, plain] = [bookFor(body, kept), bookFor(body, { get: drawings.get, set: drawings.set })];
      for (const exercise of some)
        for (const variant of exercise.variants) {
          const prescription = firstPrescription(variant);
          expect(book.demandOf(exercise, prescription)).toEqual(plain.demandOf(exercise, prescription));
        }
    }
    expect(kept.demands.size).toBe(2);
  });
  it("is not taken for a setting that was turned, another load, or another version of the exercise", () => {
    const book = bookFor(heavy, keeping());
    const variant = squat.variants.find(({ kit }) => kit.length > 0) ?? (squat.variants[0] as Variant);
    const first = firstPrescription(variant);
    const share = (exercise: Exercise, more: object = {}) => {
      const told = book.demandOf(exercise, { ...first, ...more });
      return told.ok ? told.demand.working.weightShare : null;
    };
    const before = share(squat);
    expect(share(squat, { dose: { ...variant.dose, loadKg: 100 } })).toBeGreaterThan(before ?? 0);
    const revised = { ...squat, asks: { ...squat.asks, bothLegs: true, inTurn: true } };
    expect(share(revised)).toBeGreaterThan(before ?? 0);
    expect(share(squat)).toBe(before);
  });
});
