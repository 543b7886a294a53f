import { bodyWeightLoad, BodyWeightLoadInput, BodyWeightLoadOutput } from "~/core/dose/body-weight-load";
import { circuitMinutes, CircuitMinutesInput } from "~/core/dose/circuit-minutes";
import type { Dose } from "~/core/dose/dose";
import { doseMinutes, DoseMinutesInput, DoseMinutesOutput } from "~/core/dose/dose-minutes";
import { effortTarget, EffortTargetInput, EffortTargetOutput } from "~/core/dose/effort-target";
import { heavySlowCalendar, HeavySlowInput, HeavySlowOutput } from "~/core/dose/heavy-slow-calendar";
import {
  brzyckiMostReps,
  loadForReps,
  LoadForRepsInput,
  LoadForRepsOutput,
  oneRepMax,
  OneRepMaxInput,
  OneRepMaxOutput,
} from "~/core/dose/one-rep-max";
import { liftTrends, LiftTrendInput, LiftTrends } from "~/core/lift/lift-trend";
import { tempoSeconds } from "~/core/dose/tempo";
import type { FieldProblem } from "~/core/schema/field-problem";
import { calculation, type Calculation } from "./calculation";
import { problemIf } from "~/core/schema/field-problem";

const brzyckiProblem = ({ reps, formula }: { reps: number; formula: string }) =>
  problemIf(
    formula === "brzycki" && reps > brzyckiMostReps,
    "/reps",
    `must be ${brzyckiMostReps} or fewer for Brzycki's formula`,
  );

const squatDose: Dose = {
  style: "strength",
  policy: "double-progression",
  sets: 3,
  reps: { bottom: 8, top: 12 },
  restSeconds: 90,
  daysPerWeek: 3,
};

/** What makes a dose impossible to time, whatever the exercise. */
function timeProblems({ reps, hold, contacts, minutes, tempo }: Dose, path: string): FieldProblem[] {
  return [
    ...problemIf(
      !reps && !hold && !contacts && !minutes,
      path,
      "asks for nothing: give reps, a hold, contacts or minutes",
    ),
    ...problemIf(tempo !== undefined && tempoSeconds(tempo) <= 0, `${path}/tempo`, "lasts no time"),
    ...Object.entries({ reps, hold, contacts }).flatMap(([name, range]) =>
      problemIf((range?.bottom ?? 0) > (range?.top ?? 0), `${path}/${name}`, "bottom is above top"),
    ),
  ];
}

/** Doses, loads and times. */
export const doseCalculations: readonly Calculation[] = [
  calculation({
    name: "effort-target",
    says: "Force aimed at for an effort band in per cent of the maximal voluntary contraction.",
    source: "arithmetic",
    input: EffortTargetInput,
    output: EffortTargetOutput,
    example: { maximumN: 180, lowPercent: 50, highPercent: 70 },
    problems: (i) => problemIf(i.lowPercent > i.highPercent, "/lowPercent", "must not be above highPercent"),
    run: effortTarget,
  }),
  calculation({
    name: "one-rep-max",
    says: "One-repetition maximum estimated from a load lifted to failure.",
    source: "Epley 1985; Brzycki 1993, recalled",
    input: OneRepMaxInput,
    output: OneRepMaxOutput,
    example: { loadKg: 100, reps: 10, formula: "epley" },
    problems: brzyckiProblem,
    run: oneRepMax,
  }),
  calculation({
    name: "load-for-reps",
    says: "Load for so many repetitions: the inverse of one-rep-max, not rounded to the kit.",
    source: "Epley 1985; Brzycki 1993, recalled",
    input: LoadForRepsInput,
    output: LoadForRepsOutput,
    example: { oneRepMaxKg: 100, reps: 10, formula: "epley" },
    problems: brzyckiProblem,
    run: loadForReps,
  }),
  calculation({
    name: "lift-trend",
    says: "Whether the loads of somebody's own lifting still move: best estimates of one repetition by day, and stalls.",
    source: "Epley 1985, recalled; three weeks over four days as a stall: common practice",
    takes: "record",
    input: LiftTrendInput,
    output: LiftTrends,
    example: {
      lifts: [
        {
          id: "a",
          at: "2026-03-02T18:00:00Z",
          on: "2026-03-02",
          movement: "Squat",
          sets: 3,
          reps: 5,
          loadKg: 80,
        },
      ],
      today: "2026-03-09",
    },
    run: liftTrends,
  }),
  calculation({
    name: "body-weight-load",
    says: "Load for a share of body weight, not rounded to the kit.",
    source: "arithmetic",
    input: BodyWeightLoadInput,
    output: BodyWeightLoadOutput,
    example: { bodyMassKg: 70, percent: 20 },
    run: bodyWeightLoad,
  }),
  calculation({
    name: "dose-minutes",
    says: "Minutes, seconds of work and rest, and ground contacts of a dose.",
    source: "arithmetic; two contacts a second and five seconds' change of side common practice",
    input: DoseMinutesInput,
    output: DoseMinutesOutput,
    example: { dose: squatDose, sides: "both-together" },
    problems: ({ dose }) => timeProblems(dose, "/dose"),
    run: doseMinutes,
  }),
  calculation({
    name: "circuit-minutes",
    says: "Minutes of a circuit: one set of every item in turn, so many rounds.",
    source: "arithmetic",
    input: CircuitMinutesInput,
    output: DoseMinutesOutput,
    example: {
      items: [{ dose: squatDose, sides: "both-together" }],
      rounds: 3,
      betweenItemsSeconds: 15,
      betweenRoundsSeconds: 60,
    },
    problems: ({ items }) => items.flatMap(({ dose }, i) => timeProblems(dose, `/items/${i}/dose`)),
    run: circuitMinutes,
  }),
  calculation({
    name: "heavy-slow-calendar",
    says: "The twelve weeks of heavy slow resistance work, week by week.",
    source: "Kongsgaard 2009, recalled",
    input: HeavySlowInput,
    output: HeavySlowOutput,
    example: { startOn: "2026-03-02" },
    run: heavySlowCalendar,
  }),
];
