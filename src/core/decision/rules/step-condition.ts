import type { Dose } from "~/core/dose/dose";
import { doseMinutes } from "~/core/dose/dose-minutes";
import { isStepped } from "~/core/exercise/role";
import { sidesOf } from "~/core/exercise/sides-of";
import { dosePolicy } from "~/core/dose/dose-policy";
import { heavySlowDays } from "~/core/dose/heavy-slow-calendar";
import type { Harder } from "~/core/progression/harder";
import type { DayJudgement } from "~/core/response/judge-day";
import { addDays, daysBetween, localDay } from "~/core/schedule/local-day";
import { adherenceNeeded } from "~/core/response/lane-adherence";
import { evidence, type Evidence } from "~/core/decision/record/evidence";
import { after, type RecordView } from "~/core/decision/record/record-view";
import { daysAway, rebaselineAfterDays } from "./absence";
import { ceilings, effusionBars } from "./ceilings";
import { neededDays } from "./due-days";
import { dayConditions, isPoor, stateCodes } from "./qualifying-day";
import { qualifyingRun } from "./qualifying-run";

/** A reason against stepping up, with how many days away its end is at best. */
export interface Unmet {
  readonly evidence: Evidence;
  readonly nearestDays: number;
}

/** One thing a step up asks for; empty when it is given. */
export interface StepCondition {
  readonly code: string;
  readonly unmet: (view: RecordView) => readonly Unmet[];
}

const usualDaysBetweenSessions = 2;
const notInSight = 1000;
/** No reason is nearer: a dose that never steps, an open signal, weeks away. */
const beforeAll = -1;
const staleAfterDays = 7;
/** From step to step on one variable of running (common practice). */
const runningStepDays = 7;

/** Everything a step up asks for. Figures: common practice, the 2-for-2 rule from NSCA (recalled). */
export const stepConditions: readonly StepCondition[] = [
  { code: "policy", unmet: (view) => when(!policy(view).steps, evidence("policy-fixed"), beforeAll) },
  {
    code: "role",
    unmet: ({ input: { role = "main" } }) =>
      when(!isStepped(role), evidence("role-kept", { role }), beforeAll),
  },
  {
    code: "signal-open",
    unmet: ({ input: { halted } }) =>
      when(halted !== undefined, evidence("signal-open", { signal: halted ?? "" }), beforeAll),
  },
  {
    code: "rebaseline",
    unmet: (view) =>
      when(daysAway(view) > rebaselineAfterDays, evidence("rebaseline", { days: daysAway(view) }), beforeAll),
  },
  { code: "run", unmet: run },
  { code: "recent", unmet: recent },
  { code: "settling", unmet: settling },
  {
    code: "adherence",
    unmet: ({ input: { laneAdherencePercent: percent } }) =>
      percent === undefined || percent >= adherenceNeeded
        ? []
        : [
            {
              evidence: evidence("adherence", { percent: Math.floor(percent), needed: adherenceNeeded }),
              nearestDays: 7,
            },
          ],
  },
  {
    code: "budget",
    unmet: ({ input: { changeBudget: budget } }) => {
      if (!budget) return [];
      const { limit, used, ahead = 0 } = budget;
      return when(used + ahead >= limit, evidence("change-budget", { limit, used, ahead }), 4);
    },
  },
  {
    code: "flare-elsewhere",
    unmet: ({ input: { flare } }) =>
      flare?.suspect === false && flare.answered !== true
        ? [{ evidence: evidence("flare-elsewhere", { names: flare.names }, flare.on), nearestDays: 2 }]
        : [],
  },
  {
    code: "ceiling",
    unmet: (view) =>
      [...ceilings(view), ...effusionBars(view)].map((found) => ({ evidence: found, nearestDays: 7 })),
  },
  { code: "plan-contacts", unmet: planContacts },
  { code: "answered", unmet: answered },
  { code: "next-knob", unmet: nextKnob },
];

/** Every reason against stepping up, in the order of the conditions; none where nothing stands in the way. */
export const reasonsAgainstStep = (view: RecordView): readonly Unmet[] =>
  stepConditions.flatMap(({ unmet }) => unmet(view));

function run(view: RecordView): Unmet[] {
  if (view.allDays.length === 0) return [{ evidence: evidence("no-session"), nearestDays: 1 }];
  const [{ have, days }, need] = [qualifyingRun(view), neededDays(view)];
  if (have >= need) return poorSince(view, days.at(-1)).flatMap((day) => whyNot(day, view, stateCodes));
  const reasons = view.days.slice(-need).flatMap((day) => whyNot(day, view));
  const missing = need - have;
  return [
    ...reasons,
    { evidence: evidence("run-too-short", { have, need }), nearestDays: missing * usualDaysBetweenSessions },
  ];
}

/** Days after the last good one that nobody has reported on, whose work speaks against a step all the same. */
function poorSince({ days }: RecordView, last: DayJudgement | undefined): DayJudgement[] {
  return days.filter((day) => (last === undefined || day.date > last.date) && isPoor(day));
}

/** Why a day did not qualify, each reason by itself; a report may still come today. */
function whyNot(day: DayJudgement, { input }: RecordView, but: ReadonlySet<string> = new Set()): Unmet[] {
  return dayConditions
    .filter(({ code, fails, silent }) => !but.has(code) && fails(day) && !silent?.(day, input))
    .map(({ code, values }) => ({
      evidence: evidence(code, values?.(day, input) ?? {}, day.date),
      nearestDays: stateCodes.has(code) ? 0 : usualDaysBetweenSessions,
    }));
}

/** A step that was refused, or an offer noted, is not put again until there is something new to judge. */
function answered(view: RecordView): Unmet[] {
  const { leftAsIsAt, zone } = view.input;
  const news = view.allDays.some(
    (day) =>
      after(day.arrivedAt, leftAsIsAt) || (day.reactionKnownAt && after(day.reactionKnownAt, leftAsIsAt)),
  );
  if (leftAsIsAt === undefined || news) return [];
  return [
    {
      evidence: evidence("answered", { on: localDay(leftAsIsAt, zone) }),
      nearestDays: usualDaysBetweenSessions,
    },
  ];
}

function recent(view: RecordView): Unmet[] {
  const last = view.allDays.at(-1);
  if (!last) return [];
  const days = daysBetween(last.date, view.today);
  return when(
    days > staleAfterDays && daysAway(view) <= rebaselineAfterDays,
    evidence("stale", { days, limit: staleAfterDays }),
    1,
  );
}

/**
 * Settling counts whole local days: a change on Monday with three days' settling frees Thursday. Contacts settle from a change
 * on: the first prescription is none. Running goes a week from step to step on one variable.
 */
function settling(view: RecordView): Unmet[] {
  const { settlingTrainingDays } = policy(view);
  const sessionsLeft = settlingTrainingDays - view.days.length;
  const reasons: Unmet[] = [];
  const { on, settlingDays, daysLeft } = [settlingSince(view), weekSinceStep(view)].reduce((a, b) =>
    b.daysLeft > a.daysLeft ? b : a,
  );
  if (daysLeft > 0) {
    const values = { daysLeft, settlingDays, until: addDays(on, settlingDays) };
    reasons.push({ evidence: evidence("settling", values), nearestDays: daysLeft });
  }
  if (sessionsLeft > 0) {
    const nearestDays = sessionsLeft * usualDaysBetweenSessions;
    reasons.push({ evidence: evidence("settling-days", { sessionsLeft }), nearestDays });
  }
  return reasons;
}

/** How long something has to settle from a local date on. */
function settlingFrom(on: string, settlingDays: number, today: string) {
  return { on, settlingDays, daysLeft: settlingDays - daysBetween(on, today) };
}

function settlingSince({ input, prescribedOn, today }: RecordView) {
  const { dose } = input.prescription;
  const isFirst = !input.changes.some(({ direction }) => direction !== "other");
  const days = dose.policy === "contacts" && isFirst ? 0 : settlingDaysOf(dose);
  return settlingFrom(prescribedOn, days, today);
}

function weekSinceStep({ input, next, prescribedOn, today }: RecordView) {
  const knob = next.found === "change" ? next.change.knob : undefined;
  const step = input.changes.findLast((change) => change.direction === "harder" && change.knob === knob);
  if (input.prescription.dose.policy !== "running" || !step) return settlingFrom(prescribedOn, 0, today);
  return settlingFrom(localDay(step.at, input.zone), runningStepDays, today);
}

/** A scheduled dose stays at a step as long as its calendar says; every other one as its policy says. */
function settlingDaysOf({ policy: name, reps }: Dose): number {
  return name === "scheduled" ? heavySlowDays(reps?.top ?? 0) : dosePolicy(name).settlingDays;
}

/** Landings obey the plan's total of a day. */
function planContacts({ input: { contacts, exercise }, next }: RecordView): Unmet[] {
  if (!contacts || next.found !== "change") return [];
  const { prescription } = next.change;
  const own = doseMinutes({ dose: prescription.dose, sides: sidesOf(exercise, prescription) }).contacts;
  const now = contacts.elsewhere + own;
  return when(
    own > 0 && now > contacts.most,
    evidence("plan-contacts", { now, most: contacts.most }),
    notInSight,
  );
}

function nextKnob({ next, today }: RecordView): Unmet[] {
  if (next.found === "left-alone") {
    return [{ evidence: evidence("knob-left-alone", { knob: next.knob }), nearestDays: notInSight }];
  }
  if (next.found !== "restriction" || closesLane(next)) return [];
  const { says, until, origin } = next.restriction;
  const nearestDays = until === undefined ? notInSight : Math.max(1, daysBetween(today, until));
  const values = { knob: next.knob, says, origin, ...(until === undefined ? {} : { until }) };
  return [{ evidence: evidence("restriction", values), nearestDays }];
}

/** The next variant belongs to a later stage: the lane has gone as far as this stage lets it. */
export function closesLane(next: Harder): boolean {
  return (
    next.found === "restriction" &&
    (next.restriction.kind === "variants" || next.restriction.kind === "phases") &&
    next.restriction.origin === "stage"
  );
}

function policy(view: RecordView) {
  return dosePolicy(view.input.prescription.dose.policy);
}

function when(applies: boolean, reason: Evidence, nearestDays: number): Unmet[] {
  return applies ? [{ evidence: reason, nearestDays }] : [];
}
