import { variantOf, type Exercise, type Variant } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { asksOf } from "./asks-of";
import type { Demand, LegDemand } from "./demand";
import type { DemandBook } from "./demand-book";
import { jointArc } from "./joint-arc";

const bearing = {
  nothing: { weightShare: 0, stand: "none" },
  both: { weightShare: 0.5, stand: "shared" },
  ahead: { weightShare: 1, stand: "staggered" },
  alone: { weightShare: 1, stand: "alone" },
} as const;
const floorPositions = ["supine", "prone", "side-lying", "kneeling", "hands-and-knees"];
const kneelingPositions = ["kneeling", "hands-and-knees"];
const handsOf: Readonly<Record<string, Demand["hands"]>> = {
  "two-hands": "two",
  "one-hand": "one",
  fingertips: "fingertips",
};

/**
 * What a variant says of itself: its position, its written arcs, its words. For asking which exercises a stage names at all,
 * where nobody's body is known, and for exercises that nobody drew. Whoever prescribes asks a book of drawings.
 */
export const labelBook: DemandBook = {
  demandOf: (exercise, prescription) => ({
    exercise,
    ok: true,
    demand: byLabels(exercise, variantOf(exercise, prescription.variantId), prescription),
  }),
};

function byLabels(exercise: Exercise, variant: Variant, prescription: Prescription): Demand {
  const { position } = variant;
  const { settings } = variant;
  const asks = asksOf(exercise, variant);
  const is = (knob: string, ...values: string[]) => values.includes(String(settings[knob]));
  const springs = is("contraction", "plyometric");
  const single = is("laterality", "single", "both-up-one-down");
  const standing = position === "standing";
  const stands = !standing ? "nothing" : single ? "alone" : is("laterality", "staggered") ? "ahead" : "both";
  const arc = (joint: "knee" | "hip"): [number, number] => jointArc(joint, prescription, variant) ?? [0, 0];
  const still: LegDemand = {
    kneeFlexionDeg: [0, 0],
    hipFlexionDeg: [0, 0],
    hipAbductionDeg: [0, 0],
    hipOutwardRotationDeg: [0, 0],
    ankleDorsiflexionDeg: [0, 0],
    loaded: false,
    ...bearing.nothing,
  };
  const codes = exercise.forbiddenBy ?? [];
  const load = standing || springs || (prescription.dose.loadKg ?? 0) > 0;
  return {
    working: {
      ...still,
      kneeFlexionDeg: arc("knee"),
      hipFlexionDeg: arc("hip"),
      ...bearing[stands],
      loaded: load,
      ...(springs ? { weightShare: single ? 2 : 1 } : {}),
    },
    other: still,
    bothWork: false,
    spineFlexionDeg: [0, 0],
    spring: springs
      ? (asks.spring ?? (single || asks.running ? "single-leg-landing" : "two-leg-landing"))
      : "none",
    running: asks.running === true,
    resisted: [...(asks.resisted ?? [])],
    against: asks.against ?? "external",
    lengthened: [...(asks.lengthened ?? [])],
    stretched: [...(asks.stretched ?? [])],
    straightLegRaise: codes.includes("straight-leg-raise"),
    kneeling: codes.includes("kneeling") || kneelingPositions.includes(position),
    floor: floorPositions.includes(position),
    positions: [position],
    base: standing
      ? ({ nothing: "none", both: "both-feet", ahead: "staggered", alone: "one-foot" } as const)[stands]
      : "none",
    hands: handsOf[String(settings["support"])] ?? "none",
    eyesClosed: is("vision", "closed"),
    softSurface: is("surface", "soft", "unstable"),
    secondTask: is("attention", "second-task"),
  };
}
