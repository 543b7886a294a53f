import type { Passing } from "~/core/gate/gate";
import { conditionsAt } from "~/core/condition/condition";
import { standingEvents } from "~/core/event/standing-events";
import { datedLimits } from "~/core/pathway/dated-limits";
import { stageOf, type Stage } from "~/core/pathway/pathway";
import { barToMeasure } from "~/core/limit/measure-bar";
import { localDay } from "~/core/schedule/local-day";
import { isBinding, type Restriction } from "~/core/limit/restriction";
import type { PainSchoolCode } from "~/core/response/pain-school";
import type { CaseFile, CaseItem } from "./case-file";
import { latest } from "./stage-in-force";
import { reinjuredOn, statedAndDone, withEvents } from "./with-events";

/** The prescription of an item that holds at `asOf`; its first one before that has begun. */
export function prescriptionInForce(item: CaseItem, asOf: string): CaseItem["prescriptions"][number] {
  const dated = item.prescriptions.map((entry) => ({ ...entry, at: entry.from }));
  const found = latest(dated, asOf) ?? item.prescriptions[0];
  if (!found) throw new RangeError(`item ${item.id} has no prescription`);
  return found;
}

/** The school set last for this episode, else the stage's own. */
export function schoolInForce(file: CaseFile): PainSchoolCode {
  const set = latest(file.schools, file.asOf);
  if (set) return set.school;
  const move = latest(file.stageMoves, file.asOf);
  return move ? stageOf(file.pathway, move.stage).school : "monitored";
}

/** Everything that limits this patient's exercises: own limits, the pathway's by the calendar, and the stage's. */
export function limitsOf(file: CaseFile, stage: Stage): Restriction[] {
  const own = latest(file.limitSettings ?? [], file.asOf)?.restrictions ?? file.restrictions;
  const conditions = conditionsAt(file.conditions ?? [], file.asOf);
  return [
    ...own,
    ...operationLimitsOf(file),
    ...stage.limits,
    ...conditions.flatMap(({ limits }) => limits),
    ...(file.limitsElsewhere ?? []),
  ];
}

/** What limits one item: everything but what a clinician went against in writing; the surgeon's and a procedure's always. */
export function limitsOfItem(
  file: CaseFile,
  stage: Stage,
  { against }: Pick<CaseItem, "against">,
): Restriction[] {
  const limits = limitsOf(file, stage);
  if (!against) return limits;
  const lifted = new Set(against.limits.map(({ says, origin }) => `${origin} ${says}`));
  return limits.filter((limit) => isBinding(limit) || !lifted.has(`${limit.origin} ${limit.says}`));
}

/**
 * What the operations that were done limit: as signed with them; for one that was stated at an intake and of which no event
 * speaks, what the pathway says by its calendar. Without an operation nothing counts from one.
 */
function operationLimitsOf(file: CaseFile): Restriction[] {
  const today = localDay(file.asOf, file.zone);
  const operations = standingEvents(file.events ?? [], file.asOf).filter(
    ({ kind, on }) => kind === "operation" && on <= today,
  );
  const signed = operations.flatMap(({ limits }) => limits ?? []);
  const stated = statedAndDone(file);
  if (stated) return [...signed, ...datedLimits(file.pathway, stated.surgeryOn, stated.graft)];
  if (operations.length > 0 || file.pathway.countsFrom === "surgery") return signed;
  const { onsetOn, graft } = withEvents(file).episode;
  return datedLimits(file.pathway, onsetOn, graft);
}

/** How gates are passed: as set last for this episode, else as the pathway says, else by the measured value. */
export function passingInForce(file: CaseFile): Passing {
  return latest(file.passings ?? [], file.asOf)?.passing ?? file.pathway.passing ?? "point";
}

/** What a clinician judged in writing of a stage's gate, with the local day of each word. */
export function wordsOf(file: CaseFile, stage: string): { criterion: string; on: string }[] {
  return (file.criterionWords ?? [])
    .filter((word) => word.stage === stage && word.at <= file.asOf)
    .map(({ criterion, at }) => ({ criterion, on: localDay(at, file.zone) }));
}

/** Measures of the case that a limit in force forbids to take today, each with the limit's words. */
export function barredMeasures(file: CaseFile, stage: Stage): { measure: string; says: string }[] {
  const today = localDay(file.asOf, file.zone);
  const limits = limitsOf(file, stage);
  return file.measures.flatMap((measure) => {
    const bar = barToMeasure(measure, limits, today);
    return bar ? [{ measure: measure.code, says: bar.says }] : [];
  });
}

/** The day minimum times count from, the operation's where there was one, and that of an injury anew. */
export function gateDates(file: CaseFile) {
  const { onsetOn, surgeryOn } = withEvents(file).episode;
  const again = reinjuredOn(file);
  const injured = again !== undefined && again > onsetOn ? again : onsetOn;
  const counted = file.pathway.countsFrom === "surgery" ? (surgeryOn ?? injured) : injured;
  return {
    onsetOn: counted,
    ...(surgeryOn === undefined ? {} : { surgeryOn }),
    ...(again === undefined ? {} : { reinjuredOn: again }),
  };
}
