import fc from "fast-check";
import type { DecideInput } from "~/core/decision/record/decide-input";
import type { Dose, DosePolicyName } from "~/core/dose/dose";
import type { Turn } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { painSchoolCodes } from "~/core/response/pain-school";
import type { SetRecord, TrainingDay } from "~/core/response/session-record";
import { cleanSet, exerciseWith, march, squeezeInput } from "./decide-input";

/** A dose under each policy, what a set at its top is, and what would be turned next. */
interface Kind {
  readonly policy: DosePolicyName;
  readonly dose: Dose;
  readonly settings: Prescription["settings"];
  readonly turns: Turn[];
  readonly top: Partial<SetRecord>;
  readonly short: Partial<SetRecord>;
}

const rest = { restSeconds: 60, daysPerWeek: 3 };
const step: Turn = { knob: "step-height", ladder: [5, 10, 15, 20] };
const height = { "step-height": 10 };
const load: Turn = { knob: "load", stepPercent: 5, incrementKg: 1, maximumKg: 100 };

export const kinds: readonly Kind[] = [
  {
    policy: "double-progression",
    dose: { style: "strength", policy: "double-progression", sets: 3, reps: { bottom: 8, top: 12 }, ...rest },
    settings: height,
    turns: [step],
    top: { reps: 12 },
    short: { reps: 6 },
  },
  {
    policy: "double-progression",
    dose: {
      style: "strength",
      policy: "double-progression",
      sets: 3,
      reps: { bottom: 8, top: 12 },
      loadKg: 20,
      ...rest,
    },
    settings: { "load-place": "hands" },
    turns: [load],
    top: { reps: 12, loadKg: 20 },
    short: { reps: 6, loadKg: 20 },
  },
  {
    policy: "effort-band",
    dose: {
      style: "squeeze",
      policy: "effort-band",
      sets: 5,
      hold: { bottom: 10, top: 10 },
      effort: { lowPercent: 50, highPercent: 70 },
      ...rest,
    },
    settings: { contraction: "isometric" },
    turns: [{ knob: "effort", ladder: ["30-40", "50-70", "70-85", "85-100"] }],
    top: { holdSeconds: 10, forceN: 110 },
    short: { holdSeconds: 5, forceN: 110 },
  },
  {
    policy: "hold",
    dose: { style: "isometric-clinic", policy: "hold", sets: 4, hold: { bottom: 30, top: 45 }, ...rest },
    settings: { "knee-angle": 60 },
    turns: [{ knob: "knee-angle", ladder: [45, 60, 75, 90] }],
    top: { holdSeconds: 45 },
    short: { holdSeconds: 20 },
  },
  {
    policy: "scheduled",
    dose: {
      style: "heavy-slow",
      policy: "scheduled",
      sets: 4,
      reps: { bottom: 15, top: 15 },
      loadKg: 40,
      ...rest,
    },
    settings: {},
    turns: [load],
    top: { reps: 15, loadKg: 40 },
    short: { reps: 9, loadKg: 40 },
  },
  {
    policy: "form-failure",
    dose: { style: "form-failure", policy: "form-failure", sets: 2, reps: { bottom: 10, top: 20 }, ...rest },
    settings: height,
    turns: [step],
    top: { reps: 20 },
    short: { reps: 6 },
  },
  {
    policy: "contacts",
    dose: { style: "plyometric", policy: "contacts", sets: 3, contacts: { bottom: 15, top: 20 }, ...rest },
    settings: { "drop-height": 20 },
    turns: [{ knob: "drop-height", ladder: [10, 20, 30, 40] }],
    top: { contacts: 20 },
    short: { contacts: 8 },
  },
  {
    policy: "running",
    dose: { style: "running", policy: "running", sets: 1, minutes: 20, ...rest },
    settings: { speed: 60 },
    turns: [{ knob: "speed", ladder: [50, 60, 70, 80] }],
    top: { minutes: 20 },
    short: { minutes: 10 },
  },
  {
    policy: "fixed",
    dose: { style: "stretch", policy: "fixed", sets: 2, hold: { bottom: 30, top: 30 }, ...rest },
    settings: {},
    turns: [],
    top: { holdSeconds: 30 },
    short: { holdSeconds: 10 },
  },
];

/** What may go wrong with somebody who does well; each one thing, or nothing. */
export const mishaps = [
  "nothing",
  "report-awaited",
  "pain-in-the-set",
  "reaction",
  "marked-fault",
  "too-few-twice",
  "away",
  "signal",
  "pinch",
  "stuck",
  "tired",
  "barred",
] as const;
export type Mishap = (typeof mishaps)[number];

export interface GoodRecord {
  readonly kind: Kind;
  readonly mishap: Mishap;
  readonly input: DecideInput;
}

/** Where a knob stands in a dose or in the settings. */
function presentValue({ dose, settings }: Kind, knob: string): string | number {
  if (knob === "load") return dose.loadKg ?? 0;
  if (knob === "effort") return `${dose.effort?.lowPercent}-${dose.effort?.highPercent}`;
  return settings[knob] ?? 0;
}

const dayMs = 86_400_000;
const at = (day: number, time: string) =>
  new Date(Date.parse(march(1, time)) + (day - 1) * dayMs).toISOString();

/**
 * Records of somebody who does well: weeks of days at the top of the range, without pain, reported the next morning; then one
 * thing goes wrong, or nothing does. Every policy, school, load and way of sharing the work between the legs comes up.
 */
export const goodRecord: fc.Arbitrary<GoodRecord> = fc
  .record({
    kind: fc.constantFrom(...kinds),
    school: fc.constantFrom(...painSchoolCodes),
    sides: fc.constantFrom("each-side" as const, "both-together" as const),
    involvedSide: fc.constantFrom("left" as const, "right" as const, "both" as const),
    count: fc.integer({ min: 4, max: 6 }),
    every: fc.integer({ min: 2, max: 3 }),
    mishap: fc.oneof(
      { weight: 1, arbitrary: fc.constant("nothing" as Mishap) },
      { weight: 2, arbitrary: fc.constant("stuck" as Mishap) },
      { weight: 10, arbitrary: fc.constantFrom(...mishaps.slice(1)) },
    ),
    effort: fc.constantFrom(5, 6, 7),
    worst: fc.integer({ min: 6, max: 10 }),
  })
  .map(({ kind, school, sides, involvedSide, count, every, mishap, effort, worst }): GoodRecord => {
    const working = sides === "both-together" ? (["both"] as const) : (["left", "right"] as const);
    const sets = (work: Partial<SetRecord>, over: Partial<SetRecord> = {}): SetRecord[] =>
      Array.from({ length: kind.dose.sets }, () =>
        working.map((side): SetRecord => ({ ...cleanSet, side, effort, ...work, ...over })),
      ).flat();
    // A scheduled dose waits for its calendar, so everybody has been at it for a fortnight and more.
    const first = 15;
    // A step waits for a report only while the day it belongs to is the one that completes the run.
    const days = mishap === "report-awaited" ? 2 : count;
    const dates = Array.from({ length: days }, (_, n) => first + n * every);
    const last = dates.length - 1;
    const spoiled = (n: number): SetRecord[] => {
      if (mishap === "pain-in-the-set" && n === last) return sets(kind.top, { painDuring: worst });
      if (mishap === "marked-fault" && n === last)
        return sets(kind.top, { faults: [{ fault: "knee-in", severity: "marked", reps: "most" }] });
      if (mishap === "too-few-twice" && n >= last - 1) return sets(kind.short);
      if (mishap === "pinch" && n === last)
        return sets(kind.top, { limit: { kind: "pinch", pinchGrade: 2 } });
      if (mishap === "tired" && n === last) return sets(kind.top, { effort: 9 });
      if (mishap === "stuck" && kind.dose.reps) return sets({ ...kind.top, reps: kind.dose.reps.bottom });
      return sets(kind.top);
    };
    const trainingDays = dates.map((date, n): TrainingDay => {
      const reaction = mishap === "reaction" && n === last ? worst : 0;
      const unreported = mishap === "report-awaited" && n === last;
      return {
        date: at(date, "09:00").slice(0, 10),
        lastSessionAt: at(date, "09:00"),
        painBefore: 0,
        sets: spoiled(n),
        ...(unreported ? {} : { report: { receivedAt: at(date + 1, "06:30"), pain: reaction } }),
      };
    });
    const end = dates[last] ?? first;
    const away = mishap === "away" ? 12 : 0;
    const stuck = mishap === "stuck" ? -22 : 0;
    const now = at(end + 1 + away, mishap === "report-awaited" ? "06:00" : "10:00");
    return {
      kind,
      mishap,
      input: squeezeInput({
        exercise: { ...exerciseWith(kind.settings, kind.turns, kind.dose), sides },
        prescription: { variantId: "only", settings: kind.settings, dose: kind.dose },
        prescribedAt: at(11 + stuck, "07:00"),
        school,
        involvedSide,
        maximumN: 180,
        trainingDays,
        changes: [],
        now,
        restrictions:
          mishap === "barred"
            ? kind.turns.map(({ knob }) => ({
                kind: "knob-limit" as const,
                knob,
                hardest: presentValue(kind, knob),
                origin: "surgeon" as const,
                says: "as it is",
              }))
            : [],
        stopSignals:
          mishap === "signal" ? [{ code: "dizziness", scope: "plan", raisedAt: at(end, "12:00") }] : [],
      }),
    };
  });
