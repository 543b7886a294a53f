import type { MeasureAsks } from "~/core/measure/measure";

const oneLeg = { stand: "alone" } as const;
const hop: MeasureAsks = { ...oneLeg, spring: "single-leg-landing" };
const run: MeasureAsks = { running: true, spring: "single-leg-landing", ...oneLeg };

/** What each test asks of the body, common practice; what stands in no line can be taken lying or sitting still. */
export const measureAsks: Readonly<Record<string, MeasureAsks>> = {
  "single-hop": hop,
  "triple-hop": hop,
  "crossover-hop": { ...oneLeg, spring: "cutting" },
  "timed-hop": hop,
  "side-hops": hop,
  "jump-height": hop,
  "drop-jump-index": hop,
  "agility-t": { ...run, spring: "cutting" },
  "steady-run-minutes": run,
  "top-speed-share": run,
  "fast-sessions": run,
  "fast-leg-raise": { straightLegRaise: true, hipDeg: [0, 80], lengthened: ["hamstrings"] },
  "quad-lag": { straightLegRaise: true, hipDeg: [0, 45] },
  // Active, to where it stops by itself: no stretch is held.
  "active-knee-extension-deficit": { hipDeg: [90, 90] },
  "straight-leg-raise-range": { hipDeg: [0, 80], stretched: ["hamstrings"] },
  "knee-extension-force": {
    resisted: ["quadriceps"],
    kneeDeg: [90, 90],
    forbiddenBy: ["open-chain-knee-extension"],
  },
  "knee-flexion-force": {
    resisted: ["hamstrings"],
    kneeDeg: [15, 90],
    forbiddenBy: ["resisted-knee-flexion"],
  },
  "hip-adduction-force": { resisted: ["adductors"] },
  "squeeze-force": { resisted: ["adductors"] },
  "squeeze-pressure": { resisted: ["adductors"] },
  "hip-abduction-force": { resisted: ["gluteus-medius"] },
  "hip-external-rotation-force": { resisted: ["hip-external-rotators"], hipDeg: [90, 90], kneeDeg: [90, 90] },
  "hip-extension-force": { resisted: ["gluteus-maximus"], kneeDeg: [90, 90] },
  "single-leg-press-1rm": { ...oneLeg, kneeDeg: [0, 90] },
  "single-leg-bridge-reps": { ...oneLeg, floor: true, kneeDeg: [20, 90] },
  "heel-raise-reps": oneLeg,
  "single-leg-squat-reps": { ...oneLeg, kneeDeg: [0, 60] },
  "single-leg-rise-reps": { ...oneLeg, kneeDeg: [0, 90] },
  "step-down-reps": { ...oneLeg, kneeDeg: [0, 60] },
  "pain-step-down": { ...oneLeg, kneeDeg: [0, 45] },
  "squat-overall": { ...oneLeg, kneeDeg: [0, 60] },
  "chair-stand-30s": { stand: "shared", kneeDeg: [0, 90] },
  "stance-open": oneLeg,
  "stance-closed": { ...oneLeg, eyesClosed: true },
  "reach-front": { ...oneLeg, kneeDeg: [0, 70] },
  "reach-back-inside": { ...oneLeg, kneeDeg: [0, 70] },
  "reach-back-outside": { ...oneLeg, kneeDeg: [0, 70] },
  "side-plank-hold": { floor: true },
  "front-plank-hold": { floor: true },
  "back-extension-hold": { resisted: ["back-extensors"] },
  "pain-loading-test": { ...oneLeg, kneeDeg: [0, 60] },
  "pain-steady-run": run,
};
