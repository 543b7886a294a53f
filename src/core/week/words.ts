import type { Breach } from "./judge-hard";
import { fitsPlace, type LaidWeek } from "./laid-week";
import type { WeekDay } from "./week";
import { goodItems, laneDays, type Shortfall } from "./soft-rules";

const weekdays = ["Sunday", "Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday"] as const;

/** A day of the week by its name. */
export function sayDay({ days }: Pick<LaidWeek, "days">, day: number | undefined): string {
  const date = days[day ?? -1]?.date;
  return date === undefined ? "" : (weekdays[new Date(`${date}T12:00:00Z`).getUTCDay()] ?? "");
}

const times = (count: number) => (count === 1 ? "once" : count === 2 ? "twice" : `${count} times`);

/** What a hard rule means, in a sentence for whoever plans the week. */
export function sayBreach(week: LaidWeek, { rule, item, day, sum }: Breach): string {
  const name = week.items[item ?? -1]?.id ?? "";
  const on = sayDay(week, day);
  const { is, most } = sum ?? { is: 0, most: 0 };
  switch (rule) {
    case "kit":
      return `${name}: no place on ${on} has what it needs`;
    case "minutes":
      return `${on}: ${round(is)} minutes of work, ${most} at hand`;
    case "max-days":
      return `${name} stands on ${is} days, ${most} at most`;
    case "spring-gap":
      return `${on}: springs too soon after or before other springs`;
    case "spring-days":
      return `Springs on ${is} days, ${most} at most`;
    case "contacts":
      return `${on}: ${is} ground contacts, ${most} at most`;
    case "sprint":
      return `${name} on ${on}: lengthening the hamstring comes before sprinting`;
    case "match":
      return `${name} on ${on}: heavy for the legs right before a match`;
    case "ten":
      return `${on}: ${is} exercises, ${most} at most`;
    case "suspended":
      return `${name} on ${on}: stopped until that is cleared`;
    case "spared":
      return `${name} on ${on}: heavy or springing too soon after a swollen joint`;
    case "heavy-gap":
      return `${on}: heavy again for muscles that were loaded the day before or are the day after`;
    case "week-contacts":
      return `${is} ground contacts in the week, ${most} at most`;
    case "lock":
      return `${name} on ${on}: locked otherwise`;
  }
}

const round = (minutes: number) => Math.round(minutes * 10) / 10;

/** What gave way, and where it can be seen why. */
export function sayShortfall(week: LaidWeek, shortfall: Shortfall): string {
  const { rule, amount, item = -1, lane, day } = shortfall;
  const work = week.items[item];
  switch (rule) {
    case "min-days": {
      const minDays = work?.minDays ?? 0;
      const often = minDays === amount ? "not at all" : times(minDays - amount);
      return `${work?.id} ${often} instead of ${times(minDays)}${why(week, item)}`;
    }
    case "lane":
      return laneDays === amount ? `${lane} on no day` : `${lane} on one day only`;
    case "eight":
      return `${sayDay(week, day)} has ${goodItems + amount} exercises; ${goodItems} are better`;
    case "next-day":
      return `${work?.id} on ${sayDay(week, (day ?? 0) - 1)} and on ${sayDay(week, day)}`;
    case "favourite":
      return `${amount} on ${sayDay(week, day)}, which is no favourite day`;
    case "changed":
      return `${work?.id} on other days than last week (${amount} changed)`;
  }
}

/** Why an item does not stand more often: nowhere to do it, or the day with the most room, which is not enough. */
function why(week: LaidWeek, item: number): string {
  const work = week.items[item];
  if (!work) return "";
  const free = [...week.days.keys()].filter((day) => !week.on(item, day));
  const fitting = free.filter((day) => fitsPlace(work, week.days[day] as WeekDay));
  if (fitting.length === 0) return free.length === week.days.length ? ": no day has what it needs" : "";
  const used = (day: number) =>
    week.itemsOn(day).reduce((sum, other) => sum + (week.items[other]?.minutes ?? 0), 0);
  const room = (day: number) => (week.days[day]?.minutes ?? 0) - used(day);
  const widest = fitting.reduce((best, day) => (room(day) > room(best) ? day : best));
  if (room(widest) >= work.minutes) return "";
  const { minutes = 0 } = week.days[widest] ?? {};
  return minutes === 0 ? ": no other day has time" : `: ${sayDay(week, widest)} has ${minutes} minutes`;
}
