import { otherPeople } from "./other-people";
import type { DemoProfile } from "./simulate";

export interface DemoPerson {
  readonly givenName: string;
  readonly familyName: string;
  readonly bornYearsAgo: number;
  readonly activity: string;
  readonly diagnosis: string;
  readonly profile: DemoProfile;
}

const squeezeAt = (lowPercent: number, highPercent: number) => ({ effort: { lowPercent, highPercent } });
const everyOther = (from: number, to: number) =>
  Array.from({ length: Math.floor((from - to) / 2) + 1 }, (_, n) => from - 2 * n);
const signedBy = "Jorun Vask";

/** Invented people; two of them (the fencer and the speed skater) stand where the worked story begins. */
const groinPeople: readonly DemoPerson[] = [
  {
    givenName: "Ylva",
    familyName: "Darrow",
    bornYearsAgo: 27,
    activity: "Fencer",
    diagnosis: "Adductor strain after a lunge",
    profile: {
      key: "fencer",
      seed: 11,
      side: "left",
      onsetDaysAgo: 16,
      stages: [
        { stage: "protect", daysAgo: 14, reason: "Placed at intake: pain in walking" },
        { stage: "isometric", daysAgo: 8, reason: "Walks without pain; light squeeze within the rule" },
      ],
      schools: [
        { school: "monitored", daysAgo: 4, reason: "Irritability is low and mild pain settles overnight" },
      ],
      items: [{ exercise: "ball-squeeze", from: 4, dose: squeezeAt(50, 70) }],
      maximumN: 180,
      sessions: [2],
      pain: { 2: [1, 1, 1] },
      irritability: 0.3,
      results: [
        ["squeeze-force", "none", 165, 8],
        ["squeeze-force", "none", 180, 4],
        ["hip-abduction-range", "left", 38, 4],
        ["hip-abduction-range", "right", 42, 4],
        ["pain-squeeze-test", "none", 2, 4],
      ],
      signedBy,
      signs: false,
    },
  },
  {
    givenName: "Tobin",
    familyName: "Achterberg",
    bornYearsAgo: 22,
    activity: "Speed skater",
    diagnosis: "Adductor strain in a crossover",
    profile: {
      key: "speed-skater",
      seed: 12,
      side: "right",
      onsetDaysAgo: 15,
      stages: [
        { stage: "protect", daysAgo: 13, reason: "Placed at intake" },
        { stage: "isometric", daysAgo: 6, reason: "Walks without pain; light squeeze within the rule" },
      ],
      items: [{ exercise: "ball-squeeze", from: 4, dose: squeezeAt(50, 70) }],
      maximumN: 180,
      sessions: [2],
      pain: { 2: [0, 0, 0] },
      irritability: 0.4,
      results: [
        ["squeeze-force", "none", 180, 4],
        ["hip-abduction-range", "right", 41, 4],
        ["hip-abduction-range", "left", 42, 4],
      ],
      signedBy,
      signs: false,
    },
  },
  {
    givenName: "Mirela",
    familyName: "Stanhope",
    bornYearsAgo: 34,
    activity: "Mountain-rescue volunteer",
    diagnosis: "Adductor strain on a descent",
    profile: {
      key: "mountain-rescue",
      seed: 23,
      side: "left",
      onsetDaysAgo: 33,
      stages: [
        { stage: "protect", daysAgo: 31, reason: "Placed at intake" },
        { stage: "isometric", daysAgo: 26, reason: "Walks without pain" },
        { stage: "build", daysAgo: 13, reason: "70 % within the rule on two days; range equal" },
      ],
      items: [
        { exercise: "ball-squeeze", from: 26, dose: squeezeAt(50, 70) },
        { exercise: "adductor-slide", from: 13 },
        { exercise: "two-leg-squat", from: 13 },
        { exercise: "hinge", from: 13 },
        { exercise: "side-lying-lift", from: 13 },
        { exercise: "front-plank", from: 26 },
      ],
      maximumN: 240,
      sessions: [24, 22, 20, 18, 16, 14, 12, 10, 8, 6, 4, 2],
      irritability: 0.35,
      pain: { 4: [0, 1, 0], 2: [0, 1, 1] },
      results: [
        ["squeeze-force", "none", 205, 26],
        ["squeeze-force", "none", 240, 12],
        ["squeeze-force", "none", 231, 3],
        ["hip-adduction-force", "left", 168, 3],
        ["hip-adduction-force", "right", 205, 3],
        ["hip-abduction-force", "left", 220, 3],
        ["hip-abduction-force", "right", 224, 3],
      ],
      signedBy,
      signs: true,
    },
  },
  {
    givenName: "Casimir",
    familyName: "Holloway",
    bornYearsAgo: 29,
    activity: "Rower",
    diagnosis: "Adductor strain, second time in two years",
    profile: {
      key: "rower",
      seed: 37,
      side: "right",
      onsetDaysAgo: 58,
      stages: [
        { stage: "protect", daysAgo: 56, reason: "Placed at intake" },
        { stage: "isometric", daysAgo: 51, reason: "Walks without pain" },
        { stage: "build", daysAgo: 38, reason: "Criteria met" },
        { stage: "load-and-spring", daysAgo: 16, reason: "Squeeze, symmetry and ratio met" },
      ],
      items: [
        { exercise: "side-lying-adduction", from: 16 },
        { exercise: "adductor-slide", from: 38, variant: "adductor-slide-free" },
        { exercise: "side-step-up", from: 38 },
        { exercise: "hinge", from: 38, variant: "hinge-loaded" },
        { exercise: "front-plank", from: 38, variant: "front-plank-feet" },
        { exercise: "rebounds", from: 14 },
      ],
      maximumN: 310,
      sessions: [...everyOther(36, 4), 2],
      pain: { 4: [1, 2, 1], 2: [1, 3, 5] },
      irritability: 0.4,
      results: [
        ["hip-adduction-force", "right", 236, 5],
        ["hip-adduction-force", "left", 254, 5],
        ["hip-abduction-force", "right", 252, 5],
        ["hip-abduction-force", "left", 255, 5],
        ["side-hops", "right", 38, 5],
        ["side-hops", "left", 47, 5],
      ],
      signedBy,
      signs: true,
    },
  },
  {
    givenName: "Oluwaseun",
    familyName: "Brightwater",
    bornYearsAgo: 41,
    activity: "Courier on foot",
    diagnosis: "Adductor strain, slipped on a kerb",
    profile: {
      key: "courier",
      seed: 41,
      side: "left",
      onsetDaysAgo: 5,
      stages: [{ stage: "protect", daysAgo: 4, reason: "Placed at intake: limps after a shift" }],
      items: [
        { exercise: "ball-squeeze", from: 4 },
        { exercise: "hip-active-range", from: 4 },
        { exercise: "single-leg-stance", from: 4 },
      ],
      maximumN: 130,
      sessions: [3, 1],
      silent: [1],
      pain: { 3: [1, 1, 1], 1: [1, 1, 1] },
      irritability: 0.7,
      results: [
        ["squeeze-force", "none", 130, 4],
        ["pain-walking", "none", 2, 4],
      ],
      signedBy,
      signs: false,
    },
  },
  {
    givenName: "Henrike",
    familyName: "Falkenrath",
    bornYearsAgo: 31,
    activity: "Wildland firefighter",
    diagnosis: "Adductor strain on the fitness test",
    profile: {
      key: "firefighter",
      seed: 53,
      side: "right",
      onsetDaysAgo: 84,
      stages: [
        { stage: "protect", daysAgo: 82, reason: "Placed at intake" },
        { stage: "isometric", daysAgo: 77, reason: "Walks without pain" },
        { stage: "build", daysAgo: 64, reason: "Criteria met" },
        { stage: "load-and-spring", daysAgo: 44, reason: "Criteria met" },
        { stage: "run-and-return", daysAgo: 22, reason: "Criteria met; hops equal" },
      ],
      items: [
        { exercise: "running", from: 22 },
        { exercise: "rebounds", from: 40 },
        { exercise: "side-lying-adduction", from: 44 },
        { exercise: "hinge", from: 64, variant: "hinge-loaded" },
        { exercise: "front-plank", from: 64, variant: "front-plank-feet" },
      ],
      maximumN: 290,
      sessions: everyOther(42, 2),
      pain: { 2: [0, 0, 0], 4: [0, 0, 0] },
      irritability: 0.2,
      results: [
        ["hip-adduction-force", "right", 262, 4],
        ["hip-adduction-force", "left", 268, 4],
        ["hip-abduction-force", "right", 270, 4],
        ["pain-squeeze-test", "none", 0, 4],
        ["steady-run-minutes", "none", 20, 4],
        ["pain-steady-run", "none", 0, 4],
        ["full-trainings", "none", 2, 1],
      ],
      signedBy,
      signs: true,
    },
  },
  {
    givenName: "Bertil",
    familyName: "Quenneville",
    bornYearsAgo: 66,
    activity: "Retired stage hand",
    diagnosis: "Adductor strain, lifting a flight case",
    profile: {
      key: "stage-hand",
      seed: 61,
      side: "left",
      onsetDaysAgo: 46,
      stages: [
        { stage: "protect", daysAgo: 43, reason: "Placed at intake" },
        { stage: "isometric", daysAgo: 36, reason: "Walks without pain" },
        { stage: "build", daysAgo: 20, reason: "Criteria met" },
      ],
      items: [
        { exercise: "ball-squeeze", from: 36, dose: squeezeAt(50, 70) },
        { exercise: "two-leg-squat", from: 20 },
        { exercise: "adductor-slide", from: 20 },
        { exercise: "bridge", from: 36 },
      ],
      maximumN: 150,
      sessions: [35, 33, 31, 28, 26, 24, 20, 18, 16, 13, 10, 3],
      pinchOn: 3,
      irritability: 0.5,
      results: [
        ["squeeze-force", "none", 150, 20],
        ["hip-adduction-force", "left", 88, 10],
        ["hip-adduction-force", "right", 121, 10],
      ],
      signedBy,
      signs: true,
    },
  },
];

/** Everybody of the invented clinic. */
export const demoPeople: readonly DemoPerson[] = [...groinPeople, ...otherPeople];
