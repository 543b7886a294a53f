import { Type, type Static } from "@sinclair/typebox";
import type { DemandBook } from "~/core/demand/demand-book";
import { doseMinutes, type DoseTime } from "~/core/dose/dose-minutes";
import { planMinutes } from "~/core/dose/plan-minutes";
import { laneCodes, Lane } from "~/core/exercise/body";
import { firstPrescription, type Exercise, type Variant } from "~/core/exercise/exercise";
import { Prescription } from "~/core/exercise/prescription";
import { sidesOf } from "~/core/exercise/sides-of";
import { obstacleUnder } from "~/core/limit/obstacle";
import type { Restriction } from "~/core/limit/restriction";
import { oneOf } from "~/core/schema/one-of";

const closed = { additionalProperties: false };

/** Why a list trains a lane: what sport or work asks, what was hurt before, what a screening found; and how much each says. */
export interface ListNeed {
  readonly code: string;
  readonly kind: "asks" | "hurt" | "found";
  readonly lanes: Readonly<Partial<Record<Lane, number>>>;
}

const Item = Type.Object(
  {
    exerciseId: Type.String(),
    exerciseName: Type.String(),
    variantName: Type.String(),
    lane: Lane,
    prescription: Prescription,
    minutes: Type.Number(),
    /** Must stand in the list because of what was hurt or found; else it is there for what sport or work asks. */
    role: oneOf(["main", "optional"]),
    /** The needs it answers, the strongest first. */
    reasons: Type.Array(Type.String()),
  },
  closed,
);
export type ListItem = Static<typeof Item>;

export const ComposedList = Type.Object(
  {
    items: Type.Array(Item),
    /** What comes next when one goes out. */
    spare: Type.Array(Item),
    minutes: Type.Number(),
    /** Lanes that the needs name and nothing is in the list for, and why. */
    left: Type.Array(Type.Object({ lane: Lane, why: oneOf(["none-fits", "minutes", "full"]) }, closed)),
  },
  closed,
);
export type ComposedList = Static<typeof ComposedList>;

export interface ComposeInput {
  readonly needs: readonly ListNeed[];
  readonly exercises: readonly Exercise[];
  readonly limits: readonly Restriction[];
  /** Exercises that stand in the plan: they are not proposed again. */
  readonly present: readonly string[];
  readonly minutes: number;
  readonly today: string;
  readonly book: DemandBook;
}

/** Eight exercises are a list; ten at most, by the clinician's own choice. Common practice. */
export const usualItems = 8;
export const mostItems = 10;
/** An exercise of a list takes two minutes at most (common practice: 1.5 to 2). */
const mostMinutesEach = 2;
/** From here on a need makes an exercise a must: what was hurt, or what was found to be short. */
const mustWeight = 3;
/** A lane that much is asked of gets a second exercise when there is room. */
const secondFrom = 6;
const spareShown = 6;

/**
 * Composes a list for a season, a job or upkeep: eight exercises of up to two minutes, lanes by need (what is asked, what was hurt,
 * what screening found), none that a limit bars; what must be in it, what may be left out, and what comes next when one goes.
 *
 * @returns items in the order of need; the same input gives the same list
 * Source: eight to ten items of 1.5–2 minutes, common practice.
 */
export function composeList(input: ComposeInput): ComposedList {
  const wanted = lanesByNeed(input.needs);
  const obstacle = obstacleUnder(input.limits, input.today, input.book);
  const fitting = new Map(wanted.map(({ lane }) => [lane, candidates(input, lane, obstacle)]));
  const first = wanted.flatMap((need) =>
    (fitting.get(need.lane) ?? []).slice(0, 1).map((c) => itemOf(c, need)),
  );
  const second = wanted
    .filter(({ weight }) => weight >= secondFrom)
    .flatMap((need) => (fitting.get(need.lane) ?? []).slice(1, 2).map((c) => itemOf(c, need)));
  const more = wanted.flatMap((need) =>
    (fitting.get(need.lane) ?? []).slice(need.weight >= secondFrom ? 2 : 1, 3).map((c) => itemOf(c, need)),
  );
  const items: Timed[] = [];
  const spare: Timed[] = [];
  for (const item of [...first, ...second]) {
    const fits = sumMinutes([...items, item]) <= input.minutes;
    if (items.length < usualItems && fits) items.push(item);
    else spare.push(item);
  }
  const held = new Set(items.map(({ lane }) => lane));
  return {
    items: items.map(told),
    spare: [...spare, ...more].slice(0, spareShown).map(told),
    minutes: sumMinutes(items),
    left: wanted
      .filter(({ lane }) => !held.has(lane))
      .map(({ lane }) => ({
        lane,
        why:
          (fitting.get(lane)?.length ?? 0) === 0
            ? ("none-fits" as const)
            : items.length >= usualItems
              ? ("full" as const)
              : ("minutes" as const),
      })),
  };
}

type Timed = ListItem & { readonly time: DoseTime };
const told = ({ time: _time, ...item }: Timed): ListItem => item;
const sumMinutes = (items: readonly Timed[]) => planMinutes(items.map(({ time }) => time)).minutes;

interface LaneNeed {
  readonly lane: Lane;
  readonly weight: number;
  readonly isMust: boolean;
  readonly reasons: readonly string[];
}

/** The lanes that anything is asked of, most first; alike ones in the order of lanes. */
function lanesByNeed(needs: readonly ListNeed[]): LaneNeed[] {
  return laneCodes
    .flatMap((lane): LaneNeed[] => {
      const said = needs
        .flatMap(({ code, kind, lanes }) => {
          const weight = lanes[lane];
          return weight === undefined ? [] : [{ code, kind, weight }];
        })
        .sort((a, b) => b.weight - a.weight);
      if (said.length === 0) return [];
      return [
        {
          lane,
          weight: said.reduce((sum, one) => sum + one.weight, 0),
          isMust: said.some(({ kind, weight }) => kind !== "asks" && weight >= mustWeight),
          reasons: said.map(({ code }) => code),
        },
      ];
    })
    .sort((a, b) => Number(b.isMust) - Number(a.isMust) || b.weight - a.weight);
}

interface Candidate {
  readonly exercise: Exercise;
  readonly variant: Variant;
  readonly prescription: Prescription;
  readonly time: DoseTime;
}

/** One variant of each exercise of a lane that no limit bars: the middle of what fits, shortened to the time of an item. */
function candidates(
  { exercises, present }: ComposeInput,
  lane: Lane,
  obstacle: ReturnType<typeof obstacleUnder>,
): Candidate[] {
  return exercises
    .filter((exercise) => exercise.lane === lane && !present.includes(exercise.id))
    .flatMap((exercise): Candidate[] => {
      const fits = exercise.variants.flatMap((variant) => {
        const shortened = inTime(exercise, firstPrescription(variant));
        if (!shortened || obstacle(shortened.prescription, variant, exercise) !== null) return [];
        return [{ exercise, variant, ...shortened }];
      });
      const middle = fits[Math.floor((fits.length - 1) / 2)];
      return middle ? [middle] : [];
    })
    .sort((a, b) => a.variant.kit.length - b.variant.kit.length);
}

/** The prescription with as many of its sets as an item's minutes hold; null where even one takes longer. */
function inTime(
  exercise: Exercise,
  prescription: Prescription,
): { prescription: Prescription; time: DoseTime } | null {
  for (let { sets } = prescription.dose; sets >= 1; sets -= 1) {
    const shorter = { ...prescription, dose: { ...prescription.dose, sets } };
    const time = doseMinutes({ dose: shorter.dose, sides: sidesOf(exercise, shorter) });
    if (time.minutes <= mostMinutesEach) return { prescription: shorter, time };
  }
  return null;
}

function itemOf({ exercise, variant, prescription, time }: Candidate, need: LaneNeed): Timed {
  return {
    exerciseId: exercise.id,
    exerciseName: exercise.name,
    variantName: variant.name,
    lane: exercise.lane,
    prescription,
    minutes: time.minutes,
    role: need.isMust ? "main" : "optional",
    reasons: [...need.reasons],
    time,
  };
}
