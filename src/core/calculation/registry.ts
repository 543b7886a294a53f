import { Type, type Static } from "@sinclair/typebox";
import { dayByDay, DayByDay } from "~/core/review/day-by-day";
import { measuredBody, type MeasuredBody } from "~/core/case/measured-body";
import { judgedDays } from "~/core/decision/record/judged-days";
import type { DemandBook } from "~/core/demand/demand-book";
import { decide } from "~/core/decision/decide";
import { DecideInput, Proposal } from "~/core/decision/record/decide-input";
import { evaluateGate } from "~/core/gate/evaluate-gate";
import { GateInput } from "~/core/gate/gate-input";
import { GateResult } from "~/core/gate/gate";
import { gateProblems } from "~/core/gate/gate-problems";
import { CaseFile } from "~/core/case/case-file";
import { danglingReferences } from "~/core/case/import-case";
import { CaseReview, reviewCase } from "~/core/review/review-case";
import { exerciseProblems } from "~/core/progression/exercise-problems";
import { restrictionProblems } from "~/core/limit/restriction-problems";
import { painResponse, PainResponseInput, PainResponseOutput } from "~/core/response/pain-response";
import { isZone } from "~/core/schedule/local-time";
import { calculation, type Calculation } from "./calculation";
import { doseCalculations } from "./dose-calculations";
import { weekCalculations } from "./week-calculations";
import { measureCalculations } from "./measure-calculations";
import { mechanicsCalculations } from "./mechanics-calculations";
import { caseExample, decideExample, gateExample } from "./examples";
import { problemIf, within, type FieldProblem } from "~/core/schema/field-problem";

const zoneProblem = (zone: string) => problemIf(!isZone(zone), "/zone", "is not an IANA time zone");

/**
 * Every calculation that needs nothing of the catalogue but its drawings.
 *
 * @param bookOf what settings ask of a body as far as it was measured, of a usual one else
 */
export const calculations = (bookOf: (body: MeasuredBody) => DemandBook): readonly Calculation[] => [
  ...doseCalculations,
  ...measureCalculations,
  ...mechanicsCalculations,
  ...weekCalculations,
  calculation({
    name: "pain-response",
    says: "Pain during a session and on the next day, judged by a pain school.",
    source: "Thomeé 1997; Silbernagel 2007; Malliaras 2015; Hickey 2020, recalled; rises common practice",
    input: PainResponseInput,
    output: PainResponseOutput,
    example: { school: "monitored", painBefore: 1, painDuring: 3, painNextDay: 1 },
    run: painResponse,
  }),
  calculation({
    name: "decide",
    takes: "record",
    says: "What to do with one item next: stop, ease, wait, step up, plateau or hold, with rule and evidence.",
    source: "common practice; 2-for-2 rule from NSCA, recalled",
    input: DecideInput,
    output: Proposal,
    example: decideExample,
    problems: (i) => {
      const variants = i.exercise.variants.map((variant) => variant.id);
      return [
        ...zoneProblem(i.zone),
        ...problemIf(
          !variants.includes(i.prescription.variantId),
          "/prescription/variantId",
          "names a variant that the exercise does not have",
        ),
        ...within("/exercise", exerciseProblems(i.exercise)),
        ...restrictionProblems(i.restrictions, "/restrictions"),
      ];
    },
    run: (input) =>
      decide(input, judgedDays(input), bookOf({ heightM: input.heightM ?? null, massKg: null })),
  }),
  calculation({
    name: "gate",
    takes: "record",
    says: "Whether a gate is open: minimum times and every required criterion; a clinician still signs.",
    source: "common practice; thresholds as the gate's own sources say",
    input: GateInput,
    output: GateResult,
    example: gateExample,
    problems: (i) => gateProblems(i.gate, i.measures, "/gate"),
    run: evaluateGate,
  }),
  calculation({
    name: "case",
    takes: "record",
    says: "Reviews a whole case file: stage, gate and one proposal for each item of the plan.",
    source: "the rules of decide and gate",
    input: CaseFile,
    output: CaseReview,
    example: caseExample,
    problems: caseProblems,
    run: (file) => reviewCase(file, { book: bookOf(measuredBody(file)) }),
  }),
  calculation({
    name: "day-by-day",
    takes: "record",
    says: "Reads a whole case file again day by day: known, proposed, signed, and how the next time went.",
    source: "the rules of decide and gate",
    input: Type.Object(
      { case: CaseFile, from: Type.Optional(Type.String({ format: "date" })) },
      { additionalProperties: false },
    ),
    output: DayByDay,
    example: { case: caseExample },
    problems: (i) => within("/case", caseProblems(i.case)),
    run: (i, { long }) => long(dayByDay(i.case, i.from ?? null, bookOf(measuredBody(i.case)))),
  }),
];

/** What is wrong with a case file that a schema cannot say. */
function caseProblems(file: Static<typeof CaseFile>): FieldProblem[] {
  return [
    ...zoneProblem(file.zone),
    ...danglingReferences(file),
    ...file.exercises.flatMap((exercise, n) => within(`/exercises/${n}`, exerciseProblems(exercise))),
    ...restrictionProblems(file.restrictions, "/restrictions"),
    ...(file.limitSettings ?? []).flatMap(({ restrictions }, n) =>
      restrictionProblems(restrictions, `/limitSettings/${n}/restrictions`),
    ),
  ];
}
