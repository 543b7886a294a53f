import type { Pathway } from "~/core/pathway/pathway";
import { commonPractice, recalled } from "../source";
import { stage } from "./compose";
import { meniscusPathways } from "./meniscus";
import { apart, atLeast, atMost, gate, optional, reachComposite, risen, symmetry, weeks } from "./criteria";

export const kneecapPathway: Pathway = {
  code: "kneecap-pain",
  name: "Kneecap pain",
  siteLane: "knee-extensors",
  region: "knee",
  stages: [
    stage("kneecap-pain", "calm", {
      name: "Calm",
      aim: "Hip first, thigh in the arc that does not hurt.",
      expect: "Stairs ease first. Sitting back in a squat spares the kneecap; the painless arc grows.",
      gate: gate(7, 7, atMost("pain-step-down", 2), atMost("pain-worst", 4)),
    }),
    stage("kneecap-pain", "capacity", {
      name: "Capacity",
      aim: "Long-stance lunges, steps, bands: hip and thigh together.",
      expect: "Work may be felt up to the rule; the next morning decides.",
      gate: gate(
        28,
        21,
        symmetry("hip-abduction-force", 90, { source: recalled("Willy 2019") }),
        atLeast("step-down-reps", 10),
        atMost("pain-step-down", 2),
      ),
    }),
    stage("kneecap-pain", "single-leg-control", {
      name: "Single-leg control",
      aim: "Leave the sit-back form, one exercise at a time; clean on one leg.",
      expect: "Fewer, cleaner repetitions. The mirror is your helper.",
      gate: gate(
        56,
        21,
        atLeast("single-leg-squat-reps", 5),
        atMost("squat-overall", 1),
        symmetry("knee-extension-force", 90),
        risen("anterior-knee", 10, { source: recalled("Crossley 2004") }),
      ),
    }),
    stage("kneecap-pain", "run-and-jump", {
      name: "Run and jump",
      aim: "Running and landing in small steps, then keep.",
      expect: "One variable a week; twice a week strength stays for good.",
    }),
  ],
  source: commonPractice,
};

export const tendonPathway: Pathway = {
  code: "tendon-pain",
  name: "Patellar or quadriceps tendon pain",
  siteLane: "knee-extensors",
  region: "knee",
  stages: [
    stage("tendon-pain", "isometric", {
      name: "Isometric",
      aim: "Heavy long holds that calm the tendon.",
      expect: "Holds of three quarters of a minute. Pain up to 3 is allowed and must be gone in a day.",
      school: "tendon",
      gate: gate(7, 7, atMost("pain-loading-test", 3, { source: recalled("Malliaras 2015") })),
    }),
    stage("tendon-pain", "heavy-slow", {
      name: "Heavy and slow",
      aim: "Fifteen down to six repetitions over twelve weeks, slowly.",
      expect: "Heavier every other week. Stiff mornings are counted, not feared.",
      school: "tendon",
      gate: gate(
        weeks(6),
        weeks(6),
        atMost("pain-loading-test", 3, { source: recalled("Malliaras 2015") }),
        symmetry("single-leg-press-1rm", 90, { maxAgeDays: 21 }),
      ),
    }),
    stage("tendon-pain", "energy-storage", {
      name: "Energy storage",
      aim: "Landing and springing every third day.",
      expect: "Jumps every third day, strength between. The morning after tells.",
      school: "tendon",
      gate: gate(
        weeks(12),
        weeks(4),
        atMost("pain-loading-test", 3, { source: recalled("Malliaras 2015") }),
        symmetry("single-hop", 90),
        atLeast("tendon-score", 75),
      ),
    }),
    stage("tendon-pain", "sport-and-keep", {
      name: "Sport and keep",
      aim: "Sport in steps; heavy work once or twice a week stays.",
      expect: "Tendons lose what is not asked of them: keep the heavy day.",
      school: "tendon",
    }),
  ],
  source: recalled("Malliaras 2015; Rio 2015; Kongsgaard 2009"),
};

const hopSource = recalled("Noyes 1991");

export const ligamentPathway: Pathway = {
  code: "ligament-reconstruction",
  name: "Knee ligament reconstruction",
  siteLane: "knee-extensors",
  region: "knee",
  procedures: ["cruciate ligament reconstruction", "cruciate ligament reconstruction with meniscus repair"],
  grafts: ["hamstring", "patellar tendon", "quadriceps tendon", "donor"],
  countsFrom: "surgery",
  stages: [
    stage("ligament-reconstruction", "before-surgery", {
      name: "Before surgery",
      beforeSurgery: true,
      aim: "Full extension, a quiet knee, strong thighs; measure the other side now.",
      expect: "What you bring into the operation you have after it.",
      gate: gate(
        0,
        14,
        atMost("knee-extension-deficit", 2),
        atMost("effusion", 0),
        symmetry("knee-extension-force", 80, { source: recalled("Eitzen 2009"), maxAgeDays: 42 }),
      ),
    }),
    stage("ligament-reconstruction", "recover", {
      name: "Recover",
      aim: "Straighten, quieten, walk.",
      expect: "Straight first, bent second. Swelling rules the pace; walking without aids ends this stage.",
      school: "pain-free",
      gate: gate(
        14,
        14,
        atMost("knee-extension-deficit", 2),
        atLeast("knee-flexion", 120),
        atMost("effusion", 1),
        atMost("quad-lag", 5),
        atMost("walk-limp", 0),
      ),
    }),
    stage("ligament-reconstruction", "strength-and-control", {
      name: "Strength and control",
      aim: "One-leg strength before the loaded two-leg squat.",
      expect: "The longest stage. The thigh decides when you run, not the calendar alone.",
      gate: gate(
        weeks(12),
        weeks(6),
        symmetry("knee-flexion", 95),
        atMost("knee-extension-deficit", 0),
        atMost("pain-worst", 2),
        atMost("effusion", 1),
        symmetry("knee-extension-force", 70, { source: recalled("Rambaud 2018"), maxAgeDays: 28 }),
        atLeast("single-leg-squat-reps", 10),
      ),
    }),
    stage("ligament-reconstruction", "run-jump-turn", {
      name: "Run, jump, turn",
      aim: "Running, landing and turning, with strength going on.",
      expect: "One variable a week. A swollen knee the next day means a step too far.",
      gate: gate(
        weeks(24),
        weeks(10),
        symmetry("knee-extension-force", 80, { maxAgeDays: 28 }),
        symmetry("knee-flexion-force", 80, { maxAgeDays: 28 }),
        symmetry("single-leg-bridge-reps", 85),
        symmetry("heel-raise-reps", 85),
        symmetry("side-plank-hold", 85),
        symmetry("single-hop", 80),
      ),
    }),
    stage("ligament-reconstruction", "sport", {
      name: "Sport",
      aim: "Staged return; cleared only with every number on one page, and not before nine months.",
      expect: "Each month of waiting up to nine lowers the risk. Training comes before matches.",
      gate: gate(
        274,
        weeks(6),
        symmetry("knee-extension-force", 90, { source: recalled("Grindem 2016"), maxAgeDays: 28 }),
        symmetry("knee-flexion-force", 90, { maxAgeDays: 28 }),
        symmetry("single-hop", 90, { source: hopSource }),
        symmetry("triple-hop", 90, { source: hopSource }),
        symmetry("crossover-hop", 90, { source: hopSource }),
        symmetry("timed-hop", 90, { source: hopSource }),
        atLeast("psychological-readiness", 65, { maxAgeDays: 28 }),
        atMost("effusion", 0),
        atLeast("full-trainings", 2, { maxAgeDays: 21 }),
        optional(reachComposite(94, { source: recalled("Plisky 2006") })),
        optional(
          apart("reach-front", 3.9, {
            name: "Reach to the front, less than 4 cm apart",
            source: recalled("Plisky 2006"),
          }),
        ),
      ),
      caution: "Report against both today's other side and its early value: the other side weakens too.",
    }),
    stage("ligament-reconstruction", "keep", {
      name: "Keep",
      aim: "The warm-up programme for at least a season.",
      expect: "Twice a week, all season. People who stop here get hurt again.",
    }),
  ],
  source: commonPractice,
};

/** Kneecap, tendon, ligament and meniscus. */
export const kneePathways = [kneecapPathway, tendonPathway, ligamentPathway, ...meniscusPathways];
