import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bookOfBody } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import { procedures, proceduresOf } from "~/catalogue/procedures/all";
import type { CaseFile } from "~/core/case/case-file";
import { limitsOf } from "~/core/case/in-force";
import type { DrawnDemandOrWhy } from "~/core/demand/drawn-demand";
import { operationLimits } from "~/core/event/operation-limits";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import { obstacle } from "~/core/limit/obstacle";
import { stageOf } from "~/core/pathway/pathway";
import { reviewCase } from "~/core/review/review-case";
import { addDays, localDay } from "~/core/schedule/local-day";
import { livedCase } from "~tests/builders/lived-cases";

/** Whatever operations somebody has had, on whatever day: what follows from it holds in their whole record. */
const kept = new Map<string, DrawnDemandOrWhy>();
const book = bookOfBody({ heightM: 1.72 }, kept);
const grafts = ["hamstring", "patellar tendon", "quadriceps tendon"] as const;
const codes = procedures.map(({ code }) => code);
const operation = fc.record({
  done: fc.subarray(codes, { minLength: 1, maxLength: 3 }),
  graft: fc.constantFrom(...grafts),
  daysAgo: fc.integer({ min: 0, max: 200 }),
});
const limitsAfter = (done: readonly string[], graft: string, on: string) =>
  operationLimits(proceduresOf(done), { on, graft });

describe("lived records with operations in them", () => {
  const operated = fc.tuple(livedCase, operation).map(([file, { done, graft, daysAgo }]): CaseFile => {
    const on = addDays(localDay(file.asOf, file.zone), -daysAgo);
    return {
      ...file,
      events: [
        {
          id: "op",
          at: `${on}T12:00:00.000Z`,
          kind: "operation",
          on,
          procedures: done,
          graft,
          limits: limitsAfter(done, graft, on),
          reason: "From the letter",
        },
      ],
    };
  });

  it("no proposal breaks what the operations limit; what breaks it already is eased within it, or stopped", () => {
    let judged = 0;
    let barred = 0;
    fc.assert(
      fc.property(operated, (file) => {
        const today = localDay(file.asOf, file.zone);
        const review = reviewCase(file, { book });
        const limits = limitsOf(file, stageOf(file.pathway, review.stage)).filter(
          ({ origin }) => origin === "procedure" || origin === "surgeon",
        );
        for (const { exerciseId, prescription, proposal } of review.items) {
          const exercise = file.exercises.find(({ id }) => id === exerciseId);
          if (!exercise) throw new Error(exerciseId);
          const broken = (one: typeof prescription) =>
            obstacle(one, variantOf(exercise, one.variantId), exercise, limits, today, book);
          if (broken(prescription)) {
            barred += 1;
            expect(["stop", "ease"]).toContain(proposal.outcome);
          }
          const { change } = proposal;
          if (!change || !("prescription" in change)) continue;
          judged += 1;
          expect(broken(change.prescription)?.says ?? null).toBeNull();
        }
      }),
      { numRuns: 100, seed: 21 },
    );
    expect(judged).toBeGreaterThan(40);
    expect(barred).toBeGreaterThan(40);
  });
});

describe("operations and days", () => {
  const anyVariant = fc
    .constantFrom(...startingExercises)
    .chain((exercise) => fc.constantFrom(...exercise.variants).map((variant) => ({ exercise, variant })));

  it("one more procedure never makes more allowed, and a day later never less", () => {
    let freed = 0;
    fc.assert(
      fc.property(anyVariant, operation, fc.constantFrom(...codes), ({ exercise, variant }, one, more) => {
        const on = "2026-01-10";
        const free = (done: readonly string[], day: number) =>
          obstacle(
            firstPrescription(variant),
            variant,
            exercise,
            limitsAfter(done, one.graft, on),
            addDays(on, day),
            book,
          ) === null;
        const { done, daysAgo: day } = one;
        if (!free(done, day)) expect(free([...new Set([...done, more])], day)).toBe(false);
        if (free(done, day)) expect(free(done, day + 1)).toBe(true);
        else if (free(done, day + 60)) freed += 1;
      }),
      { numRuns: 1500, seed: 22 },
    );
    expect(freed).toBeGreaterThan(50);
  });
});
