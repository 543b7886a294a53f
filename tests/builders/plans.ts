import { pathwayByCode } from "~/catalogue/pathways/all";
import { measuresOf } from "~/catalogue/pathways/measures-of";
import { caseFormat, caseVersion, type CaseFile } from "~/core/case/case-file";
import type { SignedChange } from "~/core/decision/record/decide-input";
import type { Lane } from "~/core/exercise/body";
import type { Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { reviewCase, type CaseReview } from "~/core/review/review-case";
import type { SetRecord } from "~/core/response/session-record";
import { exerciseWith, march, strength } from "./decide-input";

/** An exercise of a plan: a step at 10 cm, 3 × 8–12, done on each side, unless told otherwise. */
export interface PlanItem {
  readonly id: string;
  readonly lane?: Lane;
  readonly loads?: Exercise["loads"];
  /** Day of March on which it joined; the third unless said. */
  readonly from?: number;
  /** Day of March on which it was made harder. */
  readonly harderOn?: number;
  readonly spring?: boolean;
}

/** A day of March on which the plan was trained. */
export interface PlanDay {
  readonly on: number;
  readonly before?: number;
  /** Pain on waking; null: no report. */
  readonly next?: number | null;
  readonly swelling?: "same" | "more";
  /** Worst pain by exercise; 0 where nothing is said. */
  readonly pain?: Readonly<Record<string, number>>;
  /** Repetitions by exercise; 12 where nothing is said. */
  readonly reps?: Readonly<Record<string, number>>;
  readonly more?: Readonly<Record<string, Partial<SetRecord>>>;
  /** Exercises left out. */
  readonly without?: readonly string[];
  readonly reportAt?: string;
  readonly receivedAt?: string;
}

/** A whole plan under the monitored school: what was trained on which days, and what is said of every exercise then. */
export function planCase(
  items: readonly PlanItem[],
  days: readonly PlanDay[],
  now: string,
  over: Partial<CaseFile> = {},
): CaseFile {
  const pathway = pathwayByCode("kneecap-pain");
  const signed = items.flatMap(({ id, harderOn }) =>
    harderOn === undefined ? [] : [decision(id, harderOn)],
  );
  return {
    format: caseFormat,
    version: caseVersion,
    asOf: now,
    zone: "Europe/Vienna",
    episode: {
      id: "e",
      involvedSide: "left",
      onsetOn: "2026-01-10",
      irritability: "low",
      startedAt: march(1, "08:00"),
    },
    pathway,
    exercises: items.map(exerciseOf),
    measures: measuresOf(pathway),
    stageMoves: [{ id: "m", at: march(1, "08:00"), stage: "capacity", reason: "placed" }],
    schools: [{ id: "s", at: march(1, "08:00"), school: "monitored", reason: "chosen" }],
    restrictions: [],
    items: items.map((item) => {
      const { lane = "knee-extensors", from = 3, harderOn } = item;
      const first = { id: `${item.id}-0`, from: march(from, "08:00"), prescription: prescriptionOf(item) };
      const later =
        harderOn === undefined ? [] : [{ ...first, id: `${item.id}-1`, from: march(harderOn, "08:00") }];
      return { id: item.id, exerciseId: item.id, lane, prescriptions: [first, ...later] };
    }),
    sessions: days.map((day) => sessionOf(items, day)),
    reports: days.flatMap(({ on, next = 0, swelling, reportAt }) =>
      next === null
        ? []
        : [
            {
              id: `r${on}`,
              trainingDate: march(on).slice(0, 10),
              receivedAt: reportAt ?? march(on + 1, "06:30"),
              pain: next,
              ...(swelling ? { swelling } : {}),
            },
          ],
    ),
    results: [],
    decisions: signed,
    clearances: [],
    ...over,
  };
}

/** What is said of every exercise, by its id. */
export const outcomesOf = ({ items }: CaseReview): Record<string, string> =>
  Object.fromEntries(
    items.map(({ itemId, proposal: { outcome, rule } }) => [
      itemId,
      rule === outcome ? outcome : `${outcome} ${rule}`,
    ]),
  );

export const plan = (...input: Parameters<typeof planCase>) => outcomesOf(reviewCase(planCase(...input)));

function exerciseOf({ id, lane = "knee-extensors", loads, spring }: PlanItem): Exercise {
  const base = spring
    ? exerciseWith({ contraction: "plyometric" }, [{ knob: "contacts", ladder: ["6-6", "8-8"] }], hops)
    : exerciseWith({ "step-height": 10 }, [{ knob: "step-height", ladder: [5, 10, 15, 20] }], strength);
  return { ...base, id, name: id, lane, ...(loads ? { loads } : {}) };
}

const hops = {
  style: "plyometric" as const,
  policy: "contacts" as const,
  sets: 3,
  contacts: { bottom: 6, top: 6 },
  restSeconds: 60,
  daysPerWeek: 3,
};

const prescriptionOf = ({ spring }: PlanItem): Prescription =>
  spring
    ? { variantId: "only", settings: { contraction: "plyometric" }, dose: hops }
    : { variantId: "only", settings: { "step-height": 10 }, dose: strength };

function sessionOf(items: readonly PlanItem[], day: PlanDay): CaseFile["sessions"][number] {
  const { on, before = 0, pain = {}, reps = {}, more = {}, without = [], receivedAt } = day;
  const there = items.filter(({ id, from = 3 }) => !without.includes(id) && from <= on);
  return {
    id: `s${on}`,
    at: march(on),
    ...(receivedAt ? { receivedAt } : {}),
    painBefore: before,
    items: there.map(({ id, spring }) => ({
      itemId: id,
      sets: [1, 2, 3].flatMap(() =>
        (["left", "right"] as const).map((side): SetRecord => ({
          side,
          ...(spring ? { contacts: 6 } : { reps: reps[id] ?? 12 }),
          painDuring: side === "left" ? (pain[id] ?? 0) : 0,
          painSite: "episode",
          effort: 6,
          faults: [],
          ...(side === "left" ? more[id] : {}),
        })),
      ),
    })),
  };
}

/** A step that a clinician signed on a day of March. */
export function decision(
  itemId: string,
  on: number,
  over: Partial<SignedChange> = {},
): CaseFile["decisions"][number] {
  const at = march(on, "08:00");
  const before = { variantId: "only", settings: { "step-height": 5 }, dose: strength };
  return {
    id: `d-${itemId}-${on}`,
    itemId,
    at,
    action: "accept",
    signedBy: "staff",
    reason: null,
    school: "monitored",
    proposal: { outcome: "step-up", rule: "step-up", evidence: [], engineVersion: "2.0.0" },
    applied: null,
    signedChange: { at, direction: "harder", knob: "step-height", before, ...over },
  };
}
