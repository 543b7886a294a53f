import { decideExample } from "~/core/calculation/examples";
import type { DecideInput } from "~/core/decision/record/decide-input";
import type { Dose } from "~/core/dose/dose";
import type { Exercise, Turn } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import type { SetRecord, TrainingDay } from "~/core/response/session-record";

export const zone = "Europe/Vienna";

/** An instant on a day of March 2026 in UTC (Vienna is one hour ahead until the 29th). */
export const march = (day: number, time = "09:00") => `2026-03-${String(day).padStart(2, "0")}T${time}:00Z`;

export const cleanSet: SetRecord = {
  side: "both",
  painDuring: 0,
  painSite: "episode",
  effort: 6,
  faults: [],
};

export interface DayOptions {
  before?: number;
  during?: number;
  /** Next-day pain; null: no report. */
  next?: number | null;
  sets?: SetRecord[];
  reportAt?: string;
  swelling?: "less" | "same" | "more";
}

/** A training day of March 2026, reported the next morning unless told otherwise. */
export function day(date: number, sets: SetRecord[], options: DayOptions = {}): TrainingDay {
  const { before = 0, next = 0, during } = options;
  const worked = during === undefined ? sets : sets.map((set) => ({ ...set, painDuring: during }));
  return {
    date: march(date).slice(0, 10),
    lastSessionAt: march(date),
    painBefore: before,
    sets: worked,
    ...(next === null
      ? {}
      : {
          report: {
            receivedAt: options.reportAt ?? march(date + 1, "06:30"),
            pain: next,
            ...(options.swelling ? { swelling: options.swelling } : {}),
          },
        }),
  };
}

/** Sets of repetitions as done, such as reps([12, 12, 12], { effort: 7 }). */
export function reps(counts: readonly number[], more: Partial<SetRecord> = {}): SetRecord[] {
  return counts.map((count) => ({ ...cleanSet, side: "left", reps: count, ...more }));
}

/** Five ten-second squeezes. */
export function squeezes(more: Partial<SetRecord> = {}): SetRecord[] {
  return Array.from({ length: 5 }, () => ({ ...cleanSet, holdSeconds: 10, forceN: 110, ...more }));
}

export const strength: Dose = {
  style: "strength",
  policy: "double-progression",
  sets: 3,
  reps: { bottom: 8, top: 12 },
  restSeconds: 90,
  daysPerWeek: 3,
};

/** An exercise with one variant and the given knobs. */
export function exerciseWith(settings: Prescription["settings"], turns: Turn[], dose: Dose): Exercise {
  return {
    id: "under-test",
    name: "Under test",
    lane: "knee-extensors",
    sides: "each-side",
    feltIn: "thigh",
    cues: ["Slowly"],
    faults: [{ code: "knee-in", name: "Knee drifts inward", steersKnee: true }],
    variants: [{ id: "only", name: "Only", settings, dose, turns, position: "standing", kit: [] }],
    source: { kind: "common-practice" },
  };
}

/** A side step-up at 10 cm, left side injured, monitored, prescribed on 3 March. */
export function stepUpInput(over: Partial<DecideInput> = {}): DecideInput {
  const exercise = exerciseWith(
    { "step-height": 10 },
    [{ knob: "step-height", ladder: [5, 10, 15, 20] }],
    strength,
  );
  return {
    ...decideExample,
    exercise,
    prescription: { variantId: "only", settings: { "step-height": 10 }, dose: strength },
    prescribedAt: march(3, "08:00"),
    trainingDays: [],
    now: march(9, "10:00"),
    ...over,
  };
}

/** The squeeze of the worked story, 50–70 % of 180 N. */
export function squeezeInput(over: Partial<DecideInput> = {}): DecideInput {
  return { ...decideExample, trainingDays: [], ...over };
}
