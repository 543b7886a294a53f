import * as ratio from "~/core/measure/adductor-abductor-ratio";
import * as chair from "~/core/measure/chair-stand-norm";
import * as criterion from "~/core/measure/criterion-probability";
import * as early from "~/core/measure/early-reference";
import * as heel from "~/core/measure/heel-raise-norm";
import * as jump from "~/core/measure/jump-height";
import * as wall from "~/core/measure/knee-to-wall";
import { limbSymmetry, LimbSymmetryInput, LimbSymmetryOutput } from "~/core/measure/limb-symmetry";
import * as lsi from "~/core/measure/lsi-probability";
import * as mdc from "~/core/measure/minimal-detectable-change";
import * as reach from "~/core/measure/reach-composite";
import * as real from "~/core/measure/real-change";
import * as bridge from "~/core/measure/single-leg-bridge-norm";
import * as squeeze from "~/core/measure/squeeze-reference";
import * as torque from "~/core/measure/torque";
import * as trials from "~/core/measure/trial-summary";
import * as trunk from "~/core/measure/trunk-endurance-ratios";
import {
  landmarkAngles,
  LandmarkAnglesInput,
  LandmarkAnglesOutput,
  landmarkProblems,
} from "~/core/measure/landmark-angles";
import {
  traceAnalysis,
  TraceAnalysisInput,
  TraceAnalysisOutput,
  traceProblems,
} from "~/core/measure/trace-analysis";
import { calculation, type Calculation } from "./calculation";
import { problemIf } from "~/core/schema/field-problem";

const divides = "divides, so it must be above zero";

/** Symmetry, error, norms and ratios. */
export const measureCalculations: readonly Calculation[] = [
  calculation({
    name: "limb-symmetry",
    says: "Limb symmetry index in per cent; turned round where lower is better.",
    source: "Noyes 1991, recalled",
    input: LimbSymmetryInput,
    output: LimbSymmetryOutput,
    example: { involved: 80, uninvolved: 100, better: "higher" },
    problems: (i) => {
      const divisor = i.better === "higher" ? "uninvolved" : "involved";
      return problemIf(i[divisor] <= 0, `/${divisor}`, divides);
    },
    run: limbSymmetry,
  }),
  calculation({
    name: "early-reference",
    says: "Today's involved side against the first value of the other one, in per cent.",
    source: "Wellsandt 2017, recalled",
    input: early.EarlyReferenceInput,
    output: early.EarlyReferenceOutput,
    example: { involvedNow: 80, uninvolvedFirst: 100, better: "higher" },
    problems: (i) => {
      const divisor = i.better === "higher" ? "uninvolvedFirst" : "involvedNow";
      return problemIf(i[divisor] <= 0, `/${divisor}`, divides);
    },
    run: early.earlyReference,
  }),
  calculation({
    name: "minimal-detectable-change",
    says: "Smallest change beyond the error of two measurements, at 95 % confidence.",
    source: "Weir 2005, recalled",
    input: mdc.SemInput,
    output: mdc.MdcOutput,
    example: { sem: 5 },
    run: mdc.minimalDetectableChange,
  }),
  calculation({
    name: "real-change",
    says: "Whether a change is beyond the error of both measurements.",
    source: "Weir 2005, recalled",
    input: real.RealChangeInput,
    output: real.RealChangeOutput,
    example: { before: 200, after: 220, sem: 5 },
    run: real.realChange,
  }),
  calculation({
    name: "criterion-probability",
    says: "Probability that the true value passes a threshold, and the verdict with its error.",
    source: "normal error of measurement",
    input: criterion.CriterionProbabilityInput,
    output: criterion.CriterionProbabilityOutput,
    example: { value: 92, threshold: 90, comparison: ">=", sem: 4 },
    run: criterion.criterionProbability,
  }),
  calculation({
    name: "lsi-probability",
    says: "Probability that the true limb symmetry index reaches a threshold, with its 95 % interval.",
    source: "error propagation for a ratio of independent normals",
    input: lsi.LsiProbabilityInput,
    output: lsi.LsiProbabilityOutput,
    example: {
      involved: 270,
      uninvolved: 300,
      semInvolved: 12,
      semUninvolved: 12,
      thresholdPercent: 85,
      better: "higher",
    },
    run: lsi.lsiProbability,
  }),
  calculation({
    name: "trial-summary",
    says: "Trials as one value, with their scatter and whether to repeat them.",
    source: "arithmetic; 10 % common practice",
    input: trials.TrialSummaryInput,
    output: trials.TrialSummaryOutput,
    example: { trials: [180, 190, 200], summary: "best", better: "higher" },
    run: trials.trialSummary,
  }),
  calculation({
    name: "reach-composite",
    says: "Composite of three reaches in per cent of leg length.",
    source: "Plisky 2006, recalled",
    input: reach.ReachCompositeInput,
    output: reach.ReachCompositeOutput,
    example: { anteriorCm: 60, posteromedialCm: 95, posterolateralCm: 90, legLengthCm: 90 },
    run: reach.reachComposite,
  }),
  calculation({
    name: "torque",
    says: "Torque of a force at a lever arm, and per kilogram of body mass.",
    source: "mechanics",
    input: torque.TorqueInput,
    output: torque.TorqueOutput,
    example: { forceN: 300, leverM: 0.35, bodyMassKg: 70 },
    run: torque.torque,
  }),
  calculation({
    name: "jump-height",
    says: "Jump height from time in the air.",
    source: "mechanics; g = 9.81 m/s²",
    input: jump.JumpHeightInput,
    output: jump.JumpHeightOutput,
    example: { flightSeconds: 0.5 },
    run: jump.jumpHeight,
  }),
  calculation({
    name: "chair-stand-norm",
    says: "Chair stands in 30 s against the band of age and sex.",
    source: "CDC STEADI, recalled",
    input: chair.ChairStandInput,
    output: chair.ChairStandOutput,
    example: { age: 72, sex: "female", stands: 9 },
    run: chair.chairStandNorm,
  }),
  calculation({
    name: "single-leg-bridge-norm",
    says: "Clean single-leg bridges against the published bands.",
    source: "Freckleton 2014, recalled",
    input: bridge.CountInput,
    output: bridge.BridgeNormOutput,
    example: { reps: 25 },
    run: bridge.singleLegBridgeNorm,
  }),
  calculation({
    name: "heel-raise-norm",
    says: "Single-leg heel raises against the published norm.",
    source: "Lunsford & Perry 1995, recalled",
    input: bridge.CountInput,
    output: heel.HeelRaiseNormOutput,
    example: { reps: 25 },
    run: heel.heelRaiseNorm,
  }),
  calculation({
    name: "knee-to-wall",
    says: "Ankle dorsiflexion that a knee-to-wall distance stands for.",
    source: "Bennell 1998, recalled",
    input: wall.KneeToWallInput,
    output: wall.KneeToWallOutput,
    example: { distanceCm: 10 },
    run: wall.kneeToWall,
  }),
  calculation({
    name: "trunk-endurance-ratios",
    says: "Balance between back, front and side endurance, each against the published means.",
    source: "McGill 1999, recalled",
    input: trunk.TrunkEnduranceInput,
    output: trunk.TrunkEnduranceOutput,
    example: { backS: 150, frontS: 120, rightS: 80, leftS: 84, sex: "male" },
    run: trunk.trunkEnduranceRatios,
  }),
  calculation({
    name: "adductor-abductor-ratio",
    says: "Strength of the adductors over that of the abductors of one hip.",
    source: "Tyler 2001, recalled",
    input: ratio.AdductorAbductorInput,
    output: ratio.AdductorAbductorOutput,
    example: { adductorN: 160, abductorN: 200 },
    run: ratio.adductorAbductorRatio,
  }),
  calculation({
    name: "squeeze-reference",
    says: "What a two-leg squeeze is compared with, and which of the three kinds that is.",
    source: "common practice",
    input: squeeze.SqueezeReferenceInput,
    output: squeeze.SqueezeReferenceOutput,
    example: { normNPerKg: 3.2, bodyMassKg: 75, ownBestN: 210 },
    run: squeeze.chooseSqueezeReference,
  }),
  calculation({
    name: "trace-analysis",
    takes: "record",
    says: "Onset, peak, best second and early rise of a force trace, or why there is no onset.",
    source: "Maffiuletti 2016, Butterworth 1930, recalled",
    input: TraceAnalysisInput,
    output: TraceAnalysisOutput,
    example: {
      sampleHz: 100,
      forceN: Array.from({ length: 300 }, (_, n) => (n < 100 ? 0 : Math.min(200, 10 * (n - 100)))),
    },
    problems: traceProblems,
    run: traceAnalysis,
  }),
  calculation({
    name: "landmark-angles",
    says: "Angles of knee, hip, pelvis and trunk from points placed in a picture.",
    source: "plane geometry; Willson & Davis 2008, recalled",
    input: LandmarkAnglesInput,
    output: LandmarkAnglesOutput,
    example: {
      view: "side",
      facing: "right",
      hip: { x: 100, y: 200 },
      knee: { x: 150, y: 260 },
      ankle: { x: 130, y: 340 },
      toe: { x: 165, y: 350 },
      shoulder: { x: 140, y: 120 },
      pixelsPerCm: 2,
    },
    problems: landmarkProblems,
    run: landmarkAngles,
  }),
];
