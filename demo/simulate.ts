import type { Lift } from "~/core/lift/lift";
import { acceptedChange } from "~/core/review/signed-change";
import { addDays } from "~/core/schedule/local-day";
import { instantOfLocal } from "~/core/schedule/local-time";
import { pathwayByCode } from "~/catalogue/pathways/all";
import { groinPathway } from "~/catalogue/pathways/groin";
import { startingExercises } from "~/catalogue/exercises/all";
import { caseFormat, caseVersion, type CaseFile } from "~/core/case/case-file";
import type { CaseReview, ItemReview } from "~/core/review/review-case";
import { reviewed } from "./reviewed";
import { effortTarget } from "~/core/dose/effort-target";
import { firstPrescription, type Exercise } from "~/core/exercise/exercise";
import { sidesOf } from "~/core/exercise/sides-of";
import type { Prescription } from "~/core/exercise/prescription";
import type { PainSchoolCode } from "~/core/response/pain-school";
import type { SetRecord } from "~/core/response/session-record";
import { measured, measuresFor } from "./measured";
import { operationOf } from "./operation";
import { demoId, seeded } from "./identity";

export interface DemoItem {
  readonly exercise: string;
  readonly variant?: string;
  readonly from: number;
  readonly dose?: Partial<Prescription["dose"]>;
  readonly settings?: Prescription["settings"];
}

/** What an invented patient is like; days are counted back from today. */
export interface DemoProfile {
  readonly key: string;
  readonly seed: number;
  /** The groin pathway unless it says another. */
  readonly pathway?: string;
  readonly side: "left" | "right";
  readonly onsetDaysAgo: number;
  readonly surgery?: { readonly daysAgo: number; readonly graft?: string };
  readonly targetInDays?: number;
  readonly stages: readonly { stage: string; daysAgo: number; reason: string }[];
  readonly schools?: readonly { school: PainSchoolCode; daysAgo: number; reason: string }[];
  readonly items: readonly DemoItem[];
  readonly maximumN: number;
  readonly sessions: readonly number[];
  /** Training days after which no report came. */
  readonly silent?: readonly number[];
  /** How readily the site reacts: 0 hardly, 1 strongly. */
  readonly irritability: number;
  /** Pain set by hand on some days: before, during, next day. */
  readonly pain?: Readonly<Record<number, readonly [number, number, number]>>;
  readonly results: readonly (readonly [
    measure: string,
    side: "left" | "right" | "none",
    value: number,
    daysAgo: number,
    way?: string,
  ])[];
  readonly signedBy: string;
  /** Whether proposals on the way were signed as they came. */
  readonly signs: boolean;
  readonly pinchOn?: number;
  /** What was lifted in training of one's own: so many days ago, kilograms for three sets of five, how it felt. */
  readonly lifts?: {
    readonly movement: string;
    readonly days: readonly (readonly [daysAgo: number, loadKg: number, felt?: Lift["felt"]])[];
  };
}

const zone = "Europe/Vienna";

/** Lives a patient's weeks day by day: trains, reports, and signs what the engine proposes. */
export function simulate(profile: DemoProfile, today: string): CaseFile {
  const random = seeded(profile.seed);
  const on = (daysAgo: number, time: string) => instantOfLocal(`${addDays(today, -daysAgo)}T${time}`, zone);
  const date = (daysAgo: number) => addDays(today, -daysAgo);
  const id = (...name: (string | number)[]) => demoId(profile.key, ...name);
  const pathway = pathwayByCode(profile.pathway ?? groinPathway.code);
  const used = new Set(profile.items.map((item) => item.exercise));

  const file: CaseFile = {
    format: caseFormat,
    version: caseVersion,
    asOf: on(0, "00:00"),
    zone,
    episode: {
      id: id("episode"),
      involvedSide: profile.side,
      onsetOn: date(profile.onsetDaysAgo),
      ...(profile.surgery ? { surgeryOn: date(profile.surgery.daysAgo) } : {}),
      ...(profile.surgery?.graft ? { graft: profile.surgery.graft } : {}),
      startedAt: on(profile.stages[0]?.daysAgo ?? 0, "08:00"),
    },
    pathway,
    exercises: startingExercises.filter((exercise) => used.has(exercise.id)),
    measures: measuresFor(profile),
    stageMoves: profile.stages.map((move, n) => ({
      id: id("move", n),
      at: on(move.daysAgo, "08:10"),
      stage: move.stage,
      reason: move.reason,
    })),
    schools: (profile.schools ?? []).map((set, n) => ({
      id: id("school", n),
      at: on(set.daysAgo, "08:15"),
      school: set.school,
      reason: set.reason,
    })),
    restrictions: [],
    events: operationOf(profile, date, on, id),
    items: profile.items.map((item) => ({
      id: id("item", item.exercise),
      exerciseId: item.exercise,
      lane: exercise(item.exercise).lane,
      prescriptions: [
        { id: id("first", item.exercise), from: on(item.from, "08:20"), prescription: prescribed(item) },
      ],
    })),
    sessions: [],
    reports: [],
    results: measured(profile, date, id),
    lifts: (profile.lifts?.days ?? []).map(([daysAgo, loadKg, felt]) => ({
      id: id("lift", daysAgo),
      at: on(daysAgo, "19:30"),
      on: date(daysAgo),
      movement: profile.lifts?.movement ?? "",
      sets: 3,
      reps: 5,
      loadKg,
      ...(felt ? { felt } : {}),
    })),
    decisions: [],
    clearances: [],
  };

  for (const day of profile.sessions) {
    const minuteOf = (minute: number) => on(day, `09:${String(minute).padStart(2, "0")}`);
    const review = profile.signs ? sign(file, profile, minuteOf) : reviewed(knownAt(file, on(day, "09:00")));
    const fixed = profile.pain?.[day];
    const before = fixed?.[0] ?? clamp(Math.round(profile.irritability * random() * 2));
    const items = review.items.filter((item) => item.prescribedAt <= on(day, "09:30"));
    const worked = items.map((item) => ({
      itemId: item.itemId,
      sets: work(item, profile, before, fixed?.[1], random, profile.pinchOn === day),
    }));
    file.sessions.push({
      id: id("session", day),
      at: on(day, "10:00"),
      painBefore: before,
      minutes: 20 + Math.round(random() * 15),
      otherLoad: random() < 0.25 ? "some" : "none",
      items: worked,
    });
    if (day > 0 && !profile.silent?.includes(day)) {
      const rise = random() < profile.irritability * 0.4 ? 1 : 0;
      file.reports.push({
        id: id("report", day),
        trainingDate: date(day),
        receivedAt: on(day - 1, "07:30"),
        pain: clamp(fixed?.[2] ?? before + rise),
        stiffnessMinutes: Math.round(random() * 10),
        swelling: "same",
      });
    }
  }
  return file;

  function work(
    item: ItemReview,
    who: DemoProfile,
    before: number,
    during: number | undefined,
    rng: () => number,
    pinch: boolean,
  ): SetRecord[] {
    const { dose } = item.prescription;
    const sides =
      sidesOf(exercise(item.exerciseId), item.prescription) === "each-side"
        ? (["left", "right"] as const)
        : (["both"] as const);
    const atSite = item.lane === pathway.siteLane;
    const pain = during ?? (atSite ? clamp(before + Math.round(who.irritability * rng() * 2)) : 0);
    const target =
      dose.effort && item.maximumN ? effortTarget({ maximumN: item.maximumN, ...dose.effort }) : null;
    return Array.from({ length: dose.sets }, (_, n) =>
      sides.map((side): SetRecord => ({
        side,
        ...(dose.reps
          ? { reps: rng() < 0.8 ? dose.reps.top : Math.max(dose.reps.bottom, dose.reps.top - 1) }
          : {}),
        ...(dose.hold ? { holdSeconds: dose.hold.top } : {}),
        ...(dose.contacts ? { contacts: dose.contacts.top } : {}),
        ...(dose.minutes ? { minutes: dose.minutes } : {}),
        ...(dose.loadKg ? { loadKg: dose.loadKg } : {}),
        ...(target
          ? { forceN: Math.round(target.lowN + (target.highN - target.lowN) * (0.4 + rng() * 0.6)) }
          : {}),
        painDuring: atSite ? pain : 0,
        painSite: "episode",
        effort: 5 + Math.round(rng() * 4) / 2 + (n > 1 ? 0.5 : 0),
        ...(pinch && atSite && n === dose.sets - 1
          ? { limit: { kind: "pinch" as const, pinchGrade: 2 } }
          : {}),
        faults: [],
      })),
    ).flat();
  }
}

/** The case as somebody saw it then: without what was measured later. */
function knownAt(file: CaseFile, asOf: string): CaseFile {
  return { ...file, asOf, results: file.results.filter(({ takenOn }) => takenOn <= asOf.slice(0, 10)) };
}

/**
 * Signs every proposal that asks for a change, one a minute, as the clinician of the demo would.
 *
 * @returns the review as it stands after the last signature
 */
function sign(file: CaseFile, profile: DemoProfile, atMinute: (minute: number) => string): CaseReview {
  let minute = 0;
  let review = reviewed(knownAt(file, atMinute(minute)));
  for (const { itemId } of review.items) {
    const at = atMinute(minute);
    const item = review.items.find((entry) => entry.itemId === itemId);
    if (!item) continue;
    const { outcome, change } = item.proposal;
    if (!change || !("knob" in change) || (outcome !== "step-up" && outcome !== "ease")) continue;
    const { applied, signedChange } = acceptedChange(item.proposal, item.prescription, at);
    const decisionId = demoId(profile.key, "decision", itemId, at);
    file.decisions.push({
      id: decisionId,
      itemId,
      at,
      action: "accept",
      signedBy: profile.signedBy,
      reason: null,
      school: review.school,
      proposal: item.proposal,
      applied,
      signedChange,
    });
    file.items
      .find((entry) => entry.id === itemId)
      ?.prescriptions.push({ id: demoId(decisionId), from: at, prescription: change.prescription });
    minute += 1;
    review = reviewed(knownAt(file, atMinute(minute)));
  }
  return review;
}

function exercise(id: string): Exercise {
  const found = startingExercises.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`the demo names an exercise that does not exist: ${id}`);
  return found;
}

function prescribed(item: DemoItem): Prescription {
  const { variants } = exercise(item.exercise);
  const variant = variants.find((v) => v.id === item.variant) ?? variants[0];
  if (!variant) throw new RangeError(`${item.exercise} has no variant`);
  const first = firstPrescription(variant);
  return {
    ...first,
    settings: { ...first.settings, ...item.settings },
    dose: { ...first.dose, ...item.dose },
  };
}

function clamp(pain: number): number {
  return Math.min(10, Math.max(0, pain));
}
