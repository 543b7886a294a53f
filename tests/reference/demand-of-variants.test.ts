import { expect, it } from "vitest";
import { bookFor } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import { firstPrescription } from "~/core/exercise/exercise";
import type { Demand } from "~/core/demand/demand";

const book = bookFor({ heightM: 1.75, massKg: 80 });

function demand(variantId: string, loadKg?: number): Demand {
  for (const exercise of startingExercises) {
    const variant = exercise.variants.find(({ id }) => id === variantId);
    if (!variant) continue;
    const first = firstPrescription(variant);
    const told = book.demandOf(exercise, {
      ...first,
      dose: { ...first.dose, ...(loadKg === undefined ? {} : { loadKg }) },
    });
    if (!told.ok) throw new Error(told.why);
    return told.demand;
  }
  throw new Error(variantId);
}

/** What a person sees on looking at the movement (common practice for springs; the rest is how it is done). */
it.each([
  ["squat-free", { base: "both-feet", hands: "none", floor: false, spring: "none", straightLegRaise: false }],
  ["split-squat-held", { base: "staggered", hands: "two" }],
  ["stance-eyes-closed", { base: "one-foot", hands: "none", eyesClosed: true, softSurface: false }],
  ["stance-task", { eyesClosed: true, softSurface: true, secondTask: true }],
  ["walk-aided", { base: "one-foot", hands: "two", running: false }],
  ["bridge-two-legs", { base: "none", floor: true, kneeling: false, hands: "none" }],
  ["front-plank-feet", { base: "none", floor: true, kneeling: false, hands: "none" }],
  ["front-plank-knees", { base: "none", floor: true, kneeling: true }],
  ["opposite-reach-long", { base: "none", kneeling: true, floor: true }],
  ["lean-back-free", { base: "both-feet", kneeling: true }],
  ["half-kneeling-stretch-held", { base: "staggered", kneeling: true }],
  ["seated-extension-both-phases", { base: "none", floor: false, resisted: ["quadriceps"] }],
  ["rebounds-two-legs", { spring: "rebound", running: false }],
  ["drop-jump-both", { spring: "two-leg-landing" }],
  ["line-hops-across", { spring: "single-leg-landing" }],
  ["running-straight", { spring: "single-leg-landing", running: true }],
  ["pivot-runs", { spring: "cutting", running: true }],
  ["slr-own", { straightLegRaise: true, resisted: ["hip-flexors"] }],
  ["slr-strap", { straightLegRaise: false, resisted: [] }],
  ["kneeling-lowering-free", { resisted: ["hamstrings"], lengthened: ["hamstrings"] }],
] as [string, Partial<Demand>][])("%s", (variantId, asked) => expect(demand(variantId)).toMatchObject(asked));

/** Shares of body mass by hand: statics of what carries, a load over 80 kg. */
it.each([
  ["squat-free", undefined, 0.5, 0.5],
  ["squat-bar", 40, 0.75, 0.75],
  ["stance-eyes-open", undefined, 1, 0],
  ["quad-set-alone", undefined, 0, 0],
  ["leg-press-both", 80, 0.5, 0.5],
  ["leg-press-single", 40, 0.5, 0],
  ["seated-calf-weight", 16, 0.1, 0.1],
  ["extension-machine-single", 20, 0, 0],
  ["lean-back-free", undefined, 0.5, 0.5],
  ["march-held", undefined, 0, 1],
  ["hops-one-leg", undefined, 2, 0],
] as const)("%s with %s kg: %s and %s of body mass", (variantId, loadKg, working, other) => {
  const told = demand(variantId, loadKg);
  expect(told.working.weightShare).toBeCloseTo(working, 1);
  expect(told.other.weightShare).toBeCloseTo(other, 1);
});
