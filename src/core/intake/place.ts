import type { DemandBook } from "~/core/demand/demand-book";
import { doseMinutes } from "~/core/dose/dose-minutes";
import type { GateResult } from "~/core/gate/gate";
import { evaluateGate } from "~/core/gate/evaluate-gate";
import type { Measure, MeasureResult } from "~/core/measure/measure";
import type { Pathway, Stage } from "~/core/pathway/pathway";
import { phases, type Lane, type Phase } from "~/core/exercise/body";
import { firstPrescription, type Exercise, type Variant } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { obstacle } from "~/core/limit/obstacle";
import type { Restriction } from "~/core/limit/restriction";
import { sidesOf } from "~/core/exercise/sides-of";
import { daysBetween } from "~/core/schedule/local-day";
import { daysToLastStage } from "~/core/pathway/days-to-last-stage";
import { ageYears } from "~/core/schedule/age-years";
import type { PlacedItem, PlacedLane, Placing, PlacingReason } from "./placing";
import { lowAbility } from "./ability";
import { fitToTime } from "./fit-to-time";
import { personalLimits, type Intake } from "./intake";

export interface PlaceInput {
  readonly intake: Intake;
  readonly pathway: Pathway;
  readonly exercises: readonly Exercise[];
  readonly measures: readonly Measure[];
  readonly results: readonly MeasureResult[];
  readonly today: string;
  /** What the operation and the conditions of the person limit. */
  readonly known: readonly Restriction[];
  /** What settings ask of this body. */
  readonly book: DemandBook;
}

interface Candidate {
  readonly exercise: Exercise;
  readonly variant: Variant;
  readonly prescription: Prescription;
}

/** Lanes that are no strength of a leg: in every other, work of one leg keeps some of the other's (cross-education: Munn 2004, recalled). */
const notOfOneLeg: ReadonlySet<Lane> = new Set([
  "trunk",
  "balance",
  "landing",
  "running",
  "mobility",
  "upper-body",
]);

const alternativesShown = 6;

/**
 * Proposes stage and exercises from dates, baseline and limits: the furthest stage whose earlier gates are open by time and
 * by what was measured, never above what time or a limit allows; then for each of its lanes the exercise that fits kit,
 * positions, limits and irritability, and that the stage needs most. A clinician changes and signs it.
 *
 * @returns stage and lanes with their reasons; a lane nothing fits is named, not left out
 */
export function placePatient(input: PlaceInput): Placing {
  const { intake, pathway, today, measures, results } = input;
  const { stage, reasons, gate } = placedStage(input);
  const low = lowAbility(measures, results, intake.involvedSide);
  const counted = operatedOn(intake, today) ?? intake.onsetOn;
  const limits: Restriction[] = [
    ...intake.limits,
    ...input.known,
    ...stage.limits,
    ...personalLimits(intake),
  ];
  const lanes = stage.lanes.map(({ lane }) => placedLane(lane, stage, limits, input, low !== null));
  const fitted = fitToTime(lanes, intake.minutesPerDay);
  const weeksNeeded = Math.ceil(
    daysToLastStage(pathway, { stage: stage.code, enteredOn: today, countedFrom: counted, today }) / 7,
  );
  return {
    stage: stage.code,
    reasons: low ? [...reasons, { code: "ability", values: { ...low } }] : reasons,
    ...fitted,
    weeksNeeded,
    gate,
    weeksToTarget: intake.targetOn === undefined ? null : Math.floor(daysBetween(today, intake.targetOn) / 7),
  };
}

/** The day of an operation that has been done; a planned date is none. */
const operatedOn = ({ surgery }: Intake, today: string) =>
  surgery !== undefined && surgery.on <= today ? surgery.on : undefined;

function placedStage({ intake, pathway, measures, results, today }: PlaceInput): {
  stage: Stage;
  reasons: PlacingReason[];
  gate: GateResult | null;
} {
  const operated = operatedOn(intake, today);
  const from = pathway.stages.findIndex((stage) => !(operated !== undefined && stage.beforeSurgery));
  const counted = pathway.countsFrom === "surgery" ? (operated ?? intake.onsetOn) : intake.onsetOn;
  const { bornOn, normGroup } = intake.person;
  const person = { ageYears: ageYears(bornOn, today), ...(normGroup ? { normGroup } : {}) };
  const passed: string[] = [];
  for (const [n, stage] of pathway.stages.entries()) {
    if (n < from) continue;
    const measured: PlacingReason[] =
      passed.length > 0 ? [{ code: "measured", values: { stages: passed.join("; ") } }] : [];
    if (!stage.gate) return { stage, reasons: [...measured, { code: "last-stage", values: {} }], gate: null };
    const result = evaluateGate({
      gate: { ...stage.gate, minimumDaysInStage: 0 },
      onsetOn: counted,
      stageEnteredOn: counted,
      today,
      involvedSide: intake.involvedSide,
      measures: [...measures],
      results: [...results],
      effortDays: [],
      person,
      ...(operated === undefined ? {} : { surgeryOn: operated }),
    });
    if (result.outcome === "open") {
      passed.push(stage.name);
      continue;
    }
    const unmet = result.criteria.filter((c) => c.required && !c.passes).map((c) => c.name);
    const reasons: PlacingReason[] = [
      ...measured,
      ...(result.daysLeft > 0
        ? [{ code: "time" as const, values: { days: result.daysLeft, stage: stage.name } }]
        : []),
      ...(unmet.length > 0
        ? [{ code: "criteria" as const, values: { names: unmet.join("; "), stage: stage.name } }]
        : []),
      ...(n === from ? [{ code: "first-stage" as const, values: {} }] : []),
    ];
    return { stage, reasons, gate: result };
  }
  throw new RangeError(`pathway ${pathway.code} ends with a gate`);
}

function placedLane(
  lane: Lane,
  stage: Stage,
  limits: readonly Restriction[],
  input: PlaceInput,
  isWeak: boolean,
): PlacedLane {
  const allowed = stage.lanes.find((entry) => entry.lane === lane)?.exercises ?? [];
  const own = input.exercises.filter((exercise) => exercise.lane === lane);
  const named = own.filter((exercise) => allowed.includes(exercise.id));
  const barred = new Map<string, number>();
  const fitting = (leg?: "other"): Candidate[] =>
    (named.length > 0 ? named : own).flatMap((exercise) =>
      exercise.variants.filter(isOfStage(stage, lane)).flatMap((variant) => {
        const prescription = firstPrescription(variant, leg);
        if (leg && sidesOf(exercise, prescription) !== "one-side") return [];
        const stop = obstacle(prescription, variant, exercise, limits, input.today, input.book);
        if (stop && !leg) barred.set(stop.says, (barred.get(stop.says) ?? 0) + 1);
        return stop ? [] : [{ exercise, variant, prescription }];
      }),
    );
  const forBoth = fitting();
  // Nothing for the affected leg: its strength is kept best by the other one's meanwhile, where there is an other one.
  const onOther = forBoth.length === 0 && !notOfOneLeg.has(lane) && input.intake.involvedSide !== "both";
  const candidates = onOther ? fitting("other") : forBoth;
  const leftOut = [...barred].map(([says, count]) => ({ says, count })).sort((a, b) => b.count - a.count);
  const first = stage.lanes.find((entry) => entry.lane === lane)?.first ?? [];
  const needed = ({ id }: Exercise) => (first.includes(id) ? first.indexOf(id) : first.length);
  const gently = isWeak || isCareful(input.intake);
  const place = ({ exercise, variant }: Candidate) => (gently ? exercise.variants.indexOf(variant) : 0);
  const wanted = wantedPhase(
    candidates.map(({ variant }) => variant),
    input.intake.irritability,
  );
  const { region } = input.pathway;
  const elsewhere = ({ regions }: Exercise) =>
    region !== undefined && regions?.includes(region) !== true ? 1 : 0;
  const ordered = [...candidates].sort(
    (a, b) =>
      needed(a.exercise) - needed(b.exercise) ||
      distance(a.variant, wanted) - distance(b.variant, wanted) ||
      elsewhere(a.exercise) - elsewhere(b.exercise) ||
      place(a) - place(b) ||
      a.variant.kit.length - b.variant.kit.length,
  );
  const [chosen] = ordered;
  if (!chosen)
    return {
      lane,
      chosen: null,
      alternatives: [],
      leftOut,
      reasons: [{ code: "none-fits", values: { lane } }],
    };
  const others = ordered.filter(({ exercise }, i) => {
    const isFirstOfExercise = ordered.findIndex((o) => o.exercise.id === exercise.id) === i;
    return isFirstOfExercise && exercise.id !== chosen.exercise.id;
  });
  return {
    lane,
    chosen: placedItem(chosen),
    alternatives: others.slice(0, alternativesShown).map(placedItem),
    leftOut,
    reasons: [
      ...(onOther ? [{ code: "other-leg" as const, values: {} }] : []),
      { code: "irritability", values: { level: input.intake.irritability, phase: wanted } },
      ...(chosen.variant.kit.length > 0
        ? [{ code: "kit" as const, values: { kit: chosen.variant.kit.join(",") } }]
        : []),
    ],
  };
}

/** Helped, supported and smaller work comes before free work when the site is irritable, somebody falls, or was measured weak. */
const isCareful = ({ irritability, fellLastYear, fearsFalling }: Intake) =>
  irritability === "high" || fellLastYear || fearsFalling === true;

/** Whether a variant is of a phase that the stage trains in a lane: work on range is let pass everywhere, and proposed only there. */
function isOfStage({ limits }: Stage, lane: Lane): (variant: Variant) => boolean {
  const entries = limits.flatMap((limit) => (limit.kind === "phases" ? limit.lanes : []));
  const entry = entries.find((candidate) => candidate.lane === lane);
  return ({ phase }) => !entry || phase === undefined || entry.phases.includes(phase);
}

/** Irritable: the gentlest phase that fits; calm: the furthest; between them: the middle one. */
function wantedPhase(variants: readonly Variant[], irritability: Intake["irritability"]): Phase {
  const present = phases.filter((phase) => variants.some((variant) => variant.phase === phase));
  const at = { high: 0, moderate: Math.floor((present.length - 1) / 2), low: present.length - 1 }[
    irritability
  ];
  return present[Math.max(0, at)] ?? "range";
}

const distance = ({ phase }: Variant, wanted: Phase) =>
  phase === undefined ? phases.length : Math.abs(phases.indexOf(phase) - phases.indexOf(wanted));

function placedItem({ exercise, variant, prescription }: Candidate): PlacedItem {
  return {
    exerciseId: exercise.id,
    exerciseName: exercise.name,
    variantId: variant.id,
    variantName: variant.name,
    drawnLike: exercise.drawnLike ?? null,
    prescription,
    time: doseMinutes({ dose: prescription.dose, sides: sidesOf(exercise, prescription) }),
  };
}
