import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { backArches, momentum, trunkLeans } from "./faults";

const held = (bottom: number, top: number) =>
  dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(bottom, top), sets: 4 });

export const march: Exercise = {
  id: "march",
  name: "March to 90°",
  family: "hip-flexor-march",
  lane: "hip-flexors",
  alsoTrains: ["balance"],
  muscles: ["hip-flexors"],
  regions: ["hip", "groin"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "front of the hip of the lifted leg",
  notFeltIn: "a pinch in the groin",
  cues: ["Lift to 90° as long as nothing pinches", "Stand tall, belt level"],
  faults: [trunkLeans, { code: "leans-back", name: "Trunk leans back", view: "side", phase: "up" }, momentum],
  caution: "Spared after hip arthroscopy until the surgeon's date.",
  forbiddenBy: [],
  variants: progression(
    {
      settings: {
        contraction: "isometric",
        laterality: "single",
        "hip-angle": 60,
        support: "two-hands",
        perturbation: "none",
      },
      dose: held(5, 10),
      turns: [ladder("hold", "5-10", "10-15")],
      position: "standing",
      kit: [],
      phase: "isometric",
      arcs: { knee: [60, 90], hip: [0, 60] },
    },
    [
      { id: "march-hold", name: "Thigh pressed into the hands, held" },
      {
        id: "march-held",
        name: "Both hands held",
        turn: ["contraction", "concentric-eccentric"],
        phase: "isolated",
        dose: dose("control", { hold: from(3) }),
        turns: [ladder("hip-angle", 60, 75, 90), ladder("reps", "10-20", "15-25")],
        arcs: { knee: [60, 90], hip: [0, 90] },
      },
      { id: "march-free", name: "Free", turn: ["support", "none"] },
      {
        id: "march-band",
        name: "Band round the feet",
        turn: ["perturbation", "band-foot"],
        kit: ["band"],
        phase: "compound",
        dose: dose("strength", { reps: from(8, 12), bandN: 30 }),
        turns: [ladder("hip-angle", 60, 75, 90), ladder("band", 30, 50, 70)],
      },
    ],
  ),
  source: commonPractice,
};

export const supineHipFlexion: Exercise = {
  id: "supine-hip-flexion",
  name: "Knee to chest against the band",
  family: "hip-flexor-supine",
  lane: "hip-flexors",
  alsoTrains: ["trunk"],
  muscles: ["hip-flexors", "abdominals"],
  regions: ["hip", "back"],
  loads: loads("low", "moderate", "low"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "front of the hip",
  notFeltIn: "the low back or a pinch in the groin",
  cues: ["Low back stays on the floor", "Draw one knee up, the other heel stays long"],
  faults: [{ ...backArches, phase: "down" }, momentum],
  forbiddenBy: [],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        lever: "short",
        raised: "flat",
        perturbation: "none",
      },
      dose: dose("control", { reps: from(8, 15), hold: from(2) }),
      turns: [ladder("reps", "8-15", "12-20")],
      position: "supine",
      kit: [],
      phase: "isolated",
      arcs: { knee: [60, 110], hip: [20, 90] },
    },
    [
      { id: "heel-slide-lift", name: "Other foot on the floor" },
      { id: "dead-leg-lift", name: "Other leg lying straight", turn: ["lever", "long"] },
      { id: "hover-leg-lift", name: "Other leg hovering", turn: ["raised", "both-feet"], phase: "compound" },
      {
        id: "hover-leg-band",
        name: "Other leg hovering, band round the feet",
        turn: ["perturbation", "band-foot"],
        kit: ["band"],
        dose: dose("strength", { bandN: 30 }),
        turns: [ladder("band", 30, 50, 70)],
      },
    ],
  ),
  source: commonPractice,
};

export const straightLegRaise: Exercise = {
  id: "straight-leg-raise",
  name: "Straight-leg raise",
  family: "straight-leg-raise",
  lane: "hip-flexors",
  alsoTrains: ["knee-extensors"],
  muscles: ["hip-flexors", "quadriceps"],
  regions: ["hip", "knee", "thigh"],
  loads: loads("low", "moderate", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "front of the thigh",
  notFeltIn: "a pinch in the groin or the low back",
  cues: [
    "Tighten the thigh before every lift",
    "Knee stays straight all the way",
    "No higher than the other knee",
  ],
  faults: [{ code: "lag", name: "Knee sags into a bend", view: "side", phase: "up" }, momentum],
  caution: "A knee that cannot be held straight goes back to thigh tightening.",
  forbiddenBy: ["straight-leg-raise"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        assistance: "strong",
        "load-place": "none",
      },
      dose: dose("control", { reps: from(6, 10), hold: from(3) }),
      turns: [ladder("reps", "6-10", "10-15")],
      position: "supine",
      kit: ["strap"],
      phase: "isolated",
      arcs: { knee: [0, 5], hip: [0, 45] },
    },
    [
      { id: "slr-strap", name: "Helped by a strap" },
      { id: "slr-light", name: "Strap lies ready", turn: ["assistance", "light"] },
      { id: "slr-own", name: "By its own strength", turn: ["assistance", "none"], kit: [] },
      {
        id: "slr-ankle-weight",
        name: "Weight at the ankle",
        turn: ["load-place", "ankle"],
        kit: ["ankle-weight"],
        dose: dose("strength", { loadKg: 0.5 }),
        turns: [load("ankle-weight", 5, 0.5, 10)],
      },
    ],
  ),
  source: commonPractice,
};

export const hipFlexorExercises = [march, supineHipFlexion, straightLegRaise];
