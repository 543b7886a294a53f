import { expect, it } from "vitest";
import { findCalculation } from "~/catalogue/calculations/all";
import { startingExercises } from "~/catalogue/exercises/all";
import { runCalculation, type Calculation } from "~/core/calculation/calculation";
import { triples } from "./limit-triples";

const exerciseOf = (variantId: string) =>
  startingExercises.find(({ variants }) => variants.some(({ id }) => id === variantId))?.id;

it("has at least 80 triples, and both answers of them often", () => {
  expect(triples.length).toBeGreaterThanOrEqual(80);
  expect(triples.filter(({ allowed }) => allowed).length).toBeGreaterThan(30);
  expect(triples.filter(({ allowed }) => !allowed).length).toBeGreaterThan(40);
});

it.each(triples.map((triple) => [triple.variant, triple.limit.kind, triple.because, triple] as const))(
  "%s under a limit of %s: %s",
  (_variant, _kind, _because, { limit, variant, settings, loadKg, allowed }) => {
    const answer = runCalculation(findCalculation("allowed") as Calculation, {
      exerciseId: exerciseOf(variant),
      variantId: variant,
      ...(settings ? { settings } : {}),
      ...(loadKg === undefined ? {} : { dose: { loadKg } }),
      body: { heightM: 1.75, massKg: 70 },
      limits: [limit],
      today: "2026-03-10",
    });
    expect(answer).toMatchObject({ ok: true, value: { allowed } });
  },
);
