import type { Dose } from "~/core/dose/dose";
import { dosePolicy } from "~/core/dose/dose-policy";
import { effortTarget } from "~/core/dose/effort-target";
import { cleanReps, markedInMostReps } from "./clean-reps";
import { painResponse, type DuringBand, type NextDayBand } from "./pain-response";
import type { PainSchoolCode } from "./pain-school";
import type { SetRecord, Side, TrainingDay } from "./session-record";
import { trainingDayState, type TrainingDayState } from "./training-day-state";

/** What one training day says about one item. */
export interface DayJudgement {
  readonly date: string;
  readonly lastSessionAt: string;
  readonly state: TrainingDayState;
  readonly reportReceivedAt: string | null;
  readonly during: DuringBand;
  readonly nextDay: NextDayBand;
  readonly painBefore: number;
  /** Worst pain of the involved side's sets that counts for the school. */
  readonly painDuring: number;
  readonly painNextDay: number | null;
  readonly swellingMore: boolean;
  /** Highest perceived exertion of the involved side's sets. */
  readonly effort: number;
  readonly effortWithinCap: boolean;
  /** Enough sets, and every one at or above the top of its range. */
  readonly atTop: boolean;
  /** At least one set below the bottom of its range or short of its effort band. */
  readonly belowBottom: boolean;
  readonly markedFault: boolean;
  readonly markedFaultNames: readonly string[];
  readonly markedInMostOfLastSet: boolean;
  readonly fear: boolean;
  /** Pinch 0–3; ungraded pinching and blocking count as 3. */
  readonly pinchGrade: number;
  readonly painWith: "depth" | "effort";
}

export interface DayContext {
  readonly dose: Dose;
  readonly school: PainSchoolCode;
  readonly involvedSide: Side;
  /** Maximal voluntary force, newtons, for effort bands; null when nobody has measured it. */
  readonly maximumN: number | null;
  readonly now: string;
}

const muscleSorenessCountsAbove = 5;

/** Judges one training day of one item; only the involved side (the worse, where both are) decides. */
export function judgeDay(day: TrainingDay, context: DayContext): DayJudgement {
  const sets = day.sets.filter((set) => decides(set, context.involvedSide));
  const state = trainingDayState(day, context.now);
  const report = state === "reported" ? day.report : undefined;
  const painDuring = Math.max(0, ...sets.map(countedPain));
  const pain = painResponse({
    school: context.school,
    painBefore: day.painBefore,
    painDuring,
    ...(report ? { painNextDay: report.pain } : {}),
  });
  const effort = Math.max(0, ...sets.map((set) => set.effort));
  const cap = dosePolicy(context.dose.policy).effortCap;
  const lastSet = sets.at(-1);
  const swellingMore = report?.swelling === "more";
  const faults = sets.flatMap((set) => set.faults.filter((fault) => fault.severity === "marked"));
  return {
    date: day.date,
    lastSessionAt: day.lastSessionAt,
    state,
    reportReceivedAt: report?.receivedAt ?? null,
    during: pain.during,
    nextDay: swellingMore ? "ease" : pain.nextDay,
    painBefore: day.painBefore,
    painDuring,
    painNextDay: report?.pain ?? null,
    swellingMore,
    effort,
    effortWithinCap: cap === null || effort <= cap,
    atTop: enoughSets(sets, context) && sets.every((set) => reaches(set, context, "top")),
    belowBottom: sets.some((set) => !reaches(set, context, "bottom")),
    markedFault: faults.length > 0,
    markedFaultNames: [...new Set(faults.map((fault) => fault.fault))],
    markedInMostOfLastSet: lastSet !== undefined && markedInMostReps(lastSet),
    fear: sets.some((set) => set.limit?.kind === "fear"),
    pinchGrade: Math.max(0, ...sets.map(pinchGrade)),
    painWith: sets.find((set) => set.painWith)?.painWith ?? usualPainSource(context.dose),
  };
}

function decides(set: SetRecord, involved: Side): boolean {
  return set.side === "both" || involved === "both" || set.side === involved;
}

/** Pain at the episode's site counts; soreness of the worked muscle only above 5; pain elsewhere is noted. */
function countedPain(set: SetRecord): number {
  if (set.painSite === "episode") return set.painDuring;
  if (set.painSite === "muscle") return set.painDuring > muscleSorenessCountsAbove ? set.painDuring : 0;
  return 0;
}

function pinchGrade({ limit }: SetRecord): number {
  if (limit?.kind === "block") return 3;
  return limit?.kind === "pinch" ? (limit.pinchGrade ?? 3) : 0;
}

function usualPainSource(dose: Dose): "depth" | "effort" {
  return dose.effort || (dose.loadKg ?? 0) > 0 ? "effort" : "depth";
}

/** As many sets as the dose asks for on each side that decides. */
function enoughSets(sets: readonly SetRecord[], { dose, involvedSide }: DayContext): boolean {
  const count = (side: Side) => sets.filter((set) => set.side === "both" || set.side === side).length;
  if (involvedSide !== "both") return count(involvedSide) >= dose.sets;
  return count("left") >= dose.sets && count("right") >= dose.sets;
}

function reaches(set: SetRecord, { dose, maximumN }: DayContext, end: "bottom" | "top"): boolean {
  const done: [number | undefined, number | undefined][] = [
    [cleanReps(set), dose.reps?.[end]],
    [set.holdSeconds ?? 0, dose.hold?.[end]],
    [set.contacts ?? 0, dose.contacts?.[end]],
    [set.minutes ?? 0, dose.minutes],
    [
      set.forceN,
      dose.effort && maximumN !== null ? effortTarget({ maximumN, ...dose.effort }).lowN : undefined,
    ],
  ];
  return done.every(
    ([value, wanted]) => value === undefined || wanted === undefined || value >= wanted - 1e-9,
  );
}
