import type { DayChange, PhoneItem, PhoneView } from "~/contract/phone";
import { limitsOfItem } from "~/core/case/in-force";
import { workingSide } from "~/core/case/working-side";
import { bodyPlace } from "~/core/exercise/body-place";
import type { Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { sidesOf } from "~/core/exercise/sides-of";
import type { InvolvedSide } from "~/core/measure/side-value";
import { stageOf } from "~/core/pathway/pathway";
import { alternatives } from "~/core/progression/alternatives";
import type { ItemReview } from "~/core/review/review-case";
import { addDays } from "~/core/schedule/local-day";
import { beforeTraining } from "~/core/week/before-training";
import { dayOrder } from "~/core/week/day-order";
import type { WeekItem } from "~/core/week/week";
import type { LoadedCase } from "~/server/case/make-case";
import { namesInPlan } from "~/server/episode/names-in-plan";
import type { keptWeeks } from "~/server/week/read-week";
import { mondayOf, weekQuestion } from "~/server/week/week-question";

/**
 * The exercises in the order in which a day is done.
 *
 * @param harder what may be turned for a good day, by exercise
 */
export function itemsAtHome(
  loaded: LoadedCase,
  today: string,
  harder: ReadonlyMap<string, DayChange> = new Map(),
): PhoneItem[] {
  const { file } = loaded;
  const review = loaded.review();
  const names = namesInPlan(file, review.items);
  const order = orderAtHome(loaded, today).map(({ id }) => id);
  const doneDays = (itemId: string) =>
    loaded
      .days()
      .filter(
        ({ date, sessions }) =>
          date >= mondayOf(today) && sessions.some(({ items }) => items.some((i) => i.itemId === itemId)),
      ).length;
  return order.flatMap((itemId) => {
    const item = review.items.find((candidate) => candidate.itemId === itemId);
    const exercise = file.exercises.find(({ id }) => id === item?.exerciseId);
    if (!item || !exercise) return [];
    const { prescription } = item;
    const sides = sidesOf(exercise, prescription);
    return [
      {
        itemId,
        name: names.get(itemId) ?? exercise.name,
        lane: item.lane,
        exerciseId: exercise.id,
        drawnLike: exercise.drawnLike ?? null,
        prescription,
        sides,
        first: firstLeg(prescription, loaded.head.involvedSide),
        circuit: item.circuit,
        cues: exercise.cues.slice(0, 3),
        safety: exercise.safety ?? null,
        caution: exercise.caution ?? null,
        stopped: item.proposal.outcome === "stop",
        easier: easierToday(loaded, item, exercise, today),
        harder: harder.get(itemId) ?? null,
        place: bodyPlace(exercise, prescription),
        lastDoneOn: lastDoneOn(loaded, itemId),
        since: item.prescribedAt,
        doneDays: doneDays(itemId),
        wantedDays: prescription.dose.daysPerWeek,
      },
    ];
  });
}

function lastDoneOn(loaded: LoadedCase, itemId: string): string | null {
  const days = loaded
    .days()
    .filter(({ sessions }) => sessions.some(({ items }) => items.some((done) => done.itemId === itemId)));
  return days.at(-1)?.date ?? null;
}

/** The exercises in the order of a day; what is done as a circuit stays together, where its first exercise stands. */
function orderAtHome(loaded: LoadedCase, today: string): WeekItem[] {
  const { items } = weekQuestion(loaded, mondayOf(today), {}, new Map()).question;
  const inCircuits = loaded.review().items.some(({ circuit }) => circuit !== null);
  return inCircuits ? items : dayOrder(items);
}

/** The leg that works, or begins; where both are hurt, the left one. */
function firstLeg(prescription: Prescription, involved: InvolvedSide): "left" | "right" {
  const side = workingSide(prescription, involved);
  return side === "both" ? "left" : side;
}

/** The one change that makes an exercise easier for today, within every limit; never a step of the plan. */
function easierToday(
  loaded: LoadedCase,
  { itemId, prescription }: ItemReview,
  exercise: Exercise,
  today: string,
): DayChange | null {
  const { file } = loaded;
  const stage = stageOf(file.pathway, loaded.review().stage);
  const restrictions = limitsOfItem(file, stage, file.items.find(({ id }) => id === itemId) ?? {});
  const found = alternatives(exercise, prescription, { restrictions, today, book: loaded.book() }).find(
    ({ direction, kind, blockedBy }) => direction === "easier" && kind === "knob" && blockedBy === null,
  );
  return found ? { knob: found.knob, to: found.to, prescription: found.prescription } : null;
}

/** Days from today that somebody laid out, with their exercises in the order of the day. */
export function laidDays(
  loaded: LoadedCase,
  weeks: Awaited<ReturnType<typeof keptWeeks>>,
  today: string,
): PhoneView["days"] {
  const order = orderAtHome(loaded, today);
  return [mondayOf(today), addDays(mondayOf(today), 7)].flatMap((monday) => {
    const week = weeks.get(monday);
    if (!week) return [];
    return Array.from({ length: 7 }, (_, n) => addDays(monday, n))
      .filter((date) => date >= today)
      .map((date) => {
        const { where = "home", training } = week.days.find((day) => day.date === date) ?? {};
        const laid = order.filter(({ id }) => week.placed.some((at) => at.date === date && at.item === id));
        return {
          date,
          items: laid.map(({ id }) => id),
          ...(where === "home" ? {} : { where }),
          ...(training ? { beforeTraining: beforeTraining(laid).map(({ id }) => id) } : {}),
        };
      });
  });
}
