import { startingExercises } from "~/catalogue/exercises/all";
import { measureByCode } from "~/catalogue/measures/all";
import { pathwayByCode } from "~/catalogue/pathways/all";
import { stageNeeds } from "~/catalogue/stage-needs/all";
import { suits } from "~/core/pathway/stage-need";
import type { Stage } from "~/core/pathway/pathway";
import { phases } from "~/core/progression/body";
import { seeded } from "./identity";
import type { DemoPerson } from "./people";
import type { DemoItem, DemoProfile } from "./simulate";

/** One person of another pathway in a line: where they stand, since when, and how readily they react. */
interface Sketch {
  readonly name: readonly [given: string, family: string];
  readonly age: number;
  readonly activity: string;
  readonly diagnosis: string;
  readonly pathway: string;
  readonly side: "left" | "right";
  /** Days since the injury (or operation), and since each stage so far was entered. */
  readonly onset: number;
  readonly entered: readonly number[];
  readonly irritability: number;
  readonly every?: number;
  readonly quietFor?: number;
  /** How near today's values stand to what the gate asks: 1 is on the threshold. */
  readonly near: number;
  readonly more?: Partial<DemoProfile>;
}

const itemsAtMost = 6;

const sketches: readonly Sketch[] = [
  {
    name: ["Leif", "Orlandsen"],
    age: 24,
    activity: "Sabre fencer",
    diagnosis: "Hamstring strain in a flèche",
    pathway: "hamstring-strain",
    side: "left",
    onset: 26,
    entered: [24, 20, 9],
    irritability: 0.3,
    near: 0.97,
  },
  {
    name: ["Adaeze", "Winterbourne"],
    age: 29,
    activity: "Climbing-wall setter",
    diagnosis: "Hip arthroscopy, labral repair",
    pathway: "hip-arthroscopy",
    side: "right",
    onset: 70,
    entered: [68, 40],
    irritability: 0.4,
    near: 1.02,
    more: { surgery: { daysAgo: 70 }, targetInDays: 60 },
  },
  {
    name: ["Matteo", "Vrancken"],
    age: 36,
    activity: "Rower",
    diagnosis: "Hip pain in deep bending",
    pathway: "hip-impingement",
    side: "left",
    onset: 120,
    entered: [60, 32],
    irritability: 0.5,
    near: 0.9,
    more: { pinchOn: 2 },
  },
  {
    name: ["Saskia", "Ploughman"],
    age: 19,
    activity: "Courier on foot",
    diagnosis: "Kneecap pain on stairs",
    pathway: "kneecap-pain",
    side: "right",
    onset: 90,
    entered: [60, 38],
    irritability: 0.35,
    near: 1.05,
    more: { targetInDays: 120 },
  },
  {
    name: ["Gunnar", "Abelsson"],
    age: 33,
    activity: "Night baker and beach runner",
    diagnosis: "Patellar tendon pain",
    pathway: "tendon-pain",
    side: "left",
    onset: 160,
    entered: [63, 54],
    irritability: 0.3,
    near: 0.95,
  },
  {
    name: ["Ottilie", "Marchbanks"],
    age: 27,
    activity: "Speed skater",
    diagnosis: "Cruciate ligament reconstruction",
    pathway: "ligament-reconstruction",
    side: "right",
    onset: 150,
    entered: [150, 134, 62],
    irritability: 0.25,
    near: 1,
    more: { surgery: { daysAgo: 148, graft: "hamstring" }, targetInDays: 70 },
  },
  {
    name: ["Cornelis", "Hathaway"],
    age: 52,
    activity: "Orchard keeper",
    diagnosis: "Partial meniscus removal",
    pathway: "meniscus-partial",
    side: "left",
    onset: 40,
    entered: [38, 26],
    irritability: 0.5,
    near: 0.93,
    more: { surgery: { daysAgo: 40 }, silent: [2, 4] },
  },
  {
    name: ["Noor", "Castellan"],
    age: 31,
    activity: "Canoe guide",
    diagnosis: "Meniscus repair",
    pathway: "meniscus-repair",
    side: "right",
    onset: 25,
    entered: [23],
    irritability: 0.4,
    near: 0.9,
    more: { surgery: { daysAgo: 25 } },
  },
  {
    name: ["Ines", "Thornbury"],
    age: 17,
    activity: "Trampoline gymnast",
    diagnosis: "Knees drift in on landing",
    pathway: "meniscus-prevention",
    side: "left",
    onset: 60,
    entered: [45, 24],
    irritability: 0.1,
    near: 1.04,
  },
  {
    name: ["Anselm", "Okafor"],
    age: 41,
    activity: "Orienteer",
    diagnosis: "Outer ankle sprain",
    pathway: "ankle-and-calf",
    side: "right",
    onset: 30,
    entered: [28, 22],
    irritability: 0.3,
    near: 1.06,
  },
  {
    name: ["Birgit", "Sandoval"],
    age: 38,
    activity: "Weight-hall regular",
    diagnosis: "Back stiff in bending backward",
    pathway: "back-stiff-extension",
    side: "left",
    onset: 50,
    entered: [40, 20],
    irritability: 0.3,
    near: 0.96,
    quietFor: 12,
  },
  {
    name: ["Juho", "Merriweather"],
    age: 22,
    activity: "Springboard diver",
    diagnosis: "Slipped vertebra, low grade",
    pathway: "slipped-vertebra",
    side: "right",
    onset: 110,
    entered: [100, 60],
    irritability: 0.4,
    near: 0.98,
  },
  {
    name: ["Walburga", "Finch"],
    age: 71,
    activity: "School cook, retired",
    diagnosis: "Worn knee, stairs hard",
    pathway: "stairs-again",
    side: "left",
    onset: 300,
    entered: [50, 28],
    irritability: 0.55,
    near: 0.9,
    more: { pain: { 2: [2, 6, 5] } },
  },
  {
    name: ["Edvard", "Lindqvist"],
    age: 80,
    activity: "Ferry mate, retired",
    diagnosis: "Unsure on one leg after a fall",
    pathway: "single-leg-confidence",
    side: "right",
    onset: 120,
    entered: [35],
    irritability: 0.1,
    near: 1.1,
  },
  {
    name: ["Philippa", "Grauer"],
    age: 26,
    activity: "Luge athlete",
    diagnosis: "Season prehab, earlier hamstring strain",
    pathway: "in-season-prehab",
    side: "left",
    onset: 200,
    entered: [70],
    irritability: 0.05,
    near: 1.05,
  },
];

/** One exercise for each lane of a stage, from the furthest phase that suits it. */
function itemsFor(pathway: string, stage: Stage, from: number, random: () => number): DemoItem[] {
  const need = stageNeeds.find((n) => n.pathway === pathway && n.stage === stage.code);
  if (!need) throw new RangeError(`the stage needs have no ${pathway}, ${stage.code}`);
  return stage.lanes.slice(0, itemsAtMost).flatMap(({ lane }) => {
    const fitting = startingExercises.flatMap((exercise) =>
      exercise.variants
        .filter((variant) => suits(exercise, variant, need, lane))
        .map((variant) => ({ exercise, variant, at: phases.indexOf(variant.phase ?? "range") })),
    );
    const furthest = Math.max(...fitting.map(({ at }) => at));
    const chosen = fitting.filter(({ at }) => at === furthest);
    const one = chosen[Math.floor(random() * chosen.length)];
    return one ? [{ exercise: one.exercise.id, variant: one.variant.id, from }] : [];
  });
}

/** Values for what the stage's gate reads, so near to its thresholds as the sketch says, with a little scatter. */
function resultsFor(
  { gate }: Stage,
  side: "left" | "right",
  near: number,
  random: () => number,
): DemoProfile["results"] {
  const other = side === "left" ? "right" : "left";
  return (gate?.criteria ?? []).flatMap((criterion): DemoProfile["results"] => {
    if (criterion.kind !== "symmetry" && criterion.kind !== "value") return [];
    const measure = measureByCode(criterion.measure);
    const { low, high } = measure.usual ?? measure.plausible;
    const asked = criterion.kind === "value" ? criterion.threshold : low + (high - low) * 0.45;
    const share = near + (random() - 0.5) * 0.06;
    const kept = (value: number) => {
      const inside = Math.min(measure.plausible.high, Math.max(measure.plausible.low, value));
      return measure.whole ? Math.round(inside) : Math.round(inside * 10) / 10;
    };
    const daysAgo = 3 + Math.floor(random() * 5);
    if (measure.sides === "none") {
      const value = criterion.comparison === ">=" ? asked * share : asked + (share < 1 ? 1 : 0);
      return [[criterion.measure, "none", kept(value), daysAgo]];
    }
    const factor = criterion.kind === "symmetry" ? (criterion.threshold / 100) * share : share;
    const better = measure.better === "higher" ? factor : 2 - factor;
    const involved = criterion.comparison === "<=" ? asked + (share < 1 ? 1 : 0) : asked * better;
    const uninvolved = criterion.comparison === "<=" ? 0 : asked;
    return [
      [criterion.measure, side, kept(involved), daysAgo],
      [criterion.measure, other, kept(uninvolved), daysAgo],
    ];
  });
}

function person(sketch: Sketch, n: number): DemoPerson {
  const {
    name,
    age,
    activity,
    diagnosis,
    pathway: code,
    side,
    onset,
    entered,
    irritability,
    near,
    more,
  } = sketch;
  const pathway = pathwayByCode(code);
  const random = seeded(700 + n);
  const stages = entered.map((daysAgo, i) => ({
    stage: pathway.stages[i]?.code ?? "",
    daysAgo,
    reason: i === 0 ? "Placed at intake" : "Criteria met",
  }));
  const present = pathway.stages[entered.length - 1];
  const since = entered.at(-1) ?? 0;
  if (!present) throw new RangeError(`${code} has fewer stages than were entered`);
  const first = Math.max(2, sketch.quietFor ?? 2);
  const step = sketch.every ?? 2;
  const sessions = Array.from(
    { length: Math.max(1, Math.floor((since - 1 - first) / step) + 1) },
    (_, i) => first + i * step,
  )
    .filter((day) => day < since)
    .reverse();
  return {
    givenName: name[0],
    familyName: name[1],
    bornYearsAgo: age,
    activity,
    diagnosis,
    profile: {
      key: `${code}-${name[1].toLowerCase()}`,
      seed: 700 + n,
      pathway: code,
      side,
      onsetDaysAgo: onset,
      stages,
      items: itemsFor(code, present, since, random),
      maximumN: 200,
      sessions,
      irritability,
      results: resultsFor(present, side, near, random),
      signedBy: "Jorun Vask",
      signs: true,
      ...more,
    },
  };
}

/** Invented people of every other pathway. */
export const otherPeople: readonly DemoPerson[] = sketches.map(person);
