import { v7 as uuid } from "uuid";
import { startingMeasures } from "~/catalogue/measures/all";
import { measuresOf } from "~/catalogue/pathways/measures-of";
import type { Intake } from "~/core/intake/intake";
import type { Measure, MeasureResult } from "~/core/measure/measure";
import { resultOf } from "~/core/measure/taken-result";
import type { Pathway } from "~/core/pathway/pathway";
import type { Connection } from "~/server/db/connection";
import { results as resultFacts } from "~/server/facts/results";
import { appendFact, appendFacts, type Writing } from "~/server/facts/sql";
import { visits } from "~/server/facts/visits";

/** What can be taken at an intake, by code. */
export const measuresByCode: ReadonlyMap<string, Measure> = new Map(
  startingMeasures.map((measure) => [measure.code, measure]),
);

/** The baseline as results of the record, each with an id of its own; of what nobody can take, none. */
export function baselineResults({ baseline }: Pick<Intake, "baseline">): MeasureResult[] {
  if (!baseline) return [];
  return baseline.results.flatMap((taken) => {
    const measure = measuresByCode.get(taken.measure);
    return measure ? [resultOf(taken, measure, uuid(), baseline.takenOn)] : [];
  });
}

/** The measures an episode begins with: those its gates read and those of its baseline. */
export function measuresUsed(pathway: Pathway, results: readonly MeasureResult[]): Measure[] {
  const ofGates = measuresOf(pathway);
  const taken = new Set(results.map(({ measure }) => measure));
  return startingMeasures.filter((measure) => ofGates.includes(measure) || taken.has(measure.code));
}

/** Keeps the baseline as a visit of its day. */
export async function storeBaseline(
  db: Connection,
  w: Writing,
  takenOn: string | undefined,
  results: readonly MeasureResult[],
): Promise<void> {
  if (takenOn === undefined) return;
  const visitId = uuid();
  const recordedAt = w.at;
  await appendFact(db, w, visits, { id: visitId, takenOn, recordedAt });
  await appendFacts(
    db,
    w,
    resultFacts,
    results.map((result) => ({ ...result, visitId, recordedAt })),
  );
}
