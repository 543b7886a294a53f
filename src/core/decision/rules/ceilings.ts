import type { Evidence } from "~/core/decision/record/evidence";
import { evidence } from "~/core/decision/record/evidence";
import type { RecordView } from "~/core/decision/record/record-view";
import { addDays, daysBetween } from "~/core/schedule/local-day";

/** Pain on waking or before a session from which nothing gets harder, in every school (common practice). */
const tooMuchPain = 7;
const countsDays = 7;
const meanMayRise = 1;
/** Grades of the sweep test: 2 is 1+, 3 is 2+. */
const someEffusion = 2;
const muchEffusion = 3;

/**
 * What lets nothing in a plan get harder, in every school, and asks for a look: pain of 7 on waking or before a session, as known
 * last and at most a week old; the mean of the week up by more than 1; effusion of 2+ or more.
 * Source: common practice; effusion Adams 2012, recalled.
 */
export function ceilings(view: RecordView): Evidence[] {
  const { input } = view;
  const { weeklyMeanRise: rise = 0, effusion } = input;
  return [
    ...painCeiling(view),
    ...(rise > meanMayRise ? [evidence("mean-rising", { rise: Math.round(rise * 10) / 10 })] : []),
    ...(effusion && effusion.grade >= muchEffusion ? [evidence("effusion-high")] : []),
  ];
}

/** Effusion that bars this item's steps: above what it was, or a stable 1+ where the work springs, runs or loads the kneecap much. */
export function effusionBars({ input: { effusion, exercise, prescription } }: RecordView): Evidence[] {
  if (!effusion || effusion.grade >= muchEffusion) return [];
  if (effusion.raised) return [evidence("effusion-raised")];
  const { settings, dose } = prescription;
  const isHard =
    settings["contraction"] === "plyometric" ||
    dose.style === "running" ||
    dose.style === "plyometric" ||
    exercise.loads?.kneecap === "high";
  return effusion.grade >= someEffusion && isHard ? [evidence("effusion-some")] : [];
}

function painCeiling(view: RecordView): Evidence[] {
  const last = lastPain(view);
  if (!last || last.pain < tooMuchPain) return [];
  const on = addDays(last.from, last.daysOn);
  return daysBetween(on, view.today) <= countsDays ? [evidence("pain-ceiling", { pain: last.pain }, on)] : [];
}

/**
 * The last known pain on waking or before a session: the plan's where it is told, else of this item's own days; felt so many days
 * after a date.
 */
function lastPain({ input, allDays }: RecordView): { pain: number; from: string; daysOn: number } | null {
  if (input.lastPain) return { pain: input.lastPain.pain, from: input.lastPain.on, daysOn: 0 };
  const day = allDays.at(-1);
  if (!day) return null;
  return day.painNextDay === null
    ? { pain: day.painBefore, from: day.date, daysOn: 0 }
    : { pain: day.painNextDay, from: day.date, daysOn: 1 };
}
