import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { noMaximalSqueeze } from "./cautions";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { holdsBreath, kneeIn, oneSidePushes, pelvisTurns, trunkLeans } from "./faults";

const bands = ladder("effort", "30-40", "50-70", "70-85", "85-100");

export const ballSqueeze: Exercise = {
  id: "ball-squeeze",
  name: "Ball squeeze",
  family: "adductor-squeeze",
  lane: "adductors",
  muscles: ["adductors"],
  regions: ["groin", "hip"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "light",
  feltIn: "inner thigh, both sides alike",
  notFeltIn: "the pubic bone or the lower belly",
  cues: ["Build the press over two seconds", "Keep the pelvis still", "Breathe through the hold"],
  breathing: "Slowly out while pressing.",
  faults: [
    { code: "pelvis-tilts", name: "Pelvis tilts or lifts", view: "side", phase: "throughout" },
    oneSidePushes,
    holdsBreath,
  ],
  caution: noMaximalSqueeze,
  forbiddenBy: [],
  gauge: "squeeze-force",
  leadsTo: ["adductor-slide", "standing-band-adduction"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "both", lever: "short" },
      dose: dose("squeeze"),
      turns: [bands, ladder("hold", "10-10", "15-15", "20-20")],
      position: "supine",
      kit: ["ball"],
      phase: "isometric",
      arcs: { knee: [80, 90], hip: [45, 60] },
    },
    [
      { id: "ball-squeeze-bent", name: "Ball between the knees, knees bent" },
      {
        id: "ball-squeeze-straight",
        name: "Ball between the ankles, legs straight",
        turn: ["lever", "long"],
        turns: [bands, ladder("hold", "10-10", "15-15")],
        arcs: { knee: [0, 5], hip: [0, 10] },
      },
    ],
  ),
  source: commonPractice,
};

export const ringSqueeze: Exercise = {
  id: "ring-squeeze",
  name: "Ring press",
  family: "adductor-squeeze",
  lane: "adductors",
  muscles: ["adductors"],
  regions: ["groin", "hip"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "moderate",
  feltIn: "inner thigh, both sides alike",
  notFeltIn: "the pubic bone or the lower belly",
  cues: ["Press the ring together, wait two seconds, give way slowly"],
  faults: [
    { code: "snaps-open", name: "Lets the ring snap open", view: "front", phase: "down" },
    holdsBreath,
  ],
  forbiddenBy: [],
  leadsTo: ["standing-band-adduction"],
  variants: progression(
    {
      settings: { contraction: "concentric-eccentric", laterality: "both", lever: "short", range: "part" },
      dose: dose("control", { reps: from(10, 15), hold: from(2) }),
      turns: [ladder("reps", "10-15", "15-20")],
      position: "sitting",
      kit: ["ball", "chair"],
      phase: "isolated",
      arcs: { knee: [80, 90], hip: [80, 90] },
    },
    [
      { id: "ring-squeeze-knees", name: "Between the knees, sitting" },
      { id: "ring-squeeze-wide", name: "Between the knees, feet wide", turn: ["range", "full"] },
      {
        id: "ring-squeeze-ankles",
        name: "Between the ankles, lying",
        turn: ["lever", "long"],
        position: "supine",
        kit: ["ball"],
        arcs: { knee: [0, 5], hip: [0, 10] },
      },
    ],
  ),
  source: commonPractice,
};

export const standingBandAdduction: Exercise = {
  id: "standing-band-adduction",
  name: "Standing band pull across",
  family: "adductor-band",
  lane: "adductors",
  alsoTrains: ["balance"],
  muscles: ["adductors"],
  regions: ["groin", "hip"],
  loads: loads("low", "moderate", "low"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "inner thigh of the leg in the band",
  cues: ["Stand tall on the other leg", "Draw the leg in and a little across, slowly back"],
  faults: [trunkLeans, pelvisTurns],
  forbiddenBy: [],
  leadsTo: ["side-lying-adduction"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        support: "two-hands",
        range: "part",
      },
      dose: dose("control", { reps: from(10, 15), hold: from(2) }),
      turns: [ladder("range", "part", "three-quarter", "full"), ladder("reps", "10-15", "15-20")],
      position: "standing",
      kit: ["band", "chair"],
      phase: "isolated",
      arcs: { knee: [0, 10], hip: [0, 10] },
    },
    [
      { id: "standing-band-adduction-two-hands", name: "Both hands held" },
      { id: "standing-band-adduction-one-hand", name: "One hand held", turn: ["support", "one-hand"] },
      {
        id: "standing-band-adduction-free",
        name: "Without holding on",
        turn: ["support", "none"],
        kit: ["band"],
        dose: dose("strength", { bandN: 40 }),
        turns: [ladder("range", "part", "three-quarter", "full"), ladder("band", 40, 60, 80, 100)],
      },
    ],
  ),
  source: commonPractice,
};

export const adductorSlide: Exercise = {
  id: "adductor-slide",
  name: "Adductor slide",
  family: "adductor-slide",
  lane: "adductors",
  alsoTrains: ["knee-extensors"],
  muscles: ["adductors", "quadriceps", "gluteus-medius"],
  regions: ["groin", "hip"],
  loads: loads("moderate", "moderate", "low"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "inner thigh of the sliding leg",
  notFeltIn: "the inside of the standing knee",
  cues: ["Weight over the standing leg", "Slide out slowly, drag back with the inner thigh"],
  faults: [{ ...trunkLeans, name: "Trunk leans over the sliding leg" }, kneeIn],
  caution: "Slide only as far as it stays within the pain rule; no stretch at the end.",
  forbiddenBy: ["adductor-stretch"],
  leadsTo: ["side-lying-adduction"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "staggered",
        support: "two-hands",
        range: "part",
      },
      dose: dose("control", { reps: from(8, 12), hold: undefined }),
      turns: [ladder("range", "part", "three-quarter", "full")],
      position: "standing",
      kit: ["slider"],
      phase: "isolated",
      arcs: { knee: [0, 50], hip: [0, 45] },
    },
    [
      { id: "adductor-slide-held", name: "Slide with both hands held" },
      {
        id: "adductor-slide-fingertips",
        name: "Slide, fingertips on a table",
        turn: ["support", "fingertips"],
      },
      {
        id: "adductor-slide-free",
        name: "Slide without holding on",
        turn: ["support", "none"],
        turns: [ladder("range", "part", "three-quarter", "full"), load("dumbbells", 24, 2)],
      },
    ],
  ),
  source: commonPractice,
};

export const sideLyingAdduction: Exercise = {
  id: "side-lying-adduction",
  name: "Side-lying adduction, top leg on a bench",
  family: "adductor-side-lying",
  lane: "adductors",
  alsoTrains: ["trunk"],
  muscles: ["adductors", "obliques"],
  regions: ["groin", "hip"],
  loads: loads("low", "moderate", "moderate"),
  sides: "each-side",
  effort: "hard",
  feltIn: "inner thigh of the lower and of the supported leg",
  notFeltIn: "the inside of the supported knee",
  cues: ["Shoulder, hip and knee in one line", "Lift the hips, then bring the lower leg up to the top one"],
  breathing: "Out on the way up.",
  faults: [
    { code: "hip-sags", name: "Hips sag towards the floor", view: "front", phase: "bottom" },
    { code: "trunk-turns", name: "Trunk turns backward", view: "back", phase: "up" },
  ],
  caution:
    "The highest adductor load in this list: soreness for two days is usual at first, pain at the site is not.",
  safety: "Bench against a wall; a pad under the elbow.",
  forbiddenBy: [],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "single", lever: "short", range: "part" },
      dose: dose("isometric-clinic", {
        sets: 3,
        hold: from(5, 10),
        policy: "hold",
        effort: undefined,
        daysPerWeek: 3,
      }),
      turns: [ladder("hold", "5-10", "10-20")],
      position: "side-lying",
      kit: ["bench"],
      phase: "isometric",
      arcs: { knee: [80, 90], hip: [0, 10] },
    },
    [
      { id: "side-lying-adduction-hold", name: "Knee on the bench, held" },
      {
        id: "side-lying-adduction-knee",
        name: "Knee on the bench",
        turn: ["contraction", "concentric-eccentric"],
        phase: "compound",
        dose: dose("strength", { sets: 2, reps: from(5, 10) }),
        turns: [ladder("sets", 1, 2, 3)],
      },
      {
        id: "side-lying-adduction-foot",
        name: "Foot on the bench",
        turn: ["lever", "long"],
        arcs: { knee: [0, 5], hip: [0, 10] },
        turns: [ladder("sets", 1, 2, 3), ladder("reps", "5-10", "8-15")],
      },
      {
        id: "side-lying-adduction-foot-full",
        name: "Foot on the bench, hips to the floor and up",
        turn: ["range", "full"],
      },
    ],
  ),
  source: commonPractice,
};

/** Adductor exercises, lightest first. */
export const adductorExercises = [
  ballSqueeze,
  ringSqueeze,
  standingBandAdduction,
  adductorSlide,
  sideLyingAdduction,
];
