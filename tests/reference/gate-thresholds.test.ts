import { expect, it } from "vitest";
import { startingPathways } from "~/catalogue/pathways/all";
import { stageOf } from "~/core/pathway/pathway";
import type { Criterion } from "~/core/gate/gate";

/**
 * Every gate of the starting pathways as it stands: least days since injury or operation, least days in the stage, and each
 * criterion with its threshold and the age at which a result no longer counts. Published ones name their source, recalled from
 * memory; all others are common practice. Whoever changes a threshold changes it here as well, on purpose.
 */
const gates: [pathway: string, stage: string, sinceOnset: number, inStage: number, criteria: string[]][] = [
  ["groin-strain", "protect", 3, 2, ["walking: <= 0, 5 d", "light-squeeze: 30 % on 1"]],
  [
    "groin-strain",
    "isometric",
    10,
    5,
    ["firm-squeeze: 70 % on 2", "range: >= 95, 14 d", "squeeze-pain: <= 2, 7 d, optional [Thorborg 2017]"],
  ],
  [
    "groin-strain",
    "build",
    21,
    10,
    [
      "squeeze-reference: >= 80, 14 d",
      "adduction-symmetry: >= 80, 14 d",
      "adductor-ratio: >= 0.8, 14 d [Tyler 2001]",
      "squeeze-pain: <= 2, 7 d [Thorborg 2017]",
    ],
  ],
  [
    "groin-strain",
    "load-and-spring",
    28,
    10,
    [
      "adduction-symmetry: >= 90, 14 d",
      "side-hops: >= 90, 14 d",
      "adductor-ratio: >= 0.9, 14 d [Tyler 2001]",
    ],
  ],
  [
    "groin-strain",
    "run-and-return",
    35,
    14,
    [
      "steady-run: >= 20, 14 d",
      "run-pain: <= 0, 14 d",
      "adduction-symmetry: >= 95, 14 d",
      "squeeze-pain: <= 2, 7 d [Thorborg 2017]",
      "trainings: >= 2, 21 d",
    ],
  ],
  [
    "hamstring-strain",
    "protect-and-hold",
    3,
    2,
    ["walk-limp-value: <= 0, 14 d", "pain-task-value: <= 4, 14 d"],
  ],
  [
    "hamstring-strain",
    "bridge-and-lengthen",
    10,
    5,
    [
      "active-knee-extension-deficit-value: <= 10, 14 d [Malliaropoulos 2010]",
      "knee-flexion-force-symmetry: >= 80, 14 d",
    ],
  ],
  [
    "hamstring-strain",
    "lengthen-under-load",
    21,
    10,
    [
      "single-leg-bridge-reps-value: >= 20, 14 d [Freckleton 2014]",
      "single-leg-bridge-reps-symmetry: >= 90, 14 d [Freckleton 2014]",
      "top-speed-share-value: >= 70, 14 d",
    ],
  ],
  [
    "hamstring-strain",
    "fast-running",
    28,
    10,
    [
      "pain-task-value: <= 0, 14 d",
      "knee-flexion-force-symmetry: >= 90, 14 d",
      "fast-sessions-value: >= 2, 21 d",
      "fast-leg-raise-value: >= 1, 14 d [Askling 2010]",
    ],
  ],
  [
    "hip-arthroscopy",
    "protect",
    21,
    14,
    [
      "pain-worst-value: <= 2, 14 d",
      "pinch-value: <= 1, 14 d",
      "hip-flexion-symmetry: >= 85, 14 d",
      "walk-limp-value: <= 0, 14 d",
    ],
  ],
  [
    "hip-arthroscopy",
    "control",
    56,
    28,
    [
      "stance-open-value: >= 30, 14 d",
      "single-leg-bridge-reps-value: >= 10, 14 d",
      "hip-abduction-force-symmetry: >= 80, 14 d",
      "pinch-value: <= 0, 14 d",
    ],
  ],
  [
    "hip-arthroscopy",
    "strength-and-profile",
    98,
    35,
    [
      "hip-abduction-force-symmetry: >= 90, 14 d",
      "hip-adduction-force-symmetry: >= 90, 14 d",
      "hip-external-rotation-force-symmetry: >= 90, 14 d",
      "single-hop-symmetry: >= 90, 14 d",
      "hip-groin-sport-value: >= 75, 14 d",
    ],
  ],
  ["hip-impingement", "settle", 14, 10, ["pain-worst-value: <= 3, 14 d", "pinch-value: <= 1, 14 d"]],
  [
    "hip-impingement",
    "strength",
    42,
    28,
    [
      "pinch-value: <= 0, 14 d",
      "hip-abduction-force-symmetry: >= 90, 14 d",
      "hip-external-rotation-force-symmetry: >= 90, 14 d",
      "hip-groin-daily-value: >= 80, 14 d",
    ],
  ],
  [
    "hip-impingement",
    "sport",
    70,
    21,
    [
      "pain-task-value: <= 2, 14 d",
      "hip-groin-sport-value: >= 75, 14 d",
      "single-hop-symmetry: >= 90, 14 d, optional",
    ],
  ],
  ["kneecap-pain", "calm", 7, 7, ["pain-step-down-value: <= 2, 14 d", "pain-worst-value: <= 4, 14 d"]],
  [
    "kneecap-pain",
    "capacity",
    28,
    21,
    [
      "hip-abduction-force-symmetry: >= 90, 14 d [Willy 2019]",
      "step-down-reps-value: >= 10, 14 d",
      "pain-step-down-value: <= 2, 14 d",
    ],
  ],
  [
    "kneecap-pain",
    "single-leg-control",
    56,
    21,
    [
      "single-leg-squat-reps-value: >= 5, 14 d",
      "squat-overall-value: <= 1, 14 d",
      "knee-extension-force-symmetry: >= 90, 14 d",
      "anterior-knee-value: >= 80, 14 d [Crossley 2004]",
    ],
  ],
  ["tendon-pain", "isometric", 7, 7, ["pain-loading-test-value: <= 3, 14 d [Malliaras 2015]"]],
  [
    "tendon-pain",
    "heavy-slow",
    42,
    42,
    ["pain-loading-test-value: <= 3, 14 d [Malliaras 2015]", "single-leg-press-1rm-symmetry: >= 90, 21 d"],
  ],
  [
    "tendon-pain",
    "energy-storage",
    84,
    28,
    [
      "pain-loading-test-value: <= 3, 14 d [Malliaras 2015]",
      "single-hop-symmetry: >= 90, 14 d",
      "tendon-score-value: >= 75, 14 d",
    ],
  ],
  [
    "ligament-reconstruction",
    "before-surgery",
    0,
    14,
    [
      "knee-extension-deficit-value: <= 2, 14 d",
      "effusion-value: <= 0, 14 d",
      "knee-extension-force-symmetry: >= 80, 42 d [Eitzen 2009]",
    ],
  ],
  [
    "ligament-reconstruction",
    "recover",
    14,
    14,
    [
      "knee-extension-deficit-value: <= 2, 14 d",
      "knee-flexion-value: >= 120, 14 d",
      "effusion-value: <= 1, 14 d",
      "quad-lag-value: <= 5, 14 d",
      "walk-limp-value: <= 0, 14 d",
    ],
  ],
  [
    "ligament-reconstruction",
    "strength-and-control",
    84,
    42,
    [
      "knee-flexion-symmetry: >= 95, 14 d",
      "knee-extension-deficit-value: <= 0, 14 d",
      "pain-worst-value: <= 2, 14 d",
      "effusion-value: <= 1, 14 d",
      "knee-extension-force-symmetry: >= 70, 28 d [Rambaud 2018]",
      "single-leg-squat-reps-value: >= 10, 14 d",
    ],
  ],
  [
    "ligament-reconstruction",
    "run-jump-turn",
    168,
    70,
    [
      "knee-extension-force-symmetry: >= 80, 28 d",
      "knee-flexion-force-symmetry: >= 80, 28 d",
      "single-leg-bridge-reps-symmetry: >= 85, 14 d",
      "heel-raise-reps-symmetry: >= 85, 14 d",
      "side-plank-hold-symmetry: >= 85, 14 d",
      "single-hop-symmetry: >= 80, 14 d",
    ],
  ],
  [
    "ligament-reconstruction",
    "sport",
    274,
    42,
    [
      "knee-extension-force-symmetry: >= 90, 28 d [Grindem 2016]",
      "knee-flexion-force-symmetry: >= 90, 28 d",
      "single-hop-symmetry: >= 90, 14 d [Noyes 1991]",
      "triple-hop-symmetry: >= 90, 14 d [Noyes 1991]",
      "crossover-hop-symmetry: >= 90, 14 d [Noyes 1991]",
      "timed-hop-symmetry: >= 90, 14 d [Noyes 1991]",
      "psychological-readiness-value: >= 65, 28 d",
      "effusion-value: <= 0, 14 d",
      "full-trainings-value: >= 2, 21 d",
      "reach-front-symmetry: >= 94, 14 d, optional [Plisky 2006]",
    ],
  ],
  [
    "meniscus-partial",
    "settle",
    7,
    5,
    ["effusion-value: <= 1, 14 d", "knee-extension-deficit-value: <= 2, 14 d", "walk-limp-value: <= 0, 14 d"],
  ],
  [
    "meniscus-partial",
    "strength",
    28,
    14,
    [
      "effusion-value: <= 0, 14 d",
      "knee-extension-force-symmetry: >= 80, 14 d",
      "pain-step-down-value: <= 2, 14 d",
    ],
  ],
  [
    "meniscus-partial",
    "spring-and-run",
    42,
    14,
    [
      "effusion-value: <= 0, 14 d",
      "knee-extension-force-symmetry: >= 90, 14 d",
      "single-hop-symmetry: >= 90, 14 d",
    ],
  ],
  [
    "meniscus-repair",
    "protect",
    42,
    28,
    ["effusion-value: <= 1, 14 d", "knee-extension-deficit-value: <= 2, 14 d", "quad-lag-value: <= 5, 14 d"],
  ],
  [
    "meniscus-repair",
    "strength",
    112,
    56,
    [
      "effusion-value: <= 0, 14 d",
      "knee-extension-force-symmetry: >= 80, 28 d",
      "knee-flexion-symmetry: >= 95, 14 d",
    ],
  ],
  [
    "meniscus-repair",
    "spring-and-run",
    168,
    42,
    [
      "effusion-value: <= 0, 14 d",
      "knee-extension-force-symmetry: >= 90, 28 d",
      "single-hop-symmetry: >= 90, 14 d",
    ],
  ],
  [
    "meniscus-prevention",
    "control",
    0,
    14,
    ["step-down-reps-value: >= 10, 14 d", "squat-overall-value: <= 1, 14 d"],
  ],
  [
    "meniscus-prevention",
    "land",
    0,
    21,
    ["single-hop-symmetry: >= 90, 14 d", "squat-overall-value: <= 1, 14 d"],
  ],
  [
    "back-stiff-extension",
    "find-and-free",
    0,
    14,
    ["pain-worst-value: <= 3, 14 d", "limit-back-extension-value: >= 15, 14 d"],
  ],
  [
    "back-stiff-extension",
    "load-again",
    0,
    21,
    ["pain-worst-value: <= 2, 14 d", "back-extension-hold-value: >= 90, 14 d"],
  ],
  [
    "slipped-vertebra",
    "settle",
    14,
    14,
    ["pain-worst-value: <= 3, 14 d", "front-plank-hold-value: >= 20, 14 d"],
  ],
  [
    "slipped-vertebra",
    "endurance",
    42,
    28,
    [
      "front-plank-hold-value: >= 60, 14 d",
      "side-plank-hold-symmetry: >= 90, 14 d",
      "pain-worst-value: <= 2, 14 d",
    ],
  ],
  [
    "slipped-vertebra",
    "strength",
    84,
    28,
    [
      "side-plank-hold-symmetry: >= 95, 14 d",
      "back-disability-value: <= 20, 14 d",
      "back-extension-hold-value: >= 60, 14 d",
    ],
  ],
  ["stairs-again", "start", 0, 10, ["chair-stand-30s-value: >= 5, 14 d", "pain-task-value: <= 4, 14 d"]],
  [
    "stairs-again",
    "step",
    0,
    21,
    [
      "step-down-reps-value: >= 5, 14 d",
      "pain-step-down-value: <= 3, 14 d",
      "stance-open-value: >= 10, 14 d",
    ],
  ],
  ["stairs-again", "stairs", 0, 21, ["function-task-1-value: >= 7, 14 d", "pain-task-value: <= 3, 14 d"]],
  [
    "single-leg-confidence",
    "hold-on",
    0,
    14,
    ["stance-open-value: >= 10, 14 d", "chair-stand-30s-value: >= 8, 14 d [CDC STEADI]"],
  ],
  [
    "single-leg-confidence",
    "one-leg",
    0,
    21,
    [
      "stance-open-value: >= 20, 14 d",
      "confidence-task-value: >= 7, 14 d",
      "chair-stand-30s-value: >= 12, 14 d, optional",
    ],
  ],
  ["in-season-prehab", "in-season", 0, 28, ["full-trainings-value: >= 8, 60 d"]],
  ["ankle-and-calf", "move", 5, 4, ["walk-limp-value: <= 0, 14 d", "knee-to-wall-symmetry: >= 70, 14 d"]],
  [
    "ankle-and-calf",
    "strength",
    21,
    14,
    [
      "heel-raise-reps-symmetry: >= 80, 14 d",
      "knee-to-wall-symmetry: >= 90, 14 d",
      "stance-open-value: >= 30, 14 d",
    ],
  ],
  [
    "ankle-and-calf",
    "spring",
    42,
    14,
    ["heel-raise-reps-value: >= 25, 14 d [Lunsford & Perry 1995]", "side-hops-symmetry: >= 90, 14 d"],
  ],
];

const said = (criterion: Criterion): string => {
  const asked =
    criterion.kind === "within-rule"
      ? `${criterion.effortPercent} % on ${criterion.closedDays}`
      : `${criterion.comparison} ${criterion.threshold}, ${criterion.maxAgeDays} d`;
  const { source } = criterion;
  const cite = source.kind === "published" ? ` [${source.cite}]` : "";
  return `${criterion.id}: ${asked}${criterion.required ? "" : ", optional"}${cite}`;
};

it.each(gates)("%s, out of %s: %i days, %i in the stage", (code, stage, sinceOnset, inStage, criteria) => {
  const pathway = startingPathways.find((candidate) => candidate.code === code);
  const gate = pathway && stageOf(pathway, stage).gate;
  expect([gate?.minimumDaysSinceOnset, gate?.minimumDaysInStage]).toEqual([sinceOnset, inStage]);
  expect(gate?.criteria.map(said)).toEqual(criteria);
});

it("no gate is left out", () => {
  const all = startingPathways.flatMap(({ code, stages }) =>
    stages.filter(({ gate }) => gate).map((stage) => `${code} ${stage.code}`),
  );
  expect(gates.map(([code, stage]) => `${code} ${stage}`)).toEqual(all);
});
