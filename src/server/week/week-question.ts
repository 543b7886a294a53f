import type { WeekDayBody, WeekPiece, WeekView } from "~/contract/week";
import { effusionsUp } from "~/core/case/effusion";
import type { Spring } from "~/core/demand/demand";
import { mostContactsADay, mostContactsAWeek } from "~/core/progression/plan-totals";
import { stageOf } from "~/core/pathway/pathway";
import { addDays, localDay } from "~/core/schedule/local-day";
import { placesOf } from "~/core/week/day-places";
import { sparedDates } from "~/core/week/spared-dates";
import { usualDays } from "~/core/week/usual-days";
import type { Lock, Placed, WeekItem, WeekQuestion } from "~/core/week/week";
import { weekItemOf } from "~/core/week/week-item-of";
import { weekdayOf } from "~/core/schedule/weekday";
import { itemNames } from "~/messages/item-names";
import type { LoadedCase } from "~/server/case/make-case";
import { variantOf, type Exercise } from "~/core/exercise/exercise";

/** A week as it was kept. */
export interface KeptWeek {
  readonly startsOn: string;
  readonly days: readonly WeekDayBody[];
  readonly placed: readonly Placed[];
  readonly locks: readonly Lock[];
}

/** Minutes of a day, and days of a week, of somebody whose week nobody asked about. */
const unasked = { minutesPerDay: 45, daysPerWeek: 3 } as const;

/** The Monday of a date's week. */
export const mondayOf = (date: string): string => addDays(date, 1 - weekdayOf(date));

export interface PlannedWeek {
  readonly question: WeekQuestion;
  readonly pieces: WeekPiece[];
  /** What there is to work with at each place. */
  readonly places: WeekView["places"];
}

/**
 * What the planner is asked for a week of a patient: the exercises of the plan, what each day has, what was done, and what the weeks
 * beside it hold.
 *
 * @param kept the latest of each kept week, by its Monday
 */
export function weekQuestion(
  loaded: LoadedCase,
  startsOn: string,
  { days, locks = [] }: { readonly days?: readonly WeekDayBody[]; readonly locks?: readonly Lock[] },
  kept: ReadonlyMap<string, KeptWeek>,
): PlannedWeek {
  const { file, circumstances } = loaded;
  const planned = plannedItems(loaded);
  const items = planned.map(({ item }) => item);
  const known = new Set(items.map(({ id }) => id));
  const dates = Array.from({ length: 7 }, (_, n) => addDays(startsOn, n));
  const places = placesOf(circumstances?.kit ?? [...new Set(items.flatMap((item) => item.kit))]);
  const last = kept.get(addDays(startsOn, -7));
  const done = doneOn(loaded, dates).filter(({ item }) => known.has(item));
  const spared = sparedDates(loaded.days(), effusionsUp(file), file.zone);
  const springs = planned.map(({ spring }) => ({ spring }));
  const stage = stageOf(file.pathway, loaded.review().stage);
  return {
    pieces: planned.map(({ piece }) => piece),
    places,
    question: {
      days: (days ?? usualWeek(loaded, dates)).map(({ where = "home", ...day }) => ({
        ...day,
        places: places.filter(({ place }) => place === where),
        ...(spared.includes(day.date) ? { spared: true } : {}),
      })),
      items,
      contactCap: mostContactsADay(springs),
      weekContactCap: mostContactsAWeek(springs),
      stageLanes: stage.lanes.map(({ lane }) => lane),
      ...(done.length > 0 ? { done } : {}),
      ...(locks.length > 0 ? { locks: [...locks] } : {}),
      ...(last
        ? { previous: last.placed.map(({ item, date }) => ({ item, weekday: weekdayOf(date) })) }
        : {}),
      heldOver: heldOver(loaded, startsOn, items, kept),
    },
  };
}

/** A week before anybody set one: as many days as the person has, spread evenly. */
function usualWeek({ circumstances }: LoadedCase, dates: readonly string[]): WeekDayBody[] {
  const { minutesPerDay, daysPerWeek } = circumstances ?? unasked;
  const on = usualDays(daysPerWeek);
  return dates.map((date, n) => ({ date, minutes: on.includes(n) ? minutesPerDay : 0 }));
}

function plannedItems(loaded: LoadedCase): { item: WeekItem; piece: WeekPiece; spring: Spring }[] {
  const { file } = loaded;
  const review = loaded.review();
  const known = review.items.map((item) => ({
    ...item,
    exercise: file.exercises.find(({ id }) => id === item.exerciseId) as Exercise,
  }));
  const names = itemNames(known);
  return known.map(({ itemId, exercise, prescription, lane, role, maximumN, proposal }) => {
    const told = loaded.book().demandOf(exercise, prescription);
    return {
      spring: told.ok ? told.demand.spring : "none",
      item: weekItemOf({
        id: itemId,
        exercise,
        prescription,
        lane,
        role,
        demand: told.ok ? told.demand : null,
        stopped: proposal.outcome === "stop",
      }),
      piece: {
        itemId,
        name: names.get(itemId) ?? exercise.name,
        variantName: variantOf(exercise, prescription.variantId).name,
        lane,
        exerciseId: exercise.id,
        drawnLike: exercise.drawnLike ?? null,
        prescription,
        maximumN,
      },
    };
  });
}

/** What was done on some dates, each exercise once a day. */
function doneOn(loaded: LoadedCase, dates: readonly string[]): Placed[] {
  return loaded
    .days()
    .filter(({ date }) => dates.includes(date))
    .flatMap(({ date, sessions }) =>
      [...new Set(sessions.flatMap(({ items }) => items.map(({ itemId }) => itemId)))].map((item) => ({
        item,
        date,
      })),
    );
}

/** Springs, sprints and matches of the weeks beside this one, as they were done or are laid out. */
function heldOver(
  loaded: LoadedCase,
  startsOn: string,
  items: readonly WeekItem[],
  kept: ReadonlyMap<string, KeptWeek>,
): NonNullable<WeekQuestion["heldOver"]> {
  const today = localDay(loaded.file.asOf, loaded.file.zone);
  const beside = [-7, 7].flatMap((days) => kept.get(addDays(startsOn, days)) ?? []);
  const before = Array.from({ length: 7 }, (_, n) => addDays(startsOn, n - 7));
  const work = [
    ...doneOn(loaded, before),
    ...beside.flatMap(({ placed }) => placed.filter(({ date }) => date >= today)),
  ];
  const dates = [...new Set(work.map(({ date }) => date))].sort();
  const springsOn = (advanced: boolean) => [
    ...new Set(
      work.flatMap(({ item, date }) => {
        const spring = items.find(({ id }) => id === item)?.spring;
        return spring && (!advanced || spring.advanced) ? [date] : [];
      }),
    ),
  ];
  const marked = (key: "sprint" | "match") =>
    beside.flatMap(({ days }) => days.filter((day) => day[key]).map(({ date }) => date));
  return {
    springDates: springsOn(false),
    advancedSpringDates: springsOn(true),
    heavyDates: dates.flatMap((date) => {
      const muscles = work.flatMap((one) =>
        one.date === date ? (items.find(({ id }) => id === one.item)?.heavyMuscles ?? []) : [],
      );
      return muscles.length > 0 ? [{ date, muscles: [...new Set(muscles)] }] : [];
    }),
    sprintDates: marked("sprint"),
    matchDates: marked("match"),
  };
}
