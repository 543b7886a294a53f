import type { Pathway } from "~/core/pathway/pathway";
import { commonPractice, recalled } from "../source";
import { stage } from "./compose";
import { atLeast, atMost, chairStands, gate, symmetry, within } from "./criteria";

export const stiffBackPathway: Pathway = {
  code: "back-stiff-extension",
  name: "Low back, stiff into extension",
  siteLane: "trunk",
  region: "back",
  stages: [
    stage("back-stiff-extension", "find-and-free", {
      name: "Find and free",
      aim: "A small dose of bending backward in the warm-up; the training goes on.",
      expect: "Less than you think, every day. Two to three weeks before anything is added.",
      caution: "Leg pain, nerve signs, or an adolescent with pain in bending backward: examine first.",
      gate: gate(0, 14, atMost("pain-worst", 3), atLeast("limit-back-extension", 15)),
    }),
    stage("back-stiff-extension", "load-again", {
      name: "Load again",
      aim: "Planned loads move again, back and pelvis free to the end of the block.",
      expect: "The log of lifts is the measure: a plan that stalls is looked at again.",
      gate: gate(0, 21, atMost("pain-worst", 2), atLeast("back-extension-hold", 90)),
    }),
    stage("back-stiff-extension", "keep", {
      name: "Keep",
      aim: "The small dose stays in the warm-up.",
      expect: "Two minutes before lifting.",
    }),
  ],
  source: commonPractice,
};

export const slippedVertebraPathway: Pathway = {
  code: "slipped-vertebra",
  name: "Slipped vertebra",
  siteLane: "trunk",
  region: "back",
  stages: [
    stage("slipped-vertebra", "settle", {
      name: "Settle",
      aim: "A tucked, quiet back.",
      expect: "No end-range bending backward. Short holds, several times a day.",
      school: "pain-free",
      caution: "High grade, progression, or any leg sign: surgeon first.",
      gate: gate(14, 14, atMost("pain-worst", 3), atLeast("front-plank-hold", 20)),
    }),
    stage("slipped-vertebra", "endurance", {
      name: "Endurance",
      aim: "Holds that last through the tasks of a day.",
      expect: "Longer before heavier.",
      gate: gate(
        42,
        28,
        atLeast("front-plank-hold", 60),
        within("side-plank-hold", 90),
        atMost("pain-worst", 2),
      ),
    }),
    stage("slipped-vertebra", "strength", {
      name: "Strength",
      aim: "Tucked strength, straight and bent legs.",
      expect: "Load comes with the pelvis still tucked.",
      gate: gate(
        84,
        28,
        within("side-plank-hold", 95),
        atMost("back-disability", 20),
        atLeast("back-extension-hold", 60),
      ),
    }),
    stage("slipped-vertebra", "keep", {
      name: "Keep",
      aim: "Two or three times a week.",
      expect: "A few tucked exercises for good.",
    }),
  ],
  source: commonPractice,
};

export const stairsPathway: Pathway = {
  code: "stairs-again",
  name: "Stairs again",
  siteLane: "knee-extensors",
  region: "knee",
  stages: [
    stage("stairs-again", "start", {
      name: "Start",
      aim: "Hip-led, little bend, something to hold.",
      expect: "Short and often. A knee that complains during and is quiet next morning is well served.",
      gate: gate(0, 10, atLeast("chair-stand-30s", 5), atMost("pain-task", 4)),
    }),
    stage("stairs-again", "step", {
      name: "Step",
      aim: "Low steps, then a stair height.",
      expect: "Rail in reach. Up first, down later.",
      gate: gate(
        0,
        21,
        atLeast("step-down-reps", 5),
        atMost("pain-step-down", 3),
        atLeast("stance-open", 10),
      ),
    }),
    stage("stairs-again", "stairs", {
      name: "Stairs",
      aim: "A flight up and down, one foot after the other.",
      expect: "The rail becomes a habit to lose last.",
      gate: gate(0, 21, atLeast("function-task-1", 7), atMost("pain-task", 3)),
    }),
    stage("stairs-again", "keep", {
      name: "Keep",
      aim: "Two or three times a week, stairs every day.",
      expect: "Stairs are the exercise now.",
    }),
  ],
  source: commonPractice,
};

export const confidencePathway: Pathway = {
  code: "single-leg-confidence",
  name: "Single-leg confidence",
  siteLane: "balance",
  region: "hip",
  stages: [
    stage("single-leg-confidence", "hold-on", {
      name: "Hold on",
      aim: "Rise from a chair and stand on one leg, always with something to hold.",
      expect: "Lowering first where rising is too hard. Nobody lets go before they want to.",
      caution: "Chair against the wall; ask about falls and whether the floor can be reached and left again.",
      gate: gate(0, 14, atLeast("stance-open", 10), chairStands()),
    }),
    stage("single-leg-confidence", "one-leg", {
      name: "One leg",
      aim: "Steps, short stances without the hand, confidence rated.",
      expect: "Confidence is written down beside the seconds.",
      gate: gate(0, 21, atLeast("stance-open", 20), atLeast("confidence-task", 7)),
    }),
    stage("single-leg-confidence", "keep", {
      name: "Keep",
      aim: "Two or three times a week.",
      expect: "A few minutes by the kitchen top.",
    }),
  ],
  source: commonPractice,
};

export const prehabPathway: Pathway = {
  code: "in-season-prehab",
  name: "In-season prehab",
  siteLane: "hamstrings",
  region: "thigh",
  stages: [
    stage("in-season-prehab", "in-season", {
      name: "In season",
      aim: "Hold what the season takes: eight items, fresher afterwards than before.",
      expect: "Two to four short days a week; leg strength drops to what two sessions hold.",
      gate: gate(0, 28, atLeast("full-trainings", 8, { maxAgeDays: 60 })),
    }),
    stage("in-season-prehab", "off-season", {
      name: "Off season",
      aim: "Build what the next season asks.",
      expect: "More and heavier, with the season's first day as the date to plan back from.",
    }),
  ],
  source: commonPractice,
};

export const anklePathway: Pathway = {
  code: "ankle-and-calf",
  name: "Ankle and calf",
  siteLane: "calf",
  region: "ankle",
  stages: [
    stage("ankle-and-calf", "move", {
      name: "Move",
      aim: "Range and first holds.",
      expect: "Walk evenly, even if slowly.",
      caution: "A calf that is hot, swollen or tender is not exercised: call the same day.",
      gate: gate(5, 4, atMost("walk-limp", 0), symmetry("knee-to-wall", 70)),
    }),
    stage("ankle-and-calf", "strength", {
      name: "Strength",
      aim: "Heel raises to twenty-five, reaches, stance.",
      expect: "Up straight, down slowly.",
      gate: gate(
        21,
        14,
        symmetry("heel-raise-reps", 80),
        symmetry("knee-to-wall", 90),
        atLeast("stance-open", 30),
      ),
    }),
    stage("ankle-and-calf", "spring", {
      name: "Spring",
      aim: "Rebounds and hops in every direction.",
      expect: "Every third day, quiet contacts.",
      gate: gate(
        42,
        14,
        atLeast("heel-raise-reps", 25, { source: recalled("Lunsford & Perry 1995") }),
        symmetry("side-hops", 90),
      ),
    }),
    stage("ankle-and-calf", "run-and-keep", {
      name: "Run and keep",
      aim: "Running in steps, then twice a week.",
      expect: "Heel raises for good.",
    }),
  ],
  source: commonPractice,
};

/** Backs, stairs, confidence, prehab, ankle. */
export const backAndGeneralPathways = [
  stiffBackPathway,
  slippedVertebraPathway,
  stairsPathway,
  confidencePathway,
  prehabPathway,
  anklePathway,
];
