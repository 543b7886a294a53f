import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { synonyms } from "~/catalogue/exercises/synonyms";
import { offeredWords } from "~/catalogue/figures/offered";
import { figureOf } from "~/catalogue/figures/all";
import { stageNeeds } from "~/catalogue/stage-needs/all";
import { labelBook } from "~/core/demand/label-book";
import type { Dose } from "~/core/dose/dose";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import { findKnob, turnedKnobs } from "~/core/exercise/knob";
import type { Prescription } from "~/core/exercise/prescription";
import { figureExtent } from "~/core/figure/draw-figure";
import { bodyLengths } from "~/core/pose/body-lengths";
import { exerciseIndex, exerciseSearch } from "~/core/progression/exercise-search";
import { harder } from "~/core/progression/harder";
import { prescriptionProblems } from "~/core/progression/prescription-problems";

interface Asked {
  /** As a clinician would say it; written down before it was tried. */
  readonly said: string;
  /** What they type to find it. */
  readonly typed: string;
  readonly exercise: string;
  readonly variant: string;
  readonly settings?: Prescription["settings"];
  readonly dose?: Partial<Dose>;
  readonly leg?: Prescription["leg"];
  /** The knob the engine should turn next, and to what; null where it should leave the dose alone. */
  readonly next: readonly [knob: string, to: number | string] | null;
}
const range = (bottom: number, top: number = bottom) => ({ bottom, top });

const asked: readonly Asked[] = [
  // Knee
  {
    said: "Side step-up on 15 cm, leaning forward, right leg only, three eights, two seconds up and down",
    typed: "lateral step-up",
    exercise: "side-step-up",
    variant: "side-step-up-free",
    settings: { "step-height": 15, trunk: "leaning" },
    dose: { reps: range(8), tempo: "2-0-2-0" },
    leg: "affected",
    next: ["step-height", 20],
  },
  {
    said: "Goblet squat to 75 degrees, heels on a wedge, pause of a second half-way up, 10 kg, 3 × 8–12",
    typed: "goblet",
    exercise: "two-leg-squat",
    variant: "squat-goblet",
    settings: { "knee-angle": 75, raised: "heels" },
    dose: { loadKg: 10, halfwayPauseSeconds: 1 },
    next: ["knee-angle", 90],
  },
  {
    said: "Last degrees against the band, 2 × 15 held two seconds, every day",
    typed: "TKE",
    exercise: "terminal-extension",
    variant: "terminal-extension-free",
    dose: { sets: 2, reps: range(15), daysPerWeek: 7 },
    next: ["reps", "15-20"],
  },
  {
    said: "Split squat with the front foot on a block, long stance, 2 × 10",
    typed: "split squat",
    exercise: "split-squat",
    variant: "split-squat-free",
    settings: { raised: "front-foot" },
    dose: { sets: 2, reps: range(10) },
    next: ["range", "three-quarter"],
  },
  {
    said: "One-leg press, heavy and slow, fifteens at 45 kg, four sets, three days",
    typed: "leg press",
    exercise: "leg-press",
    variant: "leg-press-heavy",
    dose: { loadKg: 45 },
    next: ["repetition-maximum", 12],
  },
  // Hip
  {
    said: "Clamshell at 60 with the band, 2 × 15",
    typed: "clamshell",
    exercise: "clam",
    variant: "clam-band",
    dose: { sets: 2, reps: range(15) },
    next: ["reps", "10-20"],
  },
  {
    said: "Bridge on two legs as a primer, one set of ten held three seconds",
    typed: "glute bridge",
    exercise: "bridge",
    variant: "bridge-two-legs",
    dose: { sets: 1, reps: range(10), hold: range(3) },
    next: ["reps", "8-20"],
  },
  {
    said: "Hip thrust with 12 kg on the hips, full range, 3 × 10",
    typed: "hip thrust",
    exercise: "hip-thrust",
    variant: "hip-thrust-weight",
    settings: { range: "full" },
    dose: { loadKg: 12, reps: range(10) },
    next: ["load", 14],
  },
  {
    said: "Reaches back and across to 40 cm, three sets of eight",
    typed: "star excursion",
    exercise: "three-way-reach",
    variant: "reach-back-across",
    settings: { reach: 40 },
    dose: { sets: 3, reps: range(8) },
    next: ["reach", 43],
  },
  {
    said: "Leg out over the table, knee straight, 2 × 12, for somebody who cannot get to the floor",
    typed: "extension over a table",
    exercise: "table-extension",
    variant: "table-extension-straight",
    dose: { sets: 2, reps: range(12) },
    next: ["reps", "10-15"],
  },
  // Hamstring or groin
  {
    said: "Nordics with a light band, three fours, twice a week",
    typed: "nordic",
    exercise: "kneeling-lowering",
    variant: "kneeling-lowering-light-band",
    dose: { sets: 3, reps: range(4), daysPerWeek: 2 },
    next: ["range", "three-quarter"],
  },
  {
    said: "Ball squeeze, five tens at 50 to 70 per cent",
    typed: "groin squeeze",
    exercise: "ball-squeeze",
    variant: "ball-squeeze-bent",
    dose: { sets: 5, hold: range(10), effort: { lowPercent: 50, highPercent: 70 } },
    next: ["effort", "70-85"],
  },
  {
    said: "Romanian deadlift, 20 kg, three down, one up, 3 × 8",
    typed: "RDL",
    exercise: "hinge",
    variant: "hinge-loaded",
    dose: { loadKg: 20, tempo: "3-0-1-0", reps: range(8) },
    next: ["load", 22],
  },
  {
    said: "Hamstring stretch with the strap, 30 s, five times a day",
    typed: "hamstring stretch",
    exercise: "hamstring-stretch",
    variant: "hamstring-stretch-straight",
    dose: { hold: range(30), boutsPerDay: 5 },
    next: null,
  },
  {
    said: "Side hops for time, one leg, one set of thirty contacts a side",
    typed: "side hop",
    exercise: "timed-hops",
    variant: "timed-hops-across",
    dose: { sets: 1, contacts: range(20, 30) },
    next: ["contacts", "30-40"],
  },
  // Back or older adult
  {
    said: "Deadlift from blocks, 40 kg, 3 × 6",
    typed: "rack pull",
    exercise: "deadlift",
    variant: "deadlift-high-blocks",
    dose: { loadKg: 40, reps: range(6) },
    next: ["load", 42.5],
  },
  {
    said: "Low back lifted on the back, two sets of twelve before the lifts",
    typed: "low back lifted",
    exercise: "low-back-lift",
    variant: "low-back-lift-small",
    dose: { sets: 2, reps: range(12) },
    next: null,
  },
  {
    said: "Lowering towards a chair, part of the way, both hands, five at a time, twice a day",
    typed: "lowering chair",
    exercise: "part-lowering",
    variant: "part-lowering-part",
    dose: { sets: 1, reps: range(5, 8), boutsPerDay: 2 },
    next: ["reps", "8-12"],
  },
  {
    said: "Stand on one leg, one hand at the rail, 3 × 10 s",
    typed: "stork",
    exercise: "single-leg-stance",
    variant: "stance-single-held",
    dose: { sets: 3, hold: range(5, 10) },
    next: ["hold", "10-30"],
  },
  {
    said: "Rise from a 60 cm chair with one hand, 2 × 8",
    typed: "sit to stand",
    exercise: "chair-stand",
    variant: "chair-stand-one-hand",
    settings: { "box-height": 60 },
    dose: { sets: 2, reps: range(8) },
    next: ["box-height", 55],
  },
];

const index = exerciseIndex(startingExercises, stageNeeds, synonyms);

describe.each(asked)("'$said'", ({ typed, exercise: id, variant: variantId, settings, dose, leg, next }) => {
  const exercise = startingExercises.find((one) => one.id === id);
  if (!exercise) throw new Error(`${id} is not in the catalogue`);
  const variant = variantOf(exercise, variantId);
  const first = firstPrescription(variant, leg);
  const prescription: Prescription = {
    ...first,
    settings: { ...first.settings, ...settings },
    dose: { ...first.dose, ...dose },
  };

  it("is found by what is typed", () => {
    const ids = [...new Set(exerciseSearch(index, { text: typed }).map((hit) => hit.exercise.id))];
    expect(ids.slice(0, 5)).toContain(id);
  });

  it("makes sense, stands at words the movement shows, and can be drawn for small and tall", () => {
    expect(prescriptionProblems(exercise, prescription, false)).toEqual([]);
    for (const [name, value] of Object.entries(prescription.settings))
      if (findKnob(name)?.words) expect(offeredWords(exercise, name)).toContain(value);
    for (const heightM of [1.6, 1.9]) {
      const body = bodyLengths({ heightM });
      const figure = figureOf(exercise, prescription, body);
      if (!figure) throw new Error("no figure");
      expect(figureExtent(body, figure, { left: false, marked: "leg" }).ok).toBe(true);
    }
  });

  it("is stepped as said beforehand, one knob and no other", () => {
    const found = harder(exercise, prescription, {
      restrictions: [],
      today: "2026-03-02",
      book: labelBook,
    });
    if (next === null) return;
    if (found.found !== "change") throw new Error(found.found);
    expect([found.change.knob, found.change.to]).toEqual(next);
    const also = turnedKnobs(prescription, found.change.prescription).filter(
      (name) => name !== found.change.knob,
    );
    // As the repetition maximum falls the load may rise to the next that is on the shelf.
    const mayAlso = found.change.knob === "repetition-maximum" ? ["load"] : [];
    expect(also.filter((name) => !mayAlso.includes(name))).toEqual([]);
  });
});
