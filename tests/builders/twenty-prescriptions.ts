import type { Dose } from "~/core/dose/dose";
import type { Prescription } from "~/core/exercise/prescription";

export interface Asked {
  /** As a clinician would say it; written down before it was tried. */
  readonly said: string;
  /** What they type to find it. */
  readonly typed: string;
  /** The dose in one line: what differs from where the exercise begins. */
  readonly line: string;
  readonly exercise: string;
  readonly variant: string;
  readonly settings?: Prescription["settings"];
  readonly dose?: Partial<Dose>;
  readonly leg?: Prescription["leg"];
  /** The knob the engine should turn next, and to what; null where it should leave the dose alone. */
  readonly next: readonly [knob: string, to: number | string] | null;
}
const range = (bottom: number, top: number = bottom) => ({ bottom, top });

/** Twenty prescriptions as a clinician would say them, written down beforehand: five each for knee, hip, hamstring or groin, back or older adult. */
export const asked: readonly Asked[] = [
  // Knee
  {
    said: "Side step-up on 15 cm, leaning forward, right leg only, three eights, two seconds up and down",
    typed: "lateral step",
    line: "3x8 15cm lean 2020 r",
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
    line: "75° heels 10kg halfway 1",
    exercise: "two-leg-squat",
    variant: "squat-goblet",
    settings: { "knee-angle": 75, raised: "heels" },
    dose: { loadKg: 10, halfwayPauseSeconds: 1 },
    next: ["knee-angle", 90],
  },
  {
    said: "Last degrees against the band, 2 × 15 held two seconds, every day",
    typed: "TKE",
    line: "2x15 hold 2 daily",
    exercise: "terminal-extension",
    variant: "terminal-extension-free",
    dose: { sets: 2, reps: range(15), daysPerWeek: 7 },
    next: ["reps", "15-20"],
  },
  {
    said: "Split squat with the front foot on a block, long stance, 2 × 10",
    typed: "split squat",
    line: "2x10 front foot",
    exercise: "split-squat",
    variant: "split-squat-free",
    settings: { raised: "front-foot" },
    dose: { sets: 2, reps: range(10) },
    next: ["range", "three-quarter"],
  },
  {
    said: "One-leg press, heavy and slow, fifteens at 45 kg, four sets, three days",
    typed: "leg press",
    line: "45kg",
    exercise: "leg-press",
    variant: "leg-press-heavy",
    dose: { loadKg: 45 },
    next: ["repetition-maximum", 12],
  },
  // Hip
  {
    said: "Clamshell at 60 with the band, 2 × 15",
    typed: "clamshell",
    line: "2x15",
    exercise: "clam",
    variant: "clam-band",
    dose: { sets: 2, reps: range(15) },
    next: ["reps", "10-20"],
  },
  {
    said: "Bridge on two legs as a primer, one set of ten held three seconds",
    typed: "glute bridge",
    line: "1x10 hold 3 primer",
    exercise: "bridge",
    variant: "bridge-two-legs",
    dose: { sets: 1, reps: range(10), hold: range(3) },
    next: ["reps", "8-20"],
  },
  {
    said: "Hip thrust with 12 kg on the hips, full range, 3 × 10",
    typed: "hip thrust",
    line: "12kg 3x10 full",
    exercise: "hip-thrust",
    variant: "hip-thrust-weight",
    settings: { range: "full" },
    dose: { loadKg: 12, reps: range(10) },
    next: ["load", 14],
  },
  {
    said: "Reaches back and across to 40 cm, three sets of eight",
    typed: "star excursion",
    line: "40cm 3x8",
    exercise: "three-way-reach",
    variant: "reach-back-across",
    settings: { reach: 40 },
    dose: { sets: 3, reps: range(8) },
    next: ["reach", 43],
  },
  {
    said: "Leg out over the table, knee straight, 2 × 12, for somebody who cannot get to the floor",
    typed: "extension over a table",
    line: "2x12",
    exercise: "table-extension",
    variant: "table-extension-straight",
    dose: { sets: 2, reps: range(12) },
    next: ["reps", "10-15"],
  },
  // Hamstring or groin
  {
    said: "Nordics with a light band, three fours, twice a week",
    typed: "nordic",
    line: "3x4 2/week",
    exercise: "kneeling-lowering",
    variant: "kneeling-lowering-light-band",
    dose: { sets: 3, reps: range(4), daysPerWeek: 2 },
    next: ["range", "three-quarter"],
  },
  {
    said: "Ball squeeze, five tens at 50 to 70 per cent",
    typed: "groin squeeze",
    line: "5x10 50-70%",
    exercise: "ball-squeeze",
    variant: "ball-squeeze-bent",
    dose: { sets: 5, hold: range(10), effort: { lowPercent: 50, highPercent: 70 } },
    next: ["effort", "70-85"],
  },
  {
    said: "Romanian deadlift, 20 kg, three down, one up, 3 × 8",
    typed: "RDL",
    line: "20kg 3x8 3010",
    exercise: "hinge",
    variant: "hinge-loaded",
    dose: { loadKg: 20, tempo: "3-0-1-0", reps: range(8) },
    next: ["load", 22],
  },
  {
    said: "Hamstring stretch with the strap, 30 s, five times a day",
    typed: "hamstring stretch",
    line: "5/day hold 30",
    exercise: "hamstring-stretch",
    variant: "hamstring-stretch-straight",
    dose: { hold: range(30), boutsPerDay: 5 },
    next: null,
  },
  {
    said: "Side hops for time, one leg, one set of thirty contacts a side",
    typed: "side hop",
    line: "1x20-30",
    exercise: "timed-hops",
    variant: "timed-hops-across",
    dose: { sets: 1, contacts: range(20, 30) },
    next: ["contacts", "30-40"],
  },
  // Back or older adult
  {
    said: "Deadlift from blocks, 40 kg, 3 × 6",
    typed: "rack pull",
    line: "40kg 3x6",
    exercise: "deadlift",
    variant: "deadlift-high-blocks",
    dose: { loadKg: 40, reps: range(6) },
    next: ["load", 42.5],
  },
  {
    said: "Low back lifted on the back, two sets of twelve before the lifts",
    typed: "low back lifted",
    line: "2x12 primer",
    exercise: "low-back-lift",
    variant: "low-back-lift-small",
    dose: { sets: 2, reps: range(12) },
    next: null,
  },
  {
    said: "Lowering towards a chair, part of the way, both hands, five at a time, twice a day",
    typed: "lowering chair",
    line: "1x5-8 2/day",
    exercise: "part-lowering",
    variant: "part-lowering-part",
    dose: { sets: 1, reps: range(5, 8), boutsPerDay: 2 },
    next: ["reps", "8-12"],
  },
  {
    said: "Stand on one leg, one hand at the rail, 3 × 10 s",
    typed: "stork",
    line: "3x5-10",
    exercise: "single-leg-stance",
    variant: "stance-single-held",
    dose: { sets: 3, hold: range(5, 10) },
    next: ["hold", "10-30"],
  },
  {
    said: "Rise from a 60 cm chair with one hand, 2 × 8",
    typed: "sit to stand",
    line: "60cm 2x8",
    exercise: "chair-stand",
    variant: "chair-stand-one-hand",
    settings: { "box-height": 60 },
    dose: { sets: 2, reps: range(8) },
    next: ["box-height", 55],
  },
];
