import type { VisitBody, VisitWritten } from "~/contract/measures";
import type { FieldProblem } from "~/core/schema/field-problem";
import type { Measure } from "~/core/measure/measure";
import { checkValue, type EntryFault } from "~/core/measure/parse-entry";
import { summariseTrials } from "~/core/measure/side-value";
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
    const problems = [...dateProblems(body, scope), ...resultProblems(body, measures, scope)];
    if (problems.length > 0) throw refused(problems);
    await attachMeasures(scope, body, measures);
    const { id: visitId, takenOn } = body;
    await appendFact(db, writing, visits, { id: visitId, takenOn, recordedAt: writing.at });
    const taken = body.results.flatMap(
      ({ measure: code, trials, way, occasion, confirmed: _, ...result }) => {
        const measure = measures.get(code);
        if (!measure) return [];
        return [
          {
            ...result,
            measure: code,
            trials,
            value: summariseTrials(measure, trials),
            takenOn,
            occasion: occasion ?? ("since-injury" as const),
            visitId,
            recordedAt: writing.at,
            ...(way === undefined ? {} : { position: way }),
          },
        ];
      },
    );
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

function dateProblems({ takenOn, results }: VisitBody, { writing, loaded }: WriteScope): FieldProblem[] {
  const { file, head } = loaded;
  const path = "/takenOn";
  if (takenOn > localDay(writing.at, file.zone)) return [{ path, problem: "lies in the future" }];
  if (takenOn <= head.person.bornOn) return [{ path, problem: "lies before this person was born" }];
  const since = results.some((result) => (result.occasion ?? "since-injury") === "since-injury");
  return since && takenOn < file.episode.onsetOn
    ? [
        {
          path,
          problem: `lies before the injury (${file.episode.onsetOn}); mark such values as from before it`,
        },
      ]
    : [];
}

const faultWords: Record<EntryFault, (measure: Measure) => string> = {
  "not-a-number": () => "is not a number",
  "not-a-grade": () => "is not one of its grades",
  "not-whole": () => "must be a whole number",
  "too-low": ({ plausible }) => `is below ${plausible.low}, which cannot be`,
  "too-high": ({ plausible }) => `is above ${plausible.high}, which cannot be`,
  "unknown-unit": () => "is in a unit that this measure does not take",
};

function resultProblems(
  { results }: VisitBody,
  measures: ReadonlyMap<string, Measure>,
  { loaded: { file } }: WriteScope,
): FieldProblem[] {
  const standing = new Map(file.results.map((result) => [result.id, result]));
  const seen = new Set<string>();
  return results.flatMap((result, i): FieldProblem[] => {
    const path = `/results/${i}`;
    const measure = measures.get(result.measure);
    if (!measure) return [{ path: `${path}/measure`, problem: "is not a measure of this clinic" }];
    if ((result.side === "none") !== (measure.sides === "none")) {
      const wanted =
        measure.sides === "none" ? "is taken once, not on a side" : "is taken on the left or the right";
      return [{ path: `${path}/side`, problem: wanted }];
    }
    const key = `${result.measure} ${result.side} ${result.occasion ?? ""}`;
    if (seen.has(key))
      return [{ path: `${path}/measure`, problem: "stands twice on this side; give its trials together" }];
    seen.add(key);
    const corrected = result.supersedes === undefined ? null : (standing.get(result.supersedes) ?? undefined);
    if (corrected === undefined || (corrected && corrected.measure !== result.measure))
      return [{ path: `${path}/supersedes`, problem: "is not an earlier result of this measure" }];
    return result.trials.flatMap((trial, t) =>
      trialProblems(trial, measure, result.confirmed, `${path}/trials/${t}`),
    );
  });
}

function trialProblems(
  trial: number,
  measure: Measure,
  confirmed: boolean | undefined,
  path: string,
): FieldProblem[] {
  const entry = checkValue(trial, measure);
  if (!entry.ok) return [{ path, problem: faultWords[entry.fault](measure) }];
  if (entry.unusual && !confirmed) return [{ path, problem: "is unusual; confirm that it is meant" }];
  return [];
}
