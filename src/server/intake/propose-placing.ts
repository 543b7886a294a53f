import type { PlacingBody } from "~/contract/intake";
import { baselineResults, measuresByCode } from "./baseline";
import { noteFlags } from "./flag-ticks";
import { bookOf } from "~/server/case/body-of";
import type { DemandBook } from "~/core/demand/demand-book";
import { startingMeasures } from "~/catalogue/measures/all";
import { startingPathways } from "~/catalogue/pathways/all";
import { baselineProblems, intakeProblems, type Intake } from "~/core/intake/intake";
import type { MeasureResult } from "~/core/measure/measure";
import { placePatient } from "~/core/intake/place";
import { type Placing } from "~/core/intake/placing";
import { mostUrgent } from "~/core/intake/stop-signal";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import type { Pathway } from "~/core/pathway/pathway";
import { conditionByCode, conditionsOfIntake, isGrowing } from "~/catalogue/conditions/all";
import { codesOfOperation, proceduresOf } from "~/catalogue/procedures/all";
import { operationLimits, saysOfWeight } from "~/core/event/operation-limits";
import { datedLimits } from "~/core/pathway/dated-limits";
import type { Restriction } from "~/core/limit/restriction";
import { ageYears } from "~/core/schedule/age-years";
import { localDay } from "~/core/schedule/local-day";
import type { StaffContext } from "~/server/staff-context";
import { now } from "~/server/clock";
import { clinicCatalogue, type ClinicCatalogue } from "~/server/catalogue/clinic-catalogue";
import type { Queryable } from "~/server/db/connection";
import { pool } from "~/server/db/connection";
import { ApiProblem, refused } from "~/server/http/problem";

/** Proposes stage and plan for an intake; nothing is stored but that a red flag was ticked. */
export async function proposePlacing(staff: StaffContext, { id, intake }: PlacingBody): Promise<Placing> {
  const at = now();
  if (id !== undefined) await noteFlags(pool(), staff, id, intake.redFlags, at);
  const { placing } = await checkIntake(staff, intake, at);
  return placing;
}

/** A sound intake with what a placing needs. */
export interface CheckedIntake {
  readonly pathway: Pathway;
  readonly catalogue: ClinicCatalogue;
  readonly placing: Placing;
  readonly today: string;
  readonly book: DemandBook;
  /** What the operation and the conditions of the person limit. */
  readonly known: readonly Restriction[];
  /** The baseline as results of the record. */
  readonly results: readonly MeasureResult[];
}

/**
 * Checks an intake and proposes stage and plan. A red flag ends it: the answer says how urgent it is and whom to call, and
 * nothing is stored.
 */
export async function checkIntake(
  staff: StaffContext,
  intake: Intake,
  at: string,
  db: Queryable = pool(),
): Promise<CheckedIntake> {
  const urgency = mostUrgent(intake.redFlags);
  if (urgency || intake.redFlags.length > 0) {
    throw new ApiProblem(422, "red-flag", `Stop here: ${staff.calls[urgency ?? "soon"]}`, {
      changed: { urgency: urgency ?? "soon", signals: intake.redFlags },
    });
  }
  const today = localDay(at, staff.zone);
  const pathway = startingPathways.find((candidate) => candidate.code === intake.pathway) ?? null;
  const problems = [
    ...intakeProblems(intake, pathway, today),
    ...alsoProblems(intake),
    ...baselineProblems(intake, measuresByCode, today),
  ];
  if (problems.length > 0 || !pathway) throw refused(problems);
  const catalogue = await clinicCatalogue(staff.clinicId, db);
  const results = baselineResults(intake);
  const book = bookOf({ results });
  const known = knownLimits(intake, pathway, today);
  const placing = placePatient({
    book,
    known,
    intake,
    pathway,
    exercises: catalogue.exercises,
    measures: startingMeasures,
    results,
    today,
  });
  return { pathway, catalogue, placing, today, book, known, results };
}

/** Things done besides that nobody knows. */
const alsoProblems = ({ surgery }: Intake): FieldProblem[] =>
  (surgery?.also ?? []).flatMap((code, n) =>
    problemIf(proceduresOf([code]).length === 0, `/surgery/also/${n}`, "is not a known procedure"),
  );

/** What an operation that has been done limits, by what it consisted of; its day decides how long. */
export function surgeryLimits({ surgery, limits }: Intake, today: string): Restriction[] {
  if (!surgery || surgery.on > today) return [];
  const { on, graft } = surgery;
  return operationLimits(proceduresOf(surgeryCodes(surgery)), {
    on,
    graft,
    weightIsWritten: saysOfWeight(limits),
  });
}

/** Codes of everything that was done in an intake's operation. */
export const surgeryCodes = ({ procedure, also = [] }: NonNullable<Intake["surgery"]>): string[] => [
  ...new Set([...codesOfOperation(procedure), ...also]),
];

function knownLimits(intake: Intake, pathway: Pathway, today: string): Restriction[] {
  const codes = [
    ...conditionsOfIntake(intake),
    ...(isGrowing(ageYears(intake.person.bornOn, today), pathway.region) ? (["growing"] as const) : []),
  ];
  const byCalendar = pathway.countsFrom === "surgery" ? [] : datedLimits(pathway, intake.onsetOn, undefined);
  return [
    ...surgeryLimits(intake, today),
    ...codes.flatMap((code) => conditionByCode(code).limits),
    ...byCalendar,
  ];
}
