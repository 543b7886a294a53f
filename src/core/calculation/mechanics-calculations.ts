import * as bend from "~/core/mechanics/allowed-bend";
import * as band from "~/core/mechanics/band-force";
import * as box from "~/core/mechanics/box-height";
import * as isolated from "~/core/mechanics/isolated-moment";
import * as kneeling from "~/core/mechanics/kneeling-lowering";
import * as back from "~/core/mechanics/sit-back";
import * as split from "~/core/mechanics/split-stance";
import * as squat from "~/core/mechanics/squat-linkage";
import { calculation, type Calculation } from "./calculation";

const segments = "statics; segment shares of Winter 2009, recalled";
const kneecap = `${segments}; Salem & Powers 2001, Brechter & Powers 2002, Huberti & Hayes 1984, recalled`;
const body = { bodyMassKg: 75, heightM: 1.75 };

/** Loads of joints from posture, and what a band pulls. */
export const mechanicsCalculations: readonly Calculation[] = [
  calculation({
    name: "squat-linkage",
    says: "Lean, joint moments and load on the kneecap of a squat held still, on two legs or one.",
    source: kneecap,
    input: squat.SquatLinkageInput,
    output: squat.SquatLinkageOutput,
    example: { ...body, kneeFlexionDeg: 60, shankInclinationDeg: 20, stance: "double" },
    run: squat.squatLinkage,
  }),
  calculation({
    name: "sit-back",
    says: "The form of a squat that keeps a knee bend under a ceiling by sitting back.",
    source: kneecap,
    input: back.SitBackInput,
    output: back.SitBackOutput,
    example: { ...body, kneeFlexionDeg: 60, stance: "double", maxStressMPa: 3 },
    problems: back.sitBackProblems,
    run: back.sitBack,
  }),
  calculation({
    name: "allowed-bend",
    says: "Knee bends at which the kneecap's stress stays under a ceiling.",
    source: kneecap,
    input: bend.AllowedBendInput,
    output: bend.AllowedBendOutput,
    example: { ...body, shankInclinationDeg: 20, stance: "double", maxStressMPa: 3 },
    run: bend.allowedBend,
  }),
  calculation({
    name: "split-stance",
    says: "What the front leg of a split squat carries, and the moments of its knee and hip.",
    source: segments,
    input: split.SplitStanceInput,
    output: split.SplitStanceOutput,
    example: {
      ...body,
      stanceLengthM: 0.8,
      kneeFlexionDeg: 70,
      shankInclinationDeg: 10,
      trunkLeanDeg: 10,
    },
    run: split.splitStance,
  }),
  calculation({
    name: "box-height",
    says: "Height of the hip, and of the box touched, at a knee bend of this body.",
    source: "two links; Winter 2009, recalled; seat offset common practice",
    input: box.BoxHeightInput,
    output: box.BoxHeightOutput,
    example: { heightM: 1.75, kneeFlexionDeg: 90, shankInclinationDeg: 20 },
    run: box.boxHeight,
  }),
  calculation({
    name: "kneeling-lowering",
    says: "What the hamstrings of one leg hold while kneeling and leaning forward.",
    source: segments,
    input: kneeling.KneelingLoweringInput,
    output: kneeling.KneelingLoweringOutput,
    example: { ...body, forwardAngleDeg: 30 },
    run: kneeling.kneelingLowering,
  }),
  calculation({
    name: "isolated-moment",
    says: "Moment of a limb and a weight on it about one joint, along the arc.",
    source: segments,
    input: isolated.IsolatedMomentInput,
    output: isolated.IsolatedMomentOutput,
    example: { ...body, movement: "knee-extension-sitting", kneeFlexionDeg: 30, weightKg: 2 },
    run: isolated.isolatedMoment,
  }),
  calculation({
    name: "band-force",
    says: "Force of a band at a stretch, by the clinic's own measurements of it.",
    source: "Fritsch & Butland 1984, recalled",
    input: band.BandForceInput,
    output: band.BandForceOutput,
    example: {
      calibration: [
        { stretchCm: 0, forceN: 0 },
        { stretchCm: 30, forceN: 40 },
        { stretchCm: 60, forceN: 65 },
      ],
      stretchCm: 45,
    },
    problems: band.bandForceProblems,
    run: band.bandForce,
  }),
];
