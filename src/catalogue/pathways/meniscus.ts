import type { Pathway } from "~/core/pathway/pathway";
import { commonPractice } from "../source";
import { stage } from "./compose";
import { atLeast, atMost, gate, symmetry, weeks } from "./criteria";

export const meniscusPartialPathway: Pathway = {
  code: "meniscus-partial",
  name: "Meniscus, partial removal",
  siteLane: "knee-extensors",
  region: "knee",
  procedures: ["partial meniscus removal"],
  countsFrom: "surgery",
  stages: [
    stage("meniscus-partial", "settle", {
      name: "Settle",
      aim: "A quiet knee that straightens.",
      expect: "Swelling says how much. Straightening and thigh tightening many times a day.",
      gate: gate(7, 5, atMost("effusion", 1), atMost("knee-extension-deficit", 2), atMost("walk-limp", 0)),
    }),
    stage("meniscus-partial", "strength", {
      name: "Strength",
      aim: "Thigh and hip on one leg.",
      expect: "A swollen knee the next day asks for a day or two off.",
      gate: gate(
        28,
        14,
        atMost("effusion", 0),
        symmetry("knee-extension-force", 80),
        atMost("pain-step-down", 2),
      ),
    }),
    stage("meniscus-partial", "spring-and-run", {
      name: "Spring and run",
      aim: "Landing and running in steps.",
      expect: "One variable a week.",
      gate: gate(
        42,
        14,
        atMost("effusion", 0),
        symmetry("knee-extension-force", 90),
        symmetry("single-hop", 90),
      ),
    }),
    stage("meniscus-partial", "keep", {
      name: "Keep",
      aim: "Two times a week.",
      expect: "Strength protects what is left of the meniscus.",
    }),
  ],
  source: commonPractice,
};

export const meniscusRepairPathway: Pathway = {
  code: "meniscus-repair",
  name: "Meniscus repair",
  siteLane: "knee-extensors",
  region: "knee",
  procedures: ["meniscus repair", "meniscus root repair"],
  countsFrom: "surgery",
  stages: [
    stage("meniscus-repair", "protect", {
      name: "Protect",
      aim: "Let the repair heal: straight, bent to 90°, weight as written.",
      expect: "Six weeks of patience. Thigh, hip and trunk go on without bending the knee deep.",
      school: "pain-free",
      gate: gate(
        weeks(6),
        weeks(4),
        atMost("effusion", 1),
        atMost("knee-extension-deficit", 2),
        atMost("quad-lag", 5),
      ),
    }),
    stage("meniscus-repair", "strength", {
      name: "Strength",
      aim: "Strength to 90° of bend.",
      expect: "Deep squats wait until week 16.",
      gate: gate(
        weeks(16),
        weeks(8),
        atMost("effusion", 0),
        symmetry("knee-extension-force", 80, { maxAgeDays: 28 }),
        symmetry("knee-flexion", 95),
      ),
    }),
    stage("meniscus-repair", "spring-and-run", {
      name: "Spring and run",
      aim: "Landing and running in steps.",
      expect: "One variable a week.",
      gate: gate(
        weeks(24),
        weeks(6),
        atMost("effusion", 0),
        symmetry("knee-extension-force", 90, { maxAgeDays: 28 }),
        symmetry("single-hop", 90),
      ),
    }),
    stage("meniscus-repair", "keep", {
      name: "Keep",
      aim: "Two times a week.",
      expect: "Deep loaded bends only as the knee allows.",
    }),
  ],
  source: commonPractice,
};

export const meniscusPreventionPathway: Pathway = {
  code: "meniscus-prevention",
  name: "Knee, prevention",
  siteLane: "knee-extensors",
  region: "knee",
  stages: [
    stage("meniscus-prevention", "control", {
      name: "Control",
      aim: "Clean touch-downs on one leg.",
      expect: "Three days a week, slowly.",
      gate: gate(0, 14, atLeast("step-down-reps", 10), atMost("squat-overall", 1)),
    }),
    stage("meniscus-prevention", "land", {
      name: "Land",
      aim: "Land and go without the knee drifting in.",
      expect: "Few, fresh, quiet landings.",
      gate: gate(0, 21, symmetry("single-hop", 90), atMost("squat-overall", 1)),
    }),
    stage("meniscus-prevention", "keep", {
      name: "Keep",
      aim: "Two times a week in the warm-up.",
      expect: "Ten minutes before training.",
    }),
  ],
  source: commonPractice,
};

/** A meniscus removed in part, repaired, or to be spared. */
export const meniscusPathways = [meniscusPartialPathway, meniscusRepairPathway, meniscusPreventionPathway];
