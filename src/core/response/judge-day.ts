import type { Dose } from "~/core/dose/dose";
import { dosePolicy } from "~/core/dose/dose-policy";
import { effortTarget } from "~/core/dose/effort-target";
import { knobByName } from "~/core/exercise/knob";
import type { Prescription } from "~/core/exercise/prescription";
import { cleanReps, markedInMostReps } from "./clean-reps";
import { effusionKnownAt } from "./effusion-known-at";
import { fallsBelow } from "./falls-below";
import { loadTestBand } from "./load-test-band";
import { painCause, type PainCause } from "./pain-cause";
import { painResponse, type DuringBand, type NextDayBand } from "./pain-response";
import { painSchool, type PainSchoolCode } from "./pain-school";
import { workDone, type WorkDone } from "./work-done";
import type { NextDayReport, SetRecord, Side, TrainingDay } from "./session-record";
import { trainingDayState, type TrainingDayState } from "./training-day-state";

/** What one training day says about one item. */
export interface DayJudgement {
  readonly date: string;
  readonly lastSessionAt: string;
  /** When the last of its sessions reached the record. */
  readonly arrivedAt: string;
  readonly state: TrainingDayState;
  /** When the next day's reaction became known: the report, or the effusion graded higher. */
  readonly reactionKnownAt: string | null;
  readonly during: DuringBand;
  readonly nextDay: NextDayBand;
  readonly painBefore: number;
  /** Worst pain that counts for the school: of the involved side's sets, and at the episode's site in any. */
  readonly painDuring: number;
  readonly painNextDay: number | null;
  readonly swellingMore: boolean;
  /** The swelling was graded by a clinician, and not only reported. */
  readonly effusionUp: boolean;
  /** What was done of the sets that decide, beside what was asked, where it is short; null at the top, and where the dose counts nothing. */
  readonly work: WorkDone | null;
  /** Pain before lay above the school's go band already. */
  readonly soreStart: boolean;
  /** Highest perceived exertion of the involved side's sets. */
  readonly effort: number;
  readonly effortWithinCap: boolean;
  /** Enough sets, none easier than prescribed, and every one at or above the top of its range. */
  readonly atTop: boolean;
  /** Less than the bottom of the range, added up over the sets done; fear as the limit never counts as that. */
  readonly belowBottom: boolean;
  /** A set with less load than prescribed, or with a knob of the movement set easier. */
  readonly easierThanPrescribed: boolean;
  /** The side that does not decide fell below the bottom of the range in at least one set. */
  readonly otherSideBelowBottom: boolean;
  /** Worst pain that is neither at the site nor in the worked muscle. */
  readonly painElsewhere: number;
  readonly markedFault: boolean;
  readonly markedFaultNames: readonly string[];
  readonly markedInMostOfLastSet: boolean;
  readonly fear: boolean;
  /** Pinch 0–3; ungraded pinching and blocking count as 3. */
  readonly pinchGrade: number;
  /** What was said of the gravest: a pinch with a grade, one without, a block; null without either. */
  readonly pinchSaid: "graded" | "ungraded" | "block" | null;
  /** What the worst pain is laid to. */
  readonly painWith: PainCause["with"];
  /** Where the worst pain was felt, degrees; null where nobody said. */
  readonly painArc: PainCause["arc"];
  /** A band of effort has newtons, and of a set nobody read them. */
  readonly forceUnread: boolean;
  /** A set was pushed harder than the band: it counts as done. */
  readonly forceAbove: boolean;
  /** The shortest of the reaches that were measured, centimetres; null where a set that decides has none. */
  readonly reachedCm: number | null;
  /** The work was felt where it should not be. */
  readonly wrongPlace: boolean;
  /** The next day was judged by a loading test, and not on waking. */
  readonly byLoadTest: boolean;
}

export interface DayContext {
  readonly dose: Dose;
  /** Where the knobs of the movement stand; left out: nothing is compared. */
  readonly settings?: Prescription["settings"];
  readonly school: PainSchoolCode;
  readonly involvedSide: Side;
  /** Maximal voluntary force, newtons, for effort bands; null when nobody has measured it. */
  readonly maximumN: number | null;
  readonly now: string;
  /** IANA time zone of the clinic: a grade of effusion has a date there, and no hour. */
  readonly zone: string;
}

const muscleSorenessCountsAbove = 5;
const muscleSorenessSettlesHours = 48;
const hourMs = 3_600_000;
/** One step of perceived exertion, per cent of the most. */
const percentOfFeel = 10;

/**
 * Judges one training day of one item; only the involved side (the worse, where both are) decides, but for a pinch or a block:
 * that stops whichever leg it was felt in.
 */
export function judgeDay(day: TrainingDay, context: DayContext): DayJudgement {
  const sets = day.sets.filter((set) => decides(set, context.involvedSide));
  const others = day.sets.filter((set) => !decides(set, context.involvedSide));
  const easier = sets.some((set) => easierThanPrescribed(set, context));
  const state = trainingDayState(day, context.now);
  const report = countedReport(day, state, context);
  const lasting = lastsTooLong(day, report, context.now);
  // Pain at the site counts whichever leg was working; soreness of a muscle is of the leg that worked.
  const atSite = others.filter(({ painSite }) => painSite === "episode");
  const felt = [...sets, ...atSite].map((set) => ({ set, pain: countedPain(set, lasting) }));
  const painDuring = Math.max(0, ...felt.map(({ pain }) => pain));
  const pain = painResponse({
    school: context.school,
    painBefore: day.painBefore,
    painDuring,
    ...(report ? { painNextDay: nextDayPain(report, context.school) } : {}),
  });
  const test = report ? loadTestOf(report, context.school) : undefined;
  const cause = painCause(felt, context.dose);
  const gradedAt = effusionKnownAt(day, context);
  const effusionUp = gradedAt !== null;
  const effort = Math.max(0, ...sets.map((set) => set.effort));
  const cap = dosePolicy(context.dose.policy).effortCap;
  const swellingMore = report?.swelling === "more" || effusionUp;
  const faults = sets.flatMap((set) => set.faults.filter((fault) => fault.severity === "marked"));
  const atTop = enoughSets(sets, context) && !easier && sets.every((set) => reachesTop(set, context));
  const asksForce = !!context.dose.effort && context.maximumN !== null;
  return {
    date: day.date,
    lastSessionAt: day.lastSessionAt,
    arrivedAt: day.receivedAt ?? day.lastSessionAt,
    state,
    reactionKnownAt: effusionUp ? gradedAt : (report?.receivedAt ?? null),
    during: pain.during,
    nextDay: swellingMore
      ? "ease"
      : test === undefined
        ? pain.nextDay
        : loadTestBand(test, day.fineTestBefore),
    painBefore: day.painBefore,
    painDuring,
    painNextDay: report ? nextDayPain(report, context.school) : null,
    swellingMore,
    effusionUp,
    work: atTop ? null : workDone(sets, context),
    soreStart: day.painBefore > painSchool(context.school).goMax,
    effort,
    effortWithinCap: cap === null || effort <= cap,
    atTop,
    belowBottom: fallsBelow(sets, context),
    easierThanPrescribed: easier,
    otherSideBelowBottom: fallsBelow(others, context),
    painElsewhere: Math.max(
      0,
      ...day.sets.filter((set) => set.painSite === "elsewhere").map((set) => set.painDuring),
    ),
    markedFault: faults.length > 0,
    markedFaultNames: [...new Set(faults.map((fault) => fault.fault))],
    markedInMostOfLastSet: lastSets(sets).some(markedInMostReps),
    fear: sets.some((set) => set.limit?.kind === "fear"),
    pinchGrade: Math.max(0, ...day.sets.map(pinchGrade)),
    pinchSaid: pinchSaid(day.sets),
    painWith: cause.with,
    painArc: cause.arc,
    forceUnread: asksForce && sets.some(({ forceN }) => forceN === undefined),
    forceAbove: asksForce && sets.some((set) => isAboveBand(set, context)),
    reachedCm: reachedIn(sets),
    wrongPlace: sets.some((set) => set.limit?.kind === "wrong-place"),
    byLoadTest: test !== undefined,
  };
}

/** The report that is judged: one in time; of one that came too late only bad news, for good news it is no report. */
function countedReport(
  { report, painBefore, fineTestBefore }: TrainingDay,
  state: TrainingDayState,
  { school, now }: DayContext,
): NextDayReport | undefined {
  if (state === "reported") return report;
  if (!report || Date.parse(report.receivedAt) > Date.parse(now)) return undefined;
  const test = loadTestOf(report, school);
  const { nextDay } = painResponse({ school, painBefore, painDuring: painBefore, painNextDay: report.pain });
  const band = test === undefined ? nextDay : loadTestBand(test, fineTestBefore);
  return band === "ease" || report.swelling === "more" ? report : undefined;
}

/** Soreness of the worked muscle beyond 48 h: by the report, or by the next session's word that it is still there. */
function lastsTooLong(
  { lastSessionAt, stillSoreAt }: TrainingDay,
  report: NextDayReport | undefined,
  now: string,
): boolean {
  if ((report?.settledHours ?? 0) > muscleSorenessSettlesHours) return true;
  if (stillSoreAt === undefined || Date.parse(stillSoreAt) > Date.parse(now)) return false;
  return Date.parse(stillSoreAt) - Date.parse(lastSessionAt) > muscleSorenessSettlesHours * hourMs;
}

function reachedIn(sets: readonly SetRecord[]): number | null {
  const reaches = sets.map(({ settings }) => settings?.["reach"]);
  const measured = reaches.filter((reach) => typeof reach === "number");
  return measured.length > 0 && measured.length === sets.length ? Math.min(...measured) : null;
}

/** The last set of each leg, or of both together. */
function lastSets(sets: readonly SetRecord[]): SetRecord[] {
  return [...new Map(sets.map((set) => [set.side, set])).values()];
}

/** Pain of the loading test, where the school is judged on one and the report has it. */
const loadTestOf = (report: NextDayReport, school: PainSchoolCode): number | undefined =>
  painSchool(school).nextDayOn === "loading-test" ? report.loadTestPain : undefined;

const nextDayPain = (report: NextDayReport, school: PainSchoolCode): number =>
  loadTestOf(report, school) ?? report.pain;

function easierThanPrescribed(set: SetRecord, { dose, settings = {} }: DayContext): boolean {
  if (set.loadKg !== undefined && set.loadKg < (dose.loadKg ?? 0)) return true;
  return Object.entries(set.settings ?? {}).some(([name, used]) => {
    const asked = settings[name];
    return asked !== undefined && knobByName(name).rank(used) < knobByName(name).rank(asked);
  });
}

function decides(set: SetRecord, involved: Side): boolean {
  return set.side === "both" || involved === "both" || set.side === involved;
}

/** Pain at the episode's site counts; soreness of the worked muscle only above 5 or beyond 48 h; elsewhere it is noted. */
function countedPain(set: SetRecord, lasting: boolean): number {
  if (set.painSite === "episode") return set.painDuring;
  if (set.painSite !== "muscle") return 0;
  return lasting || set.painDuring > muscleSorenessCountsAbove ? set.painDuring : 0;
}

/** How the gravest pinch of some sets was put: a block before a pinch without a grade, that before one with. */
function pinchSaid(sets: readonly SetRecord[]): DayJudgement["pinchSaid"] {
  const limits = sets.flatMap(({ limit }) => limit ?? []);
  if (limits.some(({ kind }) => kind === "block")) return "block";
  const pinches = limits.filter(({ kind }) => kind === "pinch");
  if (pinches.length === 0) return null;
  return pinches.some(({ pinchGrade: grade }) => grade === undefined) ? "ungraded" : "graded";
}

/**
 * How grave a pinch a set ended with, 0–3; a block is the gravest, and so is a pinch nobody graded.
 *
 * @example pinchGrade({ side: "left", painDuring: 0, painSite: "episode", effort: 3, faults: [], limit: { kind: "block" } }) // 3
 */
export function pinchGrade({ limit }: Pick<SetRecord, "limit">): number {
  if (limit?.kind === "block") return 3;
  return limit?.kind === "pinch" ? (limit.pinchGrade ?? 3) : 0;
}

/** As many sets as the dose asks for on each side that decides. */
function enoughSets(sets: readonly SetRecord[], { dose, involvedSide }: DayContext): boolean {
  const count = (side: Side) => sets.filter((set) => set.side === "both" || set.side === side).length;
  if (involvedSide !== "both") return count(involvedSide) >= dose.sets;
  return count("left") >= dose.sets && count("right") >= dose.sets;
}

function reachesTop(set: SetRecord, { dose, maximumN }: DayContext): boolean {
  return (
    (!dose.reps || reaches(cleanReps(set), dose.reps.top)) &&
    reaches(set.holdSeconds ?? 0, dose.hold?.top) &&
    reaches(set.contacts ?? 0, dose.contacts?.top) &&
    reaches(set.minutes ?? 0, dose.minutes) &&
    reaches(...forceReached(set, dose, maximumN))
  );
}

const reaches = (done: number | undefined, wanted: number | undefined): boolean =>
  done === undefined || wanted === undefined || done >= wanted - 1e-9;

/**
 * What was pushed and what the band asks at least, newtons. Where no maximum is known, effort by feel stands for it: 7 of 10
 * for 70 %.
 */
function forceReached(
  set: SetRecord,
  { effort }: Dose,
  maximumN: number | null,
): [number | undefined, number | undefined] {
  if (!effort) return [undefined, undefined];
  if (maximumN === null) return [set.effort * percentOfFeel, effort.lowPercent];
  return [set.forceN, effortTarget({ maximumN, ...effort }).lowN];
}

function isAboveBand({ forceN }: SetRecord, { dose: { effort }, maximumN }: DayContext): boolean {
  if (!effort || maximumN === null || forceN === undefined) return false;
  return forceN > effortTarget({ maximumN, ...effort }).highN + 1e-9;
}
