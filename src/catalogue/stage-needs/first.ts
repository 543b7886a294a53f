import type { Lane } from "~/core/exercise/body";

type Firsts = Partial<Record<Lane, readonly string[]>>;

/**
 * What a stage needs most of each lane, the first choice first (common practice): a placing begins with these wherever one of
 * them fits the person. Other exercises of the lane stay to be chosen.
 */
export const firsts: Readonly<Record<string, Firsts>> = {
  "groin-strain protect": {
    adductors: ["ball-squeeze"],
    mobility: ["hip-active-range"],
    trunk: ["front-plank"],
    balance: ["single-leg-stance"],
  },
  "groin-strain isometric": {
    adductors: ["ball-squeeze"],
    "hip-abductors": ["side-lying-lift"],
    "hip-extensors": ["bridge"],
    trunk: ["front-plank"],
  },
  "hamstring-strain protect-and-hold": {
    hamstrings: ["heel-dig"],
    "hip-extensors": ["gluteal-set"],
    mobility: ["heel-slide"],
    trunk: ["front-plank"],
  },
  "hamstring-strain bridge-and-lengthen": {
    hamstrings: ["heel-dig", "ball-curl"],
    "hip-extensors": ["bridge"],
    trunk: ["side-plank"],
    calf: ["calf-raise"],
  },
  "hip-arthroscopy protect": {
    mobility: ["stationary-cycling", "heel-slide"],
    "hip-extensors": ["gluteal-set"],
    "knee-extensors": ["quad-set"],
    "hip-rotators": ["supine-hip-rotation"],
  },
  "hip-arthroscopy control": {
    "hip-abductors": ["side-lying-lift"],
    "hip-extensors": ["bridge"],
    "hip-rotators": ["clam"],
    balance: ["single-leg-stance"],
    "knee-extensors": ["two-leg-squat"],
  },
  "hip-impingement settle": {
    "hip-abductors": ["side-lying-lift"],
    "hip-extensors": ["bridge"],
    "hip-rotators": ["clam"],
    trunk: ["side-plank"],
    mobility: ["hip-active-range"],
  },
  "kneecap-pain calm": {
    "hip-abductors": ["side-lying-lift"],
    "hip-extensors": ["bridge"],
    "hip-rotators": ["clam"],
    "knee-extensors": ["quad-set", "seated-extension"],
    trunk: ["front-plank"],
  },
  "kneecap-pain capacity": {
    "knee-extensors": ["side-step-up", "split-squat", "forward-lunge"],
    "hip-abductors": ["band-side-steps", "side-lying-lift"],
    "hip-extensors": ["bridge"],
    calf: ["calf-raise"],
    trunk: ["side-plank"],
    balance: ["single-leg-stance"],
  },
  "tendon-pain isometric": {
    "knee-extensors": ["extension-machine", "wall-squat"],
    calf: ["calf-raise"],
    trunk: ["front-plank"],
  },
  "tendon-pain heavy-slow": {
    "knee-extensors": ["leg-press", "extension-machine", "two-leg-squat"],
    "hip-extensors": ["hip-thrust"],
    calf: ["calf-raise"],
  },
  "ligament-reconstruction recover": {
    mobility: ["knee-straightening", "heel-slide"],
    "knee-extensors": ["quad-set"],
    "hip-extensors": ["gluteal-set"],
    trunk: ["front-plank"],
    calf: ["ankle-press", "calf-raise"],
  },
  "ligament-reconstruction strength-and-control": {
    "knee-extensors": ["side-step-up", "leg-press", "two-leg-squat"],
    hamstrings: ["ball-curl", "heel-dig"],
    "hip-abductors": ["side-lying-lift"],
    "hip-extensors": ["bridge"],
    calf: ["calf-raise"],
    balance: ["single-leg-stance"],
  },
  "meniscus-partial settle": {
    mobility: ["knee-straightening", "heel-slide"],
    "knee-extensors": ["quad-set"],
    "hip-extensors": ["gluteal-set"],
    calf: ["ankle-press", "calf-raise"],
  },
  "meniscus-repair protect": {
    mobility: ["knee-straightening", "heel-slide"],
    "knee-extensors": ["quad-set"],
    "hip-extensors": ["gluteal-set"],
    trunk: ["front-plank"],
  },
  "meniscus-prevention control": {
    "knee-extensors": ["touch-down", "single-leg-squat"],
    "hip-abductors": ["band-side-steps"],
    hamstrings: ["ball-curl"],
    balance: ["three-way-reach", "single-leg-stance"],
  },
  "back-stiff-extension find-and-free": {
    mobility: ["belly-up-extension"],
    trunk: ["pelvic-tilt"],
    "hip-extensors": ["bridge"],
  },
  "slipped-vertebra settle": {
    trunk: ["front-plank", "side-plank"],
    "hip-extensors": ["gluteal-set"],
    mobility: ["lumbar-rotation"],
  },
  "slipped-vertebra endurance": {
    trunk: ["front-plank", "side-plank"],
    "hip-extensors": ["bridge"],
    "hip-abductors": ["side-lying-lift"],
  },
  "stairs-again start": {
    "knee-extensors": ["chair-stand", "seated-extension"],
    "hip-extensors": ["bridge"],
    calf: ["calf-raise"],
    "hip-abductors": ["standing-kick", "side-lying-lift"],
    balance: ["single-leg-stance"],
  },
  "stairs-again step": {
    "knee-extensors": ["side-step-up", "chair-stand"],
    "hip-extensors": ["front-step-up", "bridge"],
    calf: ["calf-raise"],
    "hip-abductors": ["standing-kick"],
    balance: ["single-leg-stance"],
  },
  "stairs-again stairs": {
    "knee-extensors": ["side-step-up"],
    "hip-extensors": ["front-step-up"],
    calf: ["calf-raise"],
    balance: ["line-walk", "single-leg-stance"],
  },
  "single-leg-confidence hold-on": {
    "knee-extensors": ["chair-stand"],
    balance: ["single-leg-stance"],
    calf: ["calf-raise"],
    "hip-abductors": ["standing-kick", "side-lying-lift"],
  },
  "single-leg-confidence one-leg": {
    "knee-extensors": ["staggered-chair-stand", "side-step-up"],
    balance: ["single-leg-stance", "line-walk"],
    calf: ["calf-raise"],
    "hip-extensors": ["bridge"],
    "hip-abductors": ["standing-kick"],
  },
  "in-season-prehab in-season": {
    adductors: ["side-lying-adduction", "adductor-slide"],
    hamstrings: ["kneeling-lowering"],
    calf: ["calf-raise"],
    "knee-extensors": ["single-leg-squat"],
    trunk: ["side-plank"],
    balance: ["three-way-reach"],
    landing: ["rebounds"],
  },
  "ankle-and-calf move": {
    mobility: ["knee-to-wall"],
    calf: ["ankle-press"],
    balance: ["single-leg-stance"],
  },
  "ankle-and-calf strength": {
    calf: ["calf-raise"],
    balance: ["single-leg-stance", "three-way-reach"],
    "hip-abductors": ["band-side-steps", "standing-kick"],
  },
};
