import type { Limit } from "~/core/limit/limit";

/** A limit, a variant with some settings, and whether a clinician would let it be done; reasoned by hand. */
export interface Triple {
  readonly limit: Limit;
  readonly variant: string;
  readonly settings?: Record<string, string | number>;
  readonly loadKg?: number;
  readonly allowed: boolean;
  readonly because: string;
}

const knee = (mostDeg: number, when: "any" | "loaded" = "any"): Limit => ({
  kind: "range",
  joint: "knee",
  mostDeg,
  when,
  leg: "involved",
});
const hip = (mostDeg: number): Limit => ({
  kind: "range",
  joint: "hip",
  mostDeg,
  when: "any",
  leg: "involved",
});
const arc = (leastDeg: number, mostDeg: number): Limit => ({ ...knee(mostDeg), leastDeg }) as Limit;
const weight = (mostShare: number): Limit => ({ kind: "weight", mostShare });
const resisted = (
  muscle: "quadriceps" | "hamstrings" | "hip-flexors" | "adductors",
  most: "none" | "own-weight",
): Limit => ({
  kind: "resisted",
  muscle,
  most,
});
const twoLegs: Limit = { kind: "legs", most: "both" };
const noSpring: Limit = { kind: "spring", most: "none" };
const balance = (most: "hands" | "fingertips" | "free" | "eyes-closed"): Limit => ({ kind: "balance", most });

const no = (limit: Limit, variant: string, because: string, more: Partial<Triple> = {}): Triple => ({
  limit,
  variant,
  because,
  allowed: false,
  ...more,
});
const yes = (limit: Limit, variant: string, because: string, more: Partial<Triple> = {}): Triple => ({
  ...no(limit, variant, because, more),
  allowed: true,
});

/**
 * For a person of 1.75 m and 70 kg. Sources: two links for heights of steps and boxes; the rest common practice, read with
 * a goniometer's convention: straight is 0°.
 */
export const triples: readonly Triple[] = [
  // Range of the knee: what is drawn is what is judged.
  yes(knee(60), "side-step-up-free", "a book of 5 cm bends the knee little", {
    settings: { "step-height": 5 },
  }),
  no(knee(60), "side-step-up-free", "a stair of 20 cm bends it past 60°", {
    settings: { "step-height": 20 },
  }),
  no(knee(60), "side-step-up-free", "25 cm all the more", { settings: { "step-height": 25 } }),
  no(knee(90), "single-leg-squat-plain", "a box of 40 cm is below a right angle", {
    settings: { "box-height": 40 },
  }),
  yes(knee(90), "single-leg-squat-plain", "a box of 65 cm is a shallow bend", {
    settings: { "box-height": 65 },
  }),
  no(knee(60), "wall-squat-near", "75° is past 60°", { settings: { "knee-angle": 75 } }),
  yes(knee(60), "wall-squat-near", "60° is 60°"),
  yes(knee(60), "wall-squat-far", "45° keeps it", { settings: { "knee-angle": 45 } }),
  no(knee(60), "leg-press-both", "75° on a machine is past 60° too"),
  yes(knee(60), "leg-press-both", "the seat stops at 60°", { settings: { "knee-angle": 60 } }),
  no(knee(90), "rock-back-full", "hips on heels bend the knee to the end"),
  yes(knee(90), "kneeling-lowering-free", "it begins upright on the knees and ends straighter"),
  no(knee(90), "lean-back-free", "leaning back on the knees bends them past 90°"),
  no(knee(90), "cycling-easy", "the top of the stroke is past 105°"),
  yes(knee(90), "quad-set-alone", "20° over a towel"),
  yes(knee(90), "straight-bridge-heels", "legs nearly straight"),
  no(knee(30), "band-side-steps-thigh", "45° of squat is past 30°", { settings: { "knee-angle": 45 } }),
  yes(knee(30), "band-side-steps-thigh", "a shallow bend of 20°", { settings: { "knee-angle": 20 } }),
  yes(
    knee(60),
    "split-squat-rear-raised",
    "part of the way the front knee bends little; the rear one is the other leg's",
  ),
  // Open-chain window after a graft (van Melick 2016, recalled): least and most, not width.
  yes(arc(45, 90), "seated-extension-both-phases", "60–90° lies inside", { settings: { arc: "60-90" } }),
  yes(arc(45, 90), "seated-extension-both-phases", "45–90° is the window", { settings: { arc: "45-90" } }),
  no(arc(45, 90), "seated-extension-both-phases", "0–30° is narrower and outside", {
    settings: { arc: "0-30" },
  }),
  no(arc(45, 90), "seated-extension-both-phases", "0–45° is as wide and outside", {
    settings: { arc: "0-45" },
  }),
  no(arc(45, 90), "extension-machine-single", "10–50° begins too straight", { settings: { arc: "10-50" } }),
  no(arc(45, 90), "extension-machine-heavy", "0–90° goes to straight"),
  // Loaded flexion after a meniscus repair (common practice): sitting idle is not loaded.
  yes(knee(90, "loaded"), "seated-knee-bend-own", "116° without anything but the shank's own weight"),
  yes(knee(90, "loaded"), "heel-slide-own", "sliding a heel is no load"),
  no(knee(90, "loaded"), "hip-thrust-weight", "105° at the bottom with the bar on the hips", { loadKg: 20 }),
  no(knee(90, "loaded"), "single-leg-squat-plain", "deep on one leg", { settings: { "box-height": 40 } }),
  // Hip after arthroscopy (common practice).
  no(hip(90), "chair-stand-free", "a low chair folds the hip past 90°", { settings: { "box-height": 45 } }),
  no(hip(90), "single-leg-squat-free", "sitting back folds it past 90°"),
  yes(hip(90), "bridge-two-legs", "lying, hips go straight"),
  yes(hip(90), "march-held", "a march to 60°"),
  no(hip(90), "cycling-low-saddle", "a low saddle folds it to 100°"),
  yes(hip(90), "cycling-easy", "a high saddle keeps 85°"),
  no(
    { kind: "range", joint: "hip", leastDeg: 0, when: "any", leg: "involved" },
    "standing-kick-back",
    "the thigh goes behind the body",
  ),
  no(
    { kind: "range", joint: "hip", leastDeg: 0, when: "any", leg: "involved" },
    "half-kneeling-stretch-further",
    "the stretch is extension",
  ),
  yes(
    { kind: "range", joint: "hip", leastDeg: 0, when: "any", leg: "involved" },
    "bridge-two-legs",
    "the bridge ends in line",
  ),
  no(
    { kind: "range", joint: "hip-rotation", mostDeg: 20, when: "any", leg: "involved" },
    "leg-roll-full",
    "rolled outward to the end",
  ),
  no(
    { kind: "range", joint: "hip-rotation", mostDeg: 20, when: "any", leg: "involved" },
    "leg-across-full",
    "the ankle on the other knee turns the hip out",
  ),
  yes(
    { kind: "range", joint: "hip-rotation", mostDeg: 20, when: "any", leg: "involved" },
    "squat-free",
    "feet straight ahead",
  ),
  yes(
    { kind: "range", joint: "spine", mostDeg: 10, when: "any", leg: "both" },
    "opposite-reach-long",
    "a level back",
  ),
  no(
    { kind: "range", joint: "spine", leastDeg: -10, when: "any", leg: "both" },
    "extension-hands-full",
    "straight arms bend the back backward to the end",
  ),
  // No weight on the leg.
  no(weight(0), "hip-thrust-hold", "half of the hips' weight goes through the feet"),
  no(weight(0), "bridge-one-leg", "all of it through one foot"),
  no(weight(0), "leg-press-both", "a machine's plate is weight", { loadKg: 40 }),
  no(weight(0), "seated-calf-weight", "a weight on the thigh goes through the shin", { loadKg: 10 }),
  no(weight(0), "lean-back-weight", "kneeling is weight through the shin", { loadKg: 8 }),
  no(weight(0), "chair-stand-held", "standing up"),
  no(weight(0), "front-plank-feet", "a plank stands on its toes"),
  yes(weight(0), "quad-set-alone", "lying"),
  yes(weight(0), "slr-own", "a leg in the air carries itself"),
  yes(weight(0), "clam-band", "on the side"),
  yes(weight(0), "heel-slide-own", "lying"),
  yes(
    weight(0),
    "seated-extension-both-phases",
    "a machine or cuff that straightens the knee puts none on it",
    {
      loadKg: 2,
    },
  ),
  yes(weight(0), "extension-machine-single", "the same on the machine", { loadKg: 20 }),
  yes(weight(0), "standing-kick-side", "the working leg is in the air"),
  yes(weight(0), "march-held", "the working leg is in the air"),
  // A share of the body.
  yes(weight(0.5), "squat-free", "half on each leg"),
  no(weight(0.5), "squat-goblet", "half of body and load is more than half the body", { loadKg: 16 }),
  no(weight(0.5), "single-leg-squat-two-hands", "hands steady, they do not carry"),
  no(weight(0.5), "split-squat-free", "most of it on the front leg"),
  yes(weight(0.25), "bridge-two-legs", "shoulders carry the most"),
  yes(weight(0.6), "leg-press-single", "30 kg of 70 on one leg", { loadKg: 30 }),
  no(weight(0.6), "leg-press-single", "60 kg of 70 on one leg", { loadKg: 60 }),
  yes(weight(0.6), "leg-press-both", "60 kg on two", { loadKg: 60 }),
  no(weight(1), "hops-one-leg", "a hop lands with twice the body (common practice)"),
  yes(weight(1), "stance-eyes-open", "standing on it alone is the body once"),
  // Two legs only.
  no(twoLegs, "split-squat-rear-raised", "one leg ahead of the other"),
  no(twoLegs, "split-squat-held", "one leg ahead of the other"),
  no(twoLegs, "forward-lunge-free", "a step onto one leg"),
  no(twoLegs, "backward-lunge-held", "a step back from one leg"),
  no(twoLegs, "side-step-up-held", "up on one leg"),
  no(twoLegs, "bridge-one-leg", "a bridge pushed by one"),
  no(twoLegs, "leg-press-single", "a plate pushed by one", { loadKg: 20 }),
  no(twoLegs, "side-steps-free", "sideways steps stand on each in turn"),
  no(twoLegs, "walk-free", "so does walking"),
  yes(twoLegs, "squat-bar", "both feet side by side", { loadKg: 20 }),
  yes(twoLegs, "bridge-two-legs", "both feet"),
  yes(twoLegs, "leg-press-both", "both feet", { loadKg: 40 }),
  yes(twoLegs, "calf-raise-both", "both feet"),
  // Springs and running.
  no(noSpring, "rebounds-held", "small jumps are springs"),
  no(noSpring, "running-straight", "running is a spring at each step"),
  no({ kind: "spring", most: "rebound" }, "jump-squat-free", "a landing is more than a rebound"),
  yes({ kind: "spring", most: "rebound" }, "rebounds-two-legs", "that is what it names"),
  no({ kind: "spring", most: "two-leg-landing" }, "hops-one-leg", "one leg lands"),
  yes({ kind: "spring", most: "two-leg-landing" }, "step-off-both", "two legs land"),
  no({ kind: "spring", most: "single-leg-landing" }, "pivot-runs", "cutting is harder than landing"),
  no({ kind: "running" }, "strides-straight", "strides are running"),
  yes({ kind: "running" }, "walk-free", "walking is not"),
  // Isolated resistance, length, stretch.
  no(resisted("hamstrings", "none"), "ball-curl-both", "a curl against the body's own weight"),
  no(resisted("hamstrings", "own-weight"), "curl-machine-single", "a machine is more than the own weight", {
    loadKg: 10,
  }),
  yes(resisted("hamstrings", "own-weight"), "ball-curl-both", "nothing is added"),
  yes(resisted("hamstrings", "none"), "squat-free", "a squat isolates nothing"),
  yes(resisted("hamstrings", "none"), "heel-slide-own", "sliding a heel is no resistance (common practice)"),
  no(resisted("quadriceps", "own-weight"), "seated-extension-both-phases", "a cuff on the ankle", {
    loadKg: 2,
  }),
  yes(resisted("quadriceps", "none"), "quad-set-alone", "tightening against nothing"),
  no(resisted("hip-flexors", "none"), "march-held", "the thigh lifted"),
  no(resisted("adductors", "none"), "ball-squeeze-bent", "a squeeze is resistance"),
  no({ kind: "lengthened", muscle: "hamstrings" }, "hinge-loaded", "the hinge loads them long", {
    loadKg: 10,
  }),
  no({ kind: "lengthened", muscle: "hamstrings" }, "kneeling-lowering-free", "lowered while they lengthen"),
  no({ kind: "lengthened", muscle: "adductors" }, "adductor-slide-held", "drawn apart under load"),
  yes({ kind: "lengthened", muscle: "hamstrings" }, "heel-dig-both", "held at one length"),
  no({ kind: "stretched", muscle: "hamstrings" }, "hamstring-stretch-straight", "that is its purpose"),
  no({ kind: "stretched", muscle: "hip-flexors" }, "half-kneeling-stretch-held", "that is its purpose"),
  // Straight leg raise.
  no({ kind: "straight-leg-raise" }, "slr-own", "lifted by its own flexors"),
  yes({ kind: "straight-leg-raise" }, "slr-strap", "lifted by a strap it is a stretch"),
  yes({ kind: "straight-leg-raise" }, "side-lying-lift-straight", "on the side other muscles lift it"),
  yes({ kind: "straight-leg-raise" }, "march-held", "the knee is bent"),
  // Kneeling, floor, positions.
  no({ kind: "kneeling" }, "half-kneeling-stretch-held", "on one knee"),
  no({ kind: "kneeling" }, "opposite-reach-long", "on hands and knees"),
  no({ kind: "kneeling" }, "front-plank-knees", "a plank on the knees kneels"),
  yes({ kind: "kneeling" }, "front-plank-feet", "on the toes it does not"),
  yes({ kind: "position", cannot: ["prone"] }, "front-plank-knees", "a plank is not lying face down"),
  no({ kind: "position", cannot: ["prone"] }, "prone-lift-straight", "face down on the floor"),
  no({ kind: "floor" }, "bridge-two-legs", "on the floor"),
  yes({ kind: "floor" }, "seated-extension-both-phases", "on a chair"),
  yes({ kind: "floor" }, "squat-free", "on the feet"),
  // Balance.
  no(balance("hands"), "stance-eyes-open", "nothing to hold"),
  yes(balance("hands"), "stance-single-held", "one hand holds"),
  no(balance("free"), "stance-eyes-closed", "eyes closed is harder than free"),
  no(balance("eyes-closed"), "stance-soft", "soft ground is harder still"),
  yes(balance("hands"), "bridge-two-legs", "lying asks no balance"),
  // Kit: a load needs what it is made of.
  no({ kind: "kit", available: ["band"] }, "squat-goblet", "no dumbbell there", { loadKg: 8 }),
  yes({ kind: "kit", available: ["band", "dumbbells"] }, "squat-goblet", "both are there", { loadKg: 8 }),
];
