import { loadBody } from "~/server/case/load-body";
import type { WeekSolutionBody, WeekView } from "~/contract/week";
import { recordingRoles } from "~/contract/roles";
import { measuredHeight } from "~/core/case/measured-body";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import { addDays, localDay } from "~/core/schedule/local-day";
import { planWeek, type PlanWeekOutput } from "~/core/week/plan-week";
import { restOfWeek } from "~/core/week/rest-of-week";
import type { Lock } from "~/core/week/week";
import { weekProblems } from "~/core/week/week-problems";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import type { LoadedCase } from "~/server/case/make-case";
import { patientName } from "~/server/case/patient-name";
import { pool, type Queryable } from "~/server/db/connection";
import { readFacts } from "~/server/facts/sql";
import { weeks as weekFacts } from "~/server/facts/weeks";
import { refused } from "~/server/http/problem";
import { tools } from "~/server/solve/tools";
import type { StaffContext } from "~/server/staff-context";
import { weeksAhead } from "./weeks-ahead";
import { mondayOf, weekQuestion, type PlannedWeek } from "./week-question";

/** Kept weeks of an episode, the latest of each, by their Monday. */
export async function keptWeeks(db: Queryable, clinicId: string, episodeId: string) {
  const all = (await readFacts(db, weekFacts, clinicId, [episodeId])).get(episodeId) ?? [];
  return new Map(all.map((week) => [week.startsOn, week]));
}
export type KeptWeeks = Awaited<ReturnType<typeof keptWeeks>>;

/** A week of a patient: as it was laid out last, or as the planner proposes it. */
export async function readWeek(
  staff: StaffContext,
  episodeId: string,
  { from }: { readonly from?: string | undefined },
): Promise<WeekView> {
  const loaded = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "read-week");
  const kept = await keptWeeks(pool(), staff.clinicId, episodeId);
  const today = localDay(loaded.file.asOf, loaded.file.zone);
  const startsOn = mondayOf(from ?? today);
  const known = kept.get(startsOn);
  if (known) return weekView(staff, loaded, startsOn, kept);
  const planned = weekQuestion(loaded, startsOn, {}, kept);
  const solved = await solve(planned, today, []);
  return {
    ...weekView(staff, loaded, startsOn, kept),
    ...("conflict" in solved
      ? { placed: [], optimal: false }
      : { placed: solved.placed, optimal: solved.optimal }),
  };
}

/** A week as it was kept. */
export function weekView(
  staff: StaffContext,
  loaded: LoadedCase,
  startsOn: string,
  kept: KeptWeeks,
): WeekView {
  const { head, file } = loaded;
  const known = kept.get(startsOn);
  const { question, pieces, places } = weekQuestion(loaded, startsOn, known ?? {}, kept);
  const items = new Set(question.items.map(({ id }) => id));
  return {
    episodeId: head.id,
    person: patientName(loaded),
    involvedSide: head.involvedSide,
    heightM: measuredHeight(file),
    body: loadBody(file),
    today: localDay(file.asOf, file.zone),
    startsOn,
    question: { ...question, locks: (question.locks ?? []).filter(({ item }) => items.has(item)) },
    pieces,
    places,
    // What has left the plan since leaves the week too.
    placed: (known?.placed ?? []).filter(({ item }) => items.has(item)),
    optimal: null,
    ahead: weeksAhead(loaded, startsOn),
    kept: known ? { at: known.at, by: known.by } : null,
    zone: file.zone,
    mayKeep: recordingRoles.includes(staff.role),
  };
}

/** Plans the rest of a week around what is locked. Nothing is stored. */
export async function solveWeek(
  staff: StaffContext,
  episodeId: string,
  { startsOn, days, locks }: WeekSolutionBody,
): Promise<PlanWeekOutput> {
  const loaded = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "solve-week");
  const kept = await keptWeeks(pool(), staff.clinicId, episodeId);
  const planned = weekQuestion(loaded, startsOn, { days, locks }, kept);
  const problems = [...mondayProblem(startsOn, days), ...weekProblems(planned.question)];
  if (problems.length > 0) throw refused(problems);
  return solve(planned, localDay(loaded.file.asOf, loaded.file.zone), locks);
}

/** What is wrong with the dates of a week that somebody sends. */
export function mondayProblem(startsOn: string, days: readonly { readonly date: string }[]): FieldProblem[] {
  return [
    ...problemIf(mondayOf(startsOn) !== startsOn, "/startsOn", "is no Monday"),
    ...problemIf(days[0]?.date !== startsOn, "/days/0/date", "is not the day on which the week starts"),
    ...problemIf(days[6]?.date !== addDays(startsOn, 6), "/days/6/date", "is not the last day of the week"),
  ];
}

const solve = ({ question }: PlannedWeek, today: string, locks: readonly Lock[]): Promise<PlanWeekOutput> =>
  planWeek(restOfWeek(question, locks, today), tools.solver, tools.now);
