import type { VisitBody, VisitWritten } from "~/contract/measures";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import type { Measure } from "~/core/measure/measure";
import { takenOnProblems, takenProblems } from "~/core/measure/taken-problems";
import { resultOf } from "~/core/measure/taken-result";
import { localDay } from "~/core/schedule/local-day";
import type { StaffContext } from "~/server/staff-context";
import { attachDefinitions, storeDefinition } from "~/server/case/definition-repository";
import { writeInto, type Fact, type WriteScope } from "~/server/write/write-into";
import { results as resultFacts } from "~/server/facts/results";
import { appendFact, appendFacts } from "~/server/facts/sql";
import { visits } from "~/server/facts/visits";
import { refused } from "~/server/http/problem";
import { measuresFor, measuresView } from "./read-measures";

/** Records the results of a visit; the measures used are tied to the episode in their present version. */
export async function recordVisit(
  staff: StaffContext,
  episodeId: string,
  body: VisitBody,
): Promise<VisitWritten> {
  const fact: Fact = { of: "visits", body, action: "record-measures" };
  const append = async (scope: WriteScope) => {
    const { db, writing, loaded } = scope;
    const measures = new Map(measuresFor(loaded.file.measures).map((measure) => [measure.code, measure]));
    const problems = [
      ...takenOnProblems(body, daysOf(scope), "/takenOn"),
      ...takenProblems(body.results, measures, "/results"),
      ...correctionProblems(body, scope),
    ];
    if (problems.length > 0) throw refused(problems);
    await attachMeasures(scope, body, measures);
    const { id: visitId, takenOn } = body;
    await appendFact(db, writing, visits, { id: visitId, takenOn, recordedAt: writing.at });
    const taken = body.results.flatMap(({ id, supersedes, ...result }) => {
      const measure = measures.get(result.measure);
      if (!measure) return [];
      const corrects = supersedes === undefined ? {} : { supersedes };
      return [{ ...resultOf(result, measure, id, takenOn), ...corrects, visitId, recordedAt: writing.at }];
    });
    await appendFacts(db, writing, resultFacts, taken);
  };
  const { repeated, seen } = await writeInto(staff, episodeId, fact, append, (loaded) =>
    measuresView(staff, loaded),
  );
  return { id: body.id, repeated, measures: seen };
}

/** Ties measures that the episode has not used before to it, in their present version. */
async function attachMeasures(
  { db, writing, loaded }: WriteScope,
  { results }: VisitBody,
  measures: ReadonlyMap<string, Measure>,
): Promise<void> {
  const attached = new Set(loaded.file.measures.map((measure) => measure.code));
  const hashes: string[] = [];
  for (const code of new Set(results.map((result) => result.measure))) {
    const measure = measures.get(code);
    if (!measure || attached.has(code)) continue;
    const definition = { kind: "measure", code, body: measure } as const;
    hashes.push(await storeDefinition(db, writing.clinicId, definition, writing.at));
  }
  await attachDefinitions(db, writing.clinicId, writing.episodeId, hashes);
}

const daysOf = ({ writing, loaded: { file, head } }: WriteScope) => ({
  today: localDay(writing.at, file.zone),
  bornOn: head.person.bornOn,
  onsetOn: file.episode.onsetOn,
});

/** A correction of a result that is not there, or of another measure. */
function correctionProblems({ results }: VisitBody, { loaded: { file } }: WriteScope): FieldProblem[] {
  const standing = new Map(file.results.map((result) => [result.id, result]));
  return results.flatMap(({ supersedes, measure }, i) =>
    problemIf(
      supersedes !== undefined && standing.get(supersedes)?.measure !== measure,
      `/results/${i}/supersedes`,
      "is not an earlier result of this measure",
    ),
  );
}
