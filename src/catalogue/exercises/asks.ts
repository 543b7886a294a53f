import type { Asks } from "~/core/exercise/asks";
import type { Exercise } from "~/core/exercise/exercise";

/** What an exercise asks beyond its drawing, and where one of its variants asks otherwise. */
type Entry = Asks & { readonly variants?: Readonly<Record<string, Asks>> };

/**
 * What the starting exercises ask that no drawing can tell (common practice): which muscle works in isolation, which is made
 * long while it carries or is stretched, what is pushed, where legs take turns. What is not listed asks nothing of the kind:
 * tightening a muscle against nothing and sliding a heel are no resistance.
 */
const entries: Readonly<Record<string, Entry>> = {
  "seated-knee-bend": { variants: { "seated-knee-bend-own": { resisted: ["quadriceps"] } } },
  "knee-to-wall": { stretched: ["soleus"] },
  // On straight arms the front of the hip is drawn long although the pelvis stays down.
  "belly-up-extension": {
    variants: {
      "extension-hands": { stretched: ["hip-flexors"] },
      "extension-hands-full": { stretched: ["hip-flexors"] },
    },
  },
  "half-kneeling-hip-stretch": { stretched: ["hip-flexors"] },
  "hamstring-stretch": { stretched: ["hamstrings"] },
  "posterior-hip-stretch": { stretched: ["gluteus-maximus", "hip-external-rotators"] },
  "straight-leg-wall-press": { resisted: ["quadriceps", "gluteus-maximus"], against: "external" },
  "terminal-extension": { resisted: ["quadriceps"] },
  "seated-extension": {
    resisted: ["quadriceps"],
    variants: { "seated-extension-held": { against: "external" } },
  },
  "extension-machine": { resisted: ["quadriceps"] },
  "kneeling-lean-back": { resisted: ["quadriceps"], lengthened: ["quadriceps"] },
  "leg-press": { pushes: true },
  "rock-back": { stretched: ["gluteus-maximus"] },
  hinge: { lengthened: ["hamstrings"] },
  "single-leg-hinge": { lengthened: ["hamstrings"] },
  "marching-bridge": { inTurn: true },
  deadlift: { lengthened: ["hamstrings"] },
  swing: { lengthened: ["hamstrings"] },
  "tilt-hinge": { resisted: ["back-extensors"], lengthened: ["hamstrings"] },
  "table-extension": { resisted: ["gluteus-maximus"] },
  "bending-dip": { resisted: ["gluteus-medius"] },
  "held-thigh-extension": { resisted: ["hip-flexors", "quadriceps"] },
  "opening-bridge": {
    resisted: ["gluteus-medius", "hip-external-rotators"],
  },
  "bench-extension": { resisted: ["back-extensors"], lengthened: ["hamstrings"] },
  "long-lever-bridge": { resisted: ["hamstrings"] },
  "heel-dig": { resisted: ["hamstrings"], against: "external" },
  "ball-curl": { resisted: ["hamstrings"] },
  "sliding-curl": { resisted: ["hamstrings"], lengthened: ["hamstrings"] },
  "curl-machine": { resisted: ["hamstrings"] },
  "kneeling-lowering": { resisted: ["hamstrings"], lengthened: ["hamstrings"] },
  "ball-squeeze": { resisted: ["adductors"], against: "external" },
  "ring-squeeze": { resisted: ["adductors"], against: "external" },
  "standing-band-adduction": { resisted: ["adductors"], against: "external" },
  "adductor-slide": { resisted: ["adductors"], lengthened: ["adductors"] },
  "side-lying-adduction": { resisted: ["adductors"], bothLegs: true },
  "door-press": { resisted: ["gluteus-medius"], against: "external" },
  "side-lying-lift": { resisted: ["gluteus-medius"] },
  clam: { resisted: ["hip-external-rotators", "gluteus-medius"] },
  "standing-kick": {
    resisted: ["gluteus-medius"],
    variants: {
      "standing-kick-back": { resisted: ["gluteus-maximus"] },
      "standing-kick-diagonal": { resisted: ["gluteus-maximus", "gluteus-medius"] },
    },
  },
  "band-side-steps": { resisted: ["gluteus-medius"], inTurn: true },
  "standing-clam": { resisted: ["gluteus-medius", "hip-external-rotators"] },
  "lateral-dip": { resisted: ["gluteus-medius"] },
  "seated-hip-rotation": {
    resisted: ["hip-external-rotators", "hip-internal-rotators"],
    variants: { "seated-rotation-hold": { against: "external" } },
  },
  "hands-and-knees-hip": {
    resisted: ["gluteus-medius"],
    variants: { "heel-to-ceiling": { resisted: ["gluteus-maximus"] } },
  },
  march: { resisted: ["hip-flexors"], variants: { "march-hold": { against: "external" } } },
  "supine-hip-flexion": { resisted: ["hip-flexors"] },
  "straight-leg-raise": { resisted: ["hip-flexors"], variants: { "slr-strap": { resisted: [] } } },
  "prone-leg-lift": { resisted: ["gluteus-maximus"], variants: { "buttock-squeeze": { resisted: [] } } },
  "plank-leg-lift": { resisted: ["gluteus-maximus"] },
  "side-plank-lift": { resisted: ["gluteus-medius"] },
  "back-extension": {
    resisted: ["back-extensors"],
    variants: {
      "back-extension-bench": { resisted: ["back-extensors"], lengthened: ["hamstrings"] },
      "back-extension-loaded": { resisted: ["back-extensors"], lengthened: ["hamstrings"] },
    },
  },
  "calf-raise": {
    resisted: ["gastrocnemius", "soleus"],
    variants: {
      "calf-raise-step": { lengthened: ["gastrocnemius", "soleus"] },
      "calf-raise-weighted": { lengthened: ["gastrocnemius", "soleus"] },
    },
  },
  "ankle-press": { resisted: ["gastrocnemius", "soleus"], against: "external" },
  "forefoot-press": { resisted: ["gastrocnemius", "soleus"], against: "external" },
  "seated-squeeze": { resisted: ["adductors"], against: "external" },
  "seated-calf-press": { resisted: ["soleus"] },
  "toe-raise": { resisted: ["tibialis-anterior"] },
  "forward-lunge": { variants: { "side-lunge": { lengthened: ["adductors"] } } },
  "brisk-walk": { inTurn: true },
  "line-walk": { inTurn: true },
  carry: { inTurn: true },
  rebounds: { spring: "rebound" },
  running: { running: true, inTurn: true },
  "steady-run": { running: true, inTurn: true },
  strides: { running: true, inTurn: true, lengthened: ["hamstrings"] },
  "cutting-drills": { running: true, inTurn: true, spring: "cutting" },
};

/** An exercise of the starting catalogue with what it asks; of those that ask nothing, that they do. */
export function withAsks(exercise: Exercise): Exercise {
  const entry = entries[exercise.id];
  const { variants = {}, ...asks } = entry ?? {};
  return {
    ...exercise,
    asks,
    variants: exercise.variants.map((variant) => {
      const own = variants[variant.id];
      return own ? { ...variant, asks: own } : variant;
    }),
  };
}

/**
 * An exercise of a clinic's own that says nothing of itself asks what the one asks whose movement it has: all that any
 * of its variants does.
 */
export function withAsksOf(drawnLike: string, exercise: Exercise): Exercise {
  const { variants = {}, ...own } = entries[drawnLike] ?? {};
  const all = [own, ...Object.values(variants)];
  const muscles = (key: "resisted" | "lengthened" | "stretched") => {
    const found = [...new Set(all.flatMap((asks) => asks[key] ?? []))];
    return found.length > 0 ? { [key]: found } : {};
  };
  const asks: Asks = {
    ...Object.assign({}, ...all),
    ...muscles("resisted"),
    ...muscles("lengthened"),
    ...muscles("stretched"),
  };
  return { ...exercise, asks };
}
