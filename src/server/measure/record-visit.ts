import type { VisitBody, VisitWritten } from "~/core/interchange/measure-contract";
import type { FieldProblem } from "~/core/schema/field-problem";
import type { Measure, MeasureResult } from "~/core/measure/measure";
import { checkValue, type EntryFault } from "~/core/measure/parse-entry";
import { summariseTrials } from "~/core/measure/side-value";
import { localDay } from "~/core/schedule/local-day";
import type { StaffContext } from "~/server/auth/staff-context";
import { attachDefinitions, storeDefinition } from "~/server/episode/definition-repository";
import { insertResult, insertVisit } from "~/server/episode/fact-writer";
import { loadEpisode } from "~/server/episode/read-episode";
import { writeInto, type Fact, type WriteScope } from "~/server/episode/write-episode";
import { refused } from "~/server/http/problem";
import { measuresFor, measuresView } from "./read-measures";

/** Records the results of a visit; the measures used are tied to the episode in their present version. */
export async function recordVisit(
  staff: StaffContext,
  episodeId: string,
  body: VisitBody,
): Promise<VisitWritten> {
  const fact: Fact = { table: "measure_visits", id: body.id, action: "record-measures" };
  const repeated = await writeInto(staff, episodeId, fact, async (scope) => {
    const { db, writing, loaded } = scope;
    const measures = new Map(measuresFor(loaded.file.measures).map((measure) => [measure.code, measure]));
    const problems = [...dateProblems(body, scope), ...resultProblems(body, measures, scope)];
    if (problems.length > 0) throw refused(problems);
    const used = new Set(body.results.map((result) => result.measure));
    const attached = new Set(loaded.file.measures.map((measure) => measure.code));
    const hashes: string[] = [];
    for (const code of used) {
      const measure = measures.get(code);
      if (!measure || attached.has(code)) continue;
      hashes.push(
        await storeDefinition(db, staff.clinicId, { kind: "measure", code, body: measure }, writing.at),
      );
    }
    await attachDefinitions(db, staff.clinicId, episodeId, hashes);
    await insertVisit(db, writing, body);
    for (const { id, measure: code, side, trials, detail, supersedes, way, occasion } of body.results) {
      const measure = measures.get(code);
      if (!measure) continue;
      const result: MeasureResult = {
        id,
        measure: code,
        side,
        trials,
        value: summariseTrials(measure, trials),
        takenOn: body.takenOn,
        occasion: occasion ?? "since-injury",
        ...(way === undefined ? {} : { position: way }),
        ...(detail === undefined ? {} : { detail }),
        ...(supersedes === undefined ? {} : { supersedes }),
      };
      await insertResult(db, writing, result, body.id);
    }
  });
  return { id: body.id, repeated, measures: measuresView(staff, await loadEpisode(staff, episodeId)) };
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
