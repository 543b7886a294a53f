import { dosePolicy } from "~/core/dose/dose-policy";
import { after } from "~/core/decision/record/record-view";
import type { WorkDone } from "~/core/response/work-done";
import type { DayJudgement } from "~/core/response/judge-day";
import type { DecideInput } from "~/core/decision/record/decide-input";
import type { Evidence } from "~/core/decision/record/evidence";

/** One thing a training day needs to count towards a step: when it fails, and what is then said. */
export interface DayCondition {
  readonly code: Evidence["code"];
  readonly fails: (day: DayJudgement) => boolean;
  readonly values?: (day: DayJudgement, input: DecideInput) => Evidence["values"];
  /** It is the pain that lies in the hold band: the monitored school's longer rule lets such days count. */
  readonly ofHoldBand?: true;
  /** Not said where something else says it better. */
  readonly silent?: (day: DayJudgement, input: DecideInput) => boolean;
}

/** Pain before lies above the go band already, and the work added little: held, not punished (common practice). */
const startedSore = ({ soreStart, painBefore, painDuring }: DayJudgement) =>
  soreStart && painDuring - painBefore <= 1;
/** Whether a clinician has answered anything since the day, or its reaction, was known. */
const answered = (at: string | null, { answeredAt }: DecideInput) =>
  at !== null && answeredAt !== undefined && !after(at, answeredAt);
const pains = ({ painBefore, painDuring, painNextDay }: DayJudgement) => ({
  painBefore,
  painDuring,
  painNextDay: painNextDay ?? 0,
});
const some = <K extends string>(values: Record<K, string | number>, ...keys: K[]) =>
  Object.fromEntries(keys.map((key) => [key, values[key]]));

/**
 * 'A day qualifies', as one list: a day counts when none of these fails, and those that fail are why it does not. Whatever a
 * day must show is added here and nowhere else. Source: common practice; bands as the pain schools say.
 */
export const dayConditions: readonly DayCondition[] = [
  { code: "report-missing", fails: (day) => day.state === "unreported" },
  { code: "open-day", fails: (day) => day.state === "open" },
  {
    code: "sore-start",
    fails: (day) => day.during === "hold" && startedSore(day),
    values: (day) => some(pains(day), "painBefore", "painDuring"),
    ofHoldBand: true,
  },
  {
    code: "pain-hold-band",
    fails: (day) => day.during === "hold" && !startedSore(day),
    values: ({ painDuring }, { school }) => ({ painDuring, school }),
    ofHoldBand: true,
  },
  {
    code: "pain-ease-answered",
    fails: (day) => day.during === "ease",
    values: ({ painDuring, arrivedAt }, input) => ({
      painDuring,
      ...(answered(arrivedAt, input) ? {} : { form: "open" }),
    }),
  },
  {
    code: "next-day-hold",
    fails: (day) => day.nextDay === "hold",
    values: (day) => some(pains(day), "painBefore", "painNextDay"),
  },
  {
    code: "next-day-ease-answered",
    fails: (day) => day.nextDay === "ease",
    values: (day, input) => ({
      ...some(pains(day), "painBefore", "painNextDay"),
      ...reactionForm(day, answered(day.reactionKnownAt, input)),
    }),
    // The reaction is told as the other exercise's.
    silent: (_day, { flare }) => flare?.suspect === false,
  },
  {
    code: "effort-above-cap",
    fails: (day) => !day.effortWithinCap,
    values: ({ effort }, { prescription: { dose } }) => ({
      effort,
      cap: dosePolicy(dose.policy).effortCap ?? 10,
    }),
  },
  { code: "easier-than-prescribed", fails: (day) => day.easierThanPrescribed },
  {
    code: "short-of-top",
    fails: (day) => !day.atTop && !day.easierThanPrescribed,
    values: ({ work }) => (work ? workValues(work) : {}),
    // What is missing is the force, and that is said.
    silent: ({ forceUnread, work }) => forceUnread && !!work && work.done.length >= work.setsAsked,
  },
  {
    code: "marked-fault",
    fails: (day) => day.markedFault,
    values: ({ markedFaultNames }) => ({ faults: markedFaultNames.join(", ") }),
  },
  { code: "force-unread", fails: (day) => day.forceUnread },
  {
    code: "wrong-place",
    fails: (day) => day.wrongPlace,
    values: (_day, { exercise: { feltIn } }) => ({ feltIn }),
  },
  { code: "fear", fails: (day) => day.fear },
  {
    code: "pinch-slight",
    fails: (day) => day.pinchGrade > 0,
    // A stronger one has stopped the item and was cleared; its day does not count, and the clearance says why.
    silent: ({ pinchGrade }) => pinchGrade > 1,
  },
];

/** What the body answered with, for words: swelling, a loading test, or the morning; and whether anybody has answered. */
function reactionForm(day: DayJudgement, isAnswered: boolean): Record<string, string> {
  const kind = day.effusionUp ? "effusion" : day.swellingMore ? "swelling" : day.byLoadTest ? "test" : "";
  const form = isAnswered ? kind : kind ? `${kind}Open` : "open";
  return form ? { form } : {};
}

/** What was done beside what was asked, for words. */
function workValues({ unit, leg, done, bottom, top, setsAsked }: WorkDone): Record<string, string | number> {
  if (done.length === 0) return { form: "leg", leg };
  if (done.length < setsAsked) return { form: "sets", sets: done.length, asked: setsAsked, leg };
  const round = (value: number) => Math.round(value * 10) / 10;
  return {
    form: "figures",
    unit,
    done: done.map(round).join(", "),
    asked: bottom === top ? String(round(top)) : `${round(bottom)}–${round(top)}`,
    leg,
  };
}

/** Whether a day counts; `withHoldBand` lets pain in the hold band pass. */
export function dayQualifies(day: DayJudgement, { withHoldBand }: { withHoldBand: boolean }): boolean {
  return dayConditions.every((condition) => (withHoldBand && condition.ofHoldBand) || !condition.fails(day));
}

/** Reasons that are a matter of the report, not of the work. */
export const stateCodes: ReadonlySet<string> = new Set(["report-missing", "open-day"]);

/** What was done or felt on a day speaks against it, whatever its report will say. */
export const isPoor = (day: DayJudgement): boolean =>
  dayConditions.some(({ code, fails }) => !stateCodes.has(code) && fails(day));
