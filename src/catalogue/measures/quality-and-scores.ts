import type { Measure } from "~/core/measure/measure";
import { recalled } from "../source";
import { measuresOf, type Common } from "./compose";

const segment: Common = {
  group: "quality",
  unit: "1",
  sides: "each",
  better: "lower",
  summary: "worst",
  whole: true,
  trials: 1,
  grades: ["none", "slight", "marked"],
  plausible: { low: 0, high: 2 },
  minutes: 0.5,
};
const depth: Common = {
  group: "limits",
  unit: "deg",
  sides: "none",
  better: "higher",
  summary: "best",
  trials: 1,
  plausible: { low: 0, high: 160 },
  minutes: 1,
};
const score: Common = {
  group: "scores",
  unit: "{score}",
  sides: "none",
  better: "higher",
  summary: "latest",
  whole: true,
  trials: 1,
  plausible: { low: 0, high: 100 },
  minutes: 4,
};

/** How a movement looks, what limits it, and questionnaire totals (totals only: item wording is copyright). */
export const qualityAndScoreMeasures: readonly Measure[] = [
  ...measuresOf(segment, [
    { code: "squat-trunk", name: "Single-leg squat: trunk", source: recalled("Crossley 2011") },
    { code: "squat-pelvis", name: "Single-leg squat: pelvis", source: recalled("Crossley 2011") },
    { code: "squat-hip", name: "Single-leg squat: hip", source: recalled("Crossley 2011") },
    { code: "squat-knee", name: "Single-leg squat: knee", source: recalled("Crossley 2011") },
    { code: "squat-foot", name: "Single-leg squat: foot", source: recalled("Crossley 2011") },
    {
      code: "squat-overall",
      name: "Single-leg squat, overall",
      grades: ["good", "fair", "poor"],
      source: recalled("Crossley 2011"),
    },
    { code: "walk-limp", name: "Limp in walking", sides: "none", grades: ["none", "slight", "marked"] },
  ]),
  ...measuresOf(
    {
      ...segment,
      grades: undefined,
      unit: "deg",
      whole: false,
      plausible: { low: -40, high: 60 },
      usual: { low: -10, high: 35 },
      minutes: 4,
      ways: ["front picture, single-leg squat at 60°"],
    },
    [
      { code: "frontal-angle", name: "Frontal projection angle of the knee" },
      { code: "pelvic-drop", name: "Pelvic drop" },
      { code: "trunk-lean", name: "Trunk lean to the side" },
    ],
  ),
  ...measuresOf(depth, [
    { code: "limit-squat", name: "Deep squat: knee bend where it ends" },
    { code: "limit-hinge", name: "Hinge: hip bend where it ends" },
    { code: "limit-split-squat", name: "Split squat: knee bend where it ends", sides: "each" },
    { code: "limit-hip-flexion", name: "Hip flexion and rotation: bend where it ends", sides: "each" },
    {
      code: "limit-back-flexion",
      name: "Bending forward: where the back locks",
      plausible: { low: 0, high: 120 },
    },
    {
      code: "limit-back-extension",
      name: "Bending backward: where it ends",
      plausible: { low: 0, high: 60 },
    },
  ]),
  ...measuresOf(score, [
    {
      code: "lower-extremity-function",
      name: "Lower-extremity function score",
      plausible: { low: 0, high: 80 },
      errors: [
        { of: "value", kind: "mdc", amount: 9, confidencePercent: 90, source: recalled("Binkley 1999") },
      ],
      source: recalled("Binkley 1999"),
    },
    { code: "knee-subjective", name: "Subjective knee score" },
    { code: "anterior-knee", name: "Anterior knee pain score", source: recalled("Crossley 2004") },
    { code: "tendon-score", name: "Patellar tendon score" },
    { code: "hip-groin-symptoms", name: "Hip and groin: symptoms" },
    { code: "hip-groin-pain", name: "Hip and groin: pain" },
    { code: "hip-groin-daily", name: "Hip and groin: daily living" },
    { code: "hip-groin-sport", name: "Hip and groin: sport" },
    { code: "hip-groin-participation", name: "Hip and groin: participation" },
    { code: "hip-groin-quality", name: "Hip and groin: quality of life" },
    { code: "back-disability", name: "Back disability", better: "lower", unit: "%" },
    { code: "psychological-readiness", name: "Psychological readiness" },
  ]),
];
