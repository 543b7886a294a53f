import { daysBetween } from "~/core/schedule/local-day";
import type { Placed, WeekQuestion } from "~/core/week/week";
import { dates } from "./weeks";

export const pair = ({ item, date }: Placed) => `${date} ${item}`;

/**
 * The contract written a second time, straight from its text and sharing nothing with the first: broken hard rules that some
 * placement takes part in which is not done, and the cost.
 */
export function judgedAgain(
  q: WeekQuestion,
  placed: readonly Placed[],
): { broken: Set<string>; cost: number } {
  const done = new Set((q.done ?? []).map(pair));
  const all = [...new Map([...(q.done ?? []), ...placed].map((p) => [pair(p), p])).values()];
  const item = (id: string) => q.items.find((i) => i.id === id) as WeekQuestion["items"][number];
  const fresh = (some: readonly Placed[]) => some.some((p) => !done.has(pair(p)));
  const broken = new Set<string>();
  const breaks = (rule: string, by: readonly Placed[]) => fresh(by) && broken.add(rule);
  const on = (date: string) => all.filter((p) => p.date === date);
  const marked = (key: "sprint" | "match", held: readonly string[], date: string) =>
    [...q.days.filter((d) => d[key]).map((d) => d.date), ...held].some((other) =>
      [0, 1].includes(daysBetween(date, other)),
    );
  for (const p of all) {
    const work = item(p.item);
    const day = q.days.find((d) => d.date === p.date);
    const fits = day?.places.some(
      (s) => (!work.place || work.place === s.place) && work.kit.every((k) => s.kit.includes(k)),
    );
    if (!fits) breaks("kit", [p]);
    if (work.lengthensHamstring && marked("sprint", q.heldOver?.sprintDates ?? [], p.date))
      breaks("sprint", [p]);
    if (work.suspended && !done.has(pair(p))) breaks("suspended", [p]);
    if (day?.spared && (work.heavyLegs || work.spring) && !done.has(pair(p))) breaks("spared", [p]);
    for (const muscle of work.heavyMuscles ?? []) {
      const near = all.filter(
        (o) => item(o.item).heavyMuscles?.includes(muscle) && Math.abs(daysBetween(o.date, p.date)) === 1,
      );
      near.forEach((o) => breaks("heavy-gap", [o, p]));
      const beside = (q.heldOver?.heavyDates ?? []).some(
        (h) => h.muscles.includes(muscle) && Math.abs(daysBetween(h.date, p.date)) === 1,
      );
      if (beside) breaks("heavy-gap", [p]);
    }
    if (work.heavyLegs && marked("match", q.heldOver?.matchDates ?? [], p.date)) breaks("match", [p]);
  }
  for (const day of q.days) {
    const here = on(day.date);
    const sum = (of: (p: Placed) => number) => here.reduce((s, p) => s + of(p), 0);
    if (sum((p) => item(p.item).minutes) > day.minutes) breaks("minutes", here);
    const sprung = here.filter((p) => item(p.item).spring);
    if (sum((p) => item(p.item).spring?.contacts ?? 0) > (q.contactCap ?? 100)) breaks("contacts", sprung);
    if (here.length > 10) breaks("ten", here);
  }
  const sprung = all.filter((p) => item(p.item).spring);
  if (sprung.reduce((s, p) => s + (item(p.item).spring?.contacts ?? 0), 0) > (q.weekContactCap ?? Infinity))
    breaks("week-contacts", sprung);
  for (const work of q.items) {
    const days = all.filter((p) => p.item === work.id);
    if (days.length > work.maxDays) breaks("max-days", days);
  }
  const springs = q.days
    .map(({ date }) => ({ date, by: on(date).filter((p) => item(p.item).spring) }))
    .filter(({ by }) => by.length > 0)
    .map((s) => ({ ...s, advanced: s.by.some((p) => item(p.item).spring?.advanced) }));
  const held = (q.heldOver?.springDates ?? []).map((date) => ({
    date,
    by: [] as Placed[],
    advanced: q.heldOver?.advancedSpringDates?.includes(date) ?? false,
  }));
  if (springs.length > 3)
    breaks(
      "spring-days",
      springs.flatMap(({ by }) => by),
    );
  for (const a of springs)
    for (const b of [...springs, ...held]) {
      const apart = Math.abs(daysBetween(a.date, b.date));
      if (apart > 0 && apart < (a.advanced || b.advanced ? 3 : 2)) breaks("spring-gap", [...a.by, ...b.by]);
    }
  for (const lock of q.locks ?? [])
    if (all.some((p) => pair(p) === pair(lock)) !== lock.on) broken.add("lock");

  const daysOf = (id: string) => all.filter((p) => p.item === id).map((p) => p.date);
  const A = q.items.reduce((s, i) => s + Math.max(0, i.minDays - daysOf(i.id).length), 0);
  const B = q.stageLanes.reduce((s, lane) => {
    const with_ = dates.filter((d) => on(d).some((p) => item(p.item).lanes.includes(lane)));
    return s + Math.max(0, 2 - with_.length);
  }, 0);
  const C = dates.reduce((s, d) => s + Math.max(0, on(d).length - 8), 0);
  const D = all.filter(
    (p) => item(p.item).minDays <= 4 && daysOf(p.item).some((other) => daysBetween(other, p.date) === 1),
  ).length;
  const liked = q.days.filter((d) => d.favourite).map((d) => d.date);
  const E = liked.length === 0 ? 0 : all.filter((p) => !liked.includes(p.date)).length;
  const known = new Set(q.items.map((i) => i.id));
  const before = new Set(
    (q.previous ?? []).filter((p) => known.has(p.item)).map((p) => `${p.item} ${p.weekday}`),
  );
  const now = new Set(all.map((p) => `${p.item} ${dates.indexOf(p.date) + 1}`));
  const F = q.previous
    ? [...now].filter((x) => !before.has(x)).length + [...before].filter((x) => !now.has(x)).length
    : 0;
  return { broken, cost: 100_000 * A + 10_000 * B + 100 * C + 10 * D + 3 * E + F };
}

/** The best week by trying every one: least cost, then fewest placements, then the first list. */
export function bestByTrying(q: WeekQuestion, open: number): { cost: number; list: string[] } | null {
  const done = new Set((q.done ?? []).map(pair));
  const pairs = q.items
    .flatMap(({ id }) => dates.slice(0, open).map((date) => ({ item: id, date })))
    .filter((p) => !done.has(pair(p)));
  let best: { cost: number; list: string[] } | null = null;
  for (let mask = 0; mask < 2 ** pairs.length; mask += 1) {
    const placed = pairs.filter((_, n) => mask & (1 << n));
    const { broken, cost } = judgedAgain(q, placed);
    if (broken.size > 0 || (best && cost > best.cost)) continue;
    const list = [...new Set([...placed.map(pair), ...done])].sort();
    if (!best || cost < best.cost || comesFirst(list, best.list)) best = { cost, list };
  }
  return best;
}

function comesFirst(a: readonly string[], b: readonly string[]): boolean {
  if (a.length !== b.length) return a.length < b.length;
  const differs = a.findIndex((entry, n) => entry !== b[n]);
  return differs >= 0 && (a[differs] ?? "") < (b[differs] ?? "");
}
