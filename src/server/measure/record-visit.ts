import type { ImportBody, VisitBody, VisitWritten } from "~/contract/measures";
import { samplesOfTrace } from "~/core/device/pack-trace";
import { landmarkProblems } from "~/core/measure/landmark-angles";
import { pictureProblem } from "~/core/measure/picture-problem";
import { problemIf, within, type FieldProblem } from "~/core/schema/field-problem";
import type { Measure } from "~/core/measure/measure";
import { takenOnProblems, takenProblems } from "~/core/measure/taken-problems";
import { resultOf } from "~/core/measure/taken-result";
import { localDay } from "~/core/schedule/local-day";
import type { StaffContext } from "~/server/staff-context";
import { attachDefinitions, storeDefinition } from "~/server/case/definition-repository";
import { writeInto, type Fact, type WriteScope } from "~/server/write/write-into";
import { results as resultFacts } from "~/server/facts/results";
import { appendFact, appendFacts } from "~/server/facts/sql";
import { stills as stillFacts } from "~/server/facts/stills";
import { traces as traceFacts } from "~/server/facts/traces";
import { visits } from "~/server/facts/visits";
import { refused } from "~/server/http/problem";
import { maySeal, seal } from "~/server/seal/seal";
import { measuresFor, measuresView } from "./read-measures";

/** Records the results of a visit; the measures used are tied to the episode in their present version. */
export const recordVisit = (staff: StaffContext, episodeId: string, body: VisitBody): Promise<VisitWritten> =>
  recordVisits(staff, episodeId, { of: "visits", body, action: "record-measures" }, [["", body]]);

/** Records the results of several days out of one table: all of them or none. It is known by the id of its first day. */
export function importVisits(
  staff: StaffContext,
  episodeId: string,
  { visits: days }: ImportBody,
): Promise<VisitWritten> {
  const body = { id: days[0]?.id ?? "", days };
  const placed = days.map((day, n) => [`/visits/${n}`, day] as const);
  return recordVisits(staff, episodeId, { of: "visits", body, action: "import-measures" }, placed);
}

/** @param days what is recorded of each day, behind where it stands in what was sent */
async function recordVisits(
  staff: StaffContext,
  episodeId: string,
  fact: Fact,
  days: readonly (readonly [path: string, visit: VisitBody])[],
): Promise<VisitWritten> {
  const append = async (scope: WriteScope) => {
    const measures = new Map(
      measuresFor(scope.loaded.file.measures).map((measure) => [measure.code, measure]),
    );
    const problems = [
      ...sameDayProblems(days),
      ...days.flatMap(([path, visit]) => within(path, visitProblems(visit, scope, measures))),
    ];
    if (problems.length > 0) throw refused(problems);
    const all = days.flatMap(([, { results }]) => results);
    await attachMeasures(scope, all, measures);
    for (const [, visit] of days) await appendVisit(scope, visit, measures);
  };
  const { repeated, seen } = await writeInto(staff, episodeId, fact, append, (loaded) =>
    measuresView(staff, loaded),
  );
  return { id: fact.body.id, repeated, measures: seen };
}

type Measures = ReadonlyMap<string, Measure>;

const visitProblems = (visit: VisitBody, scope: WriteScope, measures: Measures): FieldProblem[] => [
  ...takenOnProblems(visit, daysOf(scope), "/takenOn"),
  ...takenProblems(visit.results, measures, "/results"),
  ...correctionProblems(visit, scope),
  ...traceProblems(visit),
  ...stillProblems(visit),
];

/** A table has each of its days once. */
const sameDayProblems = (days: readonly (readonly [path: string, visit: VisitBody])[]): FieldProblem[] =>
  days.flatMap(([path, { takenOn }], n) =>
    problemIf(
      days.findIndex(([, other]) => other.takenOn === takenOn) < n,
      `${path}/takenOn`,
      "stands twice",
    ),
  );

async function appendVisit({ db, writing }: WriteScope, visit: VisitBody, measures: Measures): Promise<void> {
  const { id: visitId, takenOn } = visit;
  await appendFact(db, writing, visits, { id: visitId, takenOn, recordedAt: writing.at });
  const taken = visit.results.flatMap(({ id, supersedes, traces: _traces, ...result }) => {
    const measure = measures.get(result.measure);
    if (!measure) return [];
    const corrects = supersedes === undefined ? {} : { supersedes };
    return [{ ...resultOf(result, measure, id, takenOn), ...corrects, visitId, recordedAt: writing.at }];
  });
  await appendFacts(db, writing, resultFacts, taken);
  const told = visit.results.flatMap(({ id, traces = [] }) =>
    traces.map((trace) => ({ ...trace, resultId: id, recordedAt: writing.at })),
  );
  await appendFacts(db, writing, traceFacts, told);
  const stills = (visit.stills ?? []).map(({ picture, ...still }) => {
    const sealed = picture === undefined ? null : seal(writing.clinicId, still.id, picture);
    return { ...still, visitId, recordedAt: writing.at, ...(sealed === null ? {} : { picture: sealed }) };
  });
  await appendFacts(db, writing, stillFacts, stills);
}

/** Ties measures that the episode has not used before to it, in their present version. */
async function attachMeasures(
  { db, writing, loaded }: WriteScope,
  results: VisitBody["results"],
  measures: Measures,
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

/** Twenty measures of both sides, three trials each: more than any visit. */
const mostTraces = 120;

/** A trace of a trial that is not there, of one that has one already, or that is none. */
const traceProblems = ({ results }: VisitBody): FieldProblem[] => {
  const count = results.reduce((sum, { traces = [] }) => sum + traces.length, 0);
  if (count > mostTraces)
    return [{ path: "/results", problem: `have ${count} traces; ${mostTraces} at most` }];
  return results.flatMap(({ trials, traces = [] }, i) =>
    traces.flatMap((trace, n) => {
      const path = `/results/${i}/traces/${n}`;
      const isTwice = traces.findIndex(({ trial }) => trial === trace.trial) < n;
      return [
        ...problemIf(trace.trial >= trials.length, `${path}/trial`, "is no trial of this result"),
        ...problemIf(isTwice, `${path}/trial`, "has a trace already"),
        ...problemIf(samplesOfTrace(trace.data) === null, `${path}/data`, "is no trace"),
      ];
    }),
  );
};

/** Points that cannot be read, or a picture that must not or cannot be kept. */
const stillProblems = ({ stills = [] }: VisitBody): FieldProblem[] =>
  stills.flatMap(({ points, again, picture }, n) => {
    const path = `/stills/${n}`;
    const wrong = picture === undefined ? null : pictureProblem(Buffer.from(picture, "base64"));
    return [
      ...within(`${path}/points`, landmarkProblems(points)),
      ...(again ? within(`${path}/again`, landmarkProblems(again)) : []),
      ...problemIf(again !== undefined && again.view !== points.view, `${path}/again`, "looks another way"),
      ...problemIf(wrong === "no-jpeg", `${path}/picture`, "is no JPEG picture"),
      ...problemIf(
        wrong === "says-more",
        `${path}/picture`,
        "still says when, where or with what it was taken",
      ),
      ...problemIf(
        picture !== undefined && !maySeal(),
        `${path}/picture`,
        "cannot be kept here: no key is set",
      ),
    ];
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
