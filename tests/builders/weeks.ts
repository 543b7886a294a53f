import type { PlanWeekInput } from "~/core/week/plan-week";
import type { Placed } from "~/core/week/week";

/** Numbers from a seed, 0 to 1, the same every time. */
export function drawn(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state * 1664525 + 1013904223) >>> 0;
    return state / 4294967296;
  };
}

export const dates = Array.from({ length: 7 }, (_, n) => `2026-03-${String(9 + n).padStart(2, "0")}`);

interface Size {
  readonly items: number;
  /** Days that have any minutes. */
  readonly days: number;
  readonly fixed: boolean;
}

/** A small week with everything that can be in one. */
export function randomWeek(seed: number, { items: count, days: open, fixed }: Size): PlanWeekInput {
  const next = drawn(seed);
  const whole = (most: number) => Math.floor(next() * (most + 1));
  const chance = (share: number) => next() < share;
  const lanes = ["knee", "hip", "trunk"];
  // What the product asks beyond the contract: in every second week, drawn apart so that the rest of a seed stays what it is.
  const also = drawn(seed + 991);
  const more = (share: number) => seed % 2 === 1 && also() < share;
  const days = dates.map((date, n) => ({
    date,
    minutes: n < open ? 8 + whole(25) : 0,
    places: chance(0.9)
      ? [{ place: chance(0.5) ? "gym" : "home", kit: chance(0.6) ? ["bar", "band"] : ["band"] }]
      : [],
    ...(chance(0.15) ? { match: true } : {}),
    ...(chance(0.15) ? { sprint: true } : {}),
    ...(chance(0.4) ? { favourite: true } : {}),
    ...(more(0.15) ? { spared: true } : {}),
  }));
  const items = Array.from({ length: count }, (_, n) => {
    const minDays = whole(3);
    return {
      id: `${String.fromCharCode(97 + ((n * 7) % 26))}${n}`,
      minutes: 2 + whole(12),
      minDays,
      maxDays: Math.max(1, minDays + whole(2)),
      lanes: lanes.filter(() => chance(0.4)),
      kit: chance(0.3) ? ["bar"] : [],
      ...(chance(0.2) ? { place: "gym" } : {}),
      ...(chance(0.3) ? { heavyLegs: true } : {}),
      ...(chance(0.4) ? { spring: { contacts: 20 + whole(60), advanced: chance(0.4) } } : {}),
      ...(chance(0.25) ? { lengthensHamstring: true } : {}),
      ...(more(0.5) ? { heavyMuscles: lanes.filter(() => more(0.5)) } : {}),
      ...(more(0.1) ? { suspended: true } : {}),
    };
  });
  const pairs = items.flatMap(({ id }) => dates.slice(0, open).map((date): Placed => ({ item: id, date })));
  const some = (share: number) => pairs.filter(() => chance(share));
  return {
    days,
    items,
    stageLanes: lanes.filter(() => chance(0.7)),
    contactCap: 60 + whole(80),
    ...(more(0.5) ? { weekContactCap: 50 + Math.floor(also() * 120) } : {}),
    ...(chance(0.5) ? { previous: items.flatMap(({ id }) => [{ item: id, weekday: 1 + whole(6) }]) } : {}),
    ...(chance(0.4)
      ? {
          heldOver: {
            springDates: ["2026-03-08", "2026-03-07"].filter(() => chance(0.5)),
            sprintDates: chance(0.3) ? ["2026-03-16"] : [],
            matchDates: chance(0.3) ? ["2026-03-16"] : [],
            ...(more(0.5)
              ? { heavyDates: [{ date: "2026-03-08", muscles: lanes.filter(() => more(0.5)) }] }
              : {}),
          },
        }
      : {}),
    ...(fixed && chance(0.5) ? { done: some(0.12) } : {}),
    ...(fixed ? { locks: some(0.12).map((pair) => ({ ...pair, on: chance(0.6) })) } : {}),
  };
}
