import { startingExercises } from "~/catalogue/exercises/all";
import { earlyPressExercises } from "~/catalogue/exercises/early-presses";
import { floorFormExercises } from "~/catalogue/exercises/floor-forms";
import { timedHops } from "~/catalogue/exercises/hops";
import { partWorkExercises } from "~/catalogue/exercises/part-work";
import { pullExercises } from "~/catalogue/exercises/pulls";
import { shoulderExercises } from "~/catalogue/exercises/shoulder";
import { measureByCode } from "~/catalogue/measures/all";
import { pathwayByCode } from "~/catalogue/pathways/all";
import { stageNeeds } from "~/catalogue/stage-needs/all";
import { suits } from "~/core/progression/stage-need";
import type { Stage } from "~/core/pathway/pathway";
import { phases } from "~/core/exercise/body";
import { seeded } from "./identity";
import type { DemoPerson } from "./people";
import type { DemoItem, DemoProfile } from "./simulate";
import { sketches, type Sketch } from "./sketches";

const itemsAtMost = 6;

/** Work that somebody chooses for one person and one reason; nobody of the demo gets it by chance. */
const byHandOnly: ReadonlySet<string> = new Set(
  [
    ...partWorkExercises,
    ...pullExercises,
    ...floorFormExercises,
    ...shoulderExercises,
    ...earlyPressExercises,
    timedHops,
  ].map(({ id }) => id),
);

/** One exercise for each lane of a stage, from the furthest phase that suits it. */
function itemsFor(pathway: string, stage: Stage, from: number, random: () => number): DemoItem[] {
  const need = stageNeeds.find((n) => n.pathway === pathway && n.stage === stage.code);
  if (!need) throw new RangeError(`the stage needs have no ${pathway}, ${stage.code}`);
  return stage.lanes.slice(0, itemsAtMost).flatMap(({ lane }) => {
    const fitting = startingExercises.flatMap((exercise) =>
      (byHandOnly.has(exercise.id) ? [] : exercise.variants)
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
      results: [...resultsFor(present, side, near, random), ...(sketch.measured ?? [])],
      signedBy: "Jorun Vask",
      signs: true,
      ...more,
    },
  };
}

/** Invented people of every other pathway. */
export const otherPeople: readonly DemoPerson[] = sketches.map(person);
