import type { DecideInput, SignedChange, StopSignal } from "~/core/decision/record/decide-input";
import { conditionsAt } from "~/core/condition/condition";
import { suspends, type ScopedItem, type SeenIn } from "~/core/decision/stop-scope";
import { stopSignal } from "~/core/intake/stop-signal";
import { standingResults } from "~/core/measure/measure";
import { bestValue } from "~/core/measure/side-value";
import type { Stage } from "~/core/pathway/pathway";
import type { Exercise } from "~/core/exercise/exercise";
import { arrangedItems, type ArrangedItem } from "./arranged";
import type { Prescription } from "~/core/exercise/prescription";
import type { PainSchoolCode } from "~/core/response/pain-school";
import { itemDays, type CaseDay } from "./case-days";
import type { CaseFile, CaseItem, CaseSignal } from "./case-file";
import { effusionNow } from "./effusion";
import { limitsOfItem, prescriptionInForce } from "./in-force";
import { measuredArcs, type MeasuredArc } from "./measured-arcs";
import { workingSide } from "./working-side";
import { clearedLast, haltsOf, pinchesKept } from "./stops";

const squeezeMeasure = "squeeze-force";

/** What `decide` needs to know of one item of the case by itself; what the plan as a whole bears on it comes after. */
export function itemInput(
  file: CaseFile,
  days: readonly CaseDay[],
  item: CaseItem,
  stage: Stage,
  school: PainSchoolCode,
  plan: readonly ArrangedItem[] = arrangedItems(file),
): DecideInput {
  const exercise = exerciseOf(file, item.exerciseId);
  const current = prescriptionInForce(item, file.asOf);
  const decisions = decisionsOf(file, item.id);
  const last = decisions.at(-1);
  const clearedAt = clearedLast(file, item.exerciseId);
  const halted = haltsOf(file)[0]?.code ?? stilledBy(file);
  const effusion = effusionNow(file);
  const maximumN = maximumFor(file, exercise, current.prescription);
  const arc = measuredArcs(file, exercise).at(-1);
  const { role = "main" } = plan.find((entry) => entry.item.id === item.id) ?? {};
  const beside = plan
    .filter((entry) => entry.item.exerciseId === item.exerciseId && entry.item.id !== item.id)
    .map((entry) => prescriptionInForce(entry.item, file.asOf).prescription);
  return {
    exercise,
    prescription: current.prescription,
    ...(role === "main" ? {} : { role }),
    ...(beside.length === 0 ? {} : { beside }),
    prescribedAt: current.from,
    school,
    involvedSide: workingSide(current.prescription, file.episode.involvedSide),
    zone: file.zone,
    now: file.asOf,
    trainingDays: itemDays(days, item.id),
    changes: changesOf(decisions),
    restrictions: limitsOfItem(file, stage, item),
    stopSignals: [...signalsFor(file, scoped(file, item)), ...pinchesKept(file, item)],
    ...(halted === undefined ? {} : { halted }),
    ...(maximumN === null ? {} : { maximumN }),
    ...(effusion === null ? {} : { effusion }),
    ...(arc ? { measuredArc: { on: arc.date, fromDeg: arc.fromDeg, ...endOf(arc) } } : {}),
    ...(last === undefined ? {} : { answeredAt: last.at }),
    ...(last === undefined || last.at <= current.from ? {} : { leftAsIsAt: last.at }),
    ...(clearedAt === undefined ? {} : { clearedAt }),
  };
}

const endOf = ({ toDeg }: MeasuredArc) => (toDeg === null ? {} : { toDeg });

/** A condition of the person that lets nothing get harder while it lasts. */
const stilledBy = (file: CaseFile) =>
  conditionsAt(file.conditions ?? [], file.asOf).find(({ stills }) => stills === true)?.code;

/** The signed decisions on an item up to `asOf`, oldest first. */
function decisionsOf(file: CaseFile, itemId: string): CaseFile["decisions"] {
  return file.decisions
    .filter((d) => d.itemId === itemId && d.at <= file.asOf)
    .sort((a, b) => a.at.localeCompare(b.at));
}

const changesOf = (decisions: CaseFile["decisions"]): SignedChange[] =>
  decisions.map((d) => d.signedChange).filter((change): change is SignedChange => change !== null);

/** What has been signed on an item up to `asOf`, oldest first. */
export const signedChangesOf = (file: CaseFile, itemId: string): SignedChange[] =>
  changesOf(decisionsOf(file, itemId));

/** The stop signals that suspend an item, cleared ones included. */
function signalsFor(file: CaseFile, item: ScopedItem): StopSignal[] {
  return (file.signals ?? []).flatMap(({ code, at, itemId, elsewhere, cleared }) => {
    const { suspends: scope, urgency } = stopSignal(code);
    if (!suspends(scope, item, seenIn(file, itemId, elsewhere))) return [];
    const isCleared = cleared !== undefined && cleared.at <= file.asOf;
    return [{ code, scope, urgency, raisedAt: at, ...(isCleared ? { clearedAt: cleared.at } : {}) }];
  });
}

/** The exercise a signal was seen in, here or in another episode of the person. */
function seenIn(
  file: CaseFile,
  itemId: string | undefined,
  elsewhere: CaseSignal["elsewhere"],
): SeenIn | null {
  const here = file.items.find((candidate) => candidate.id === itemId);
  if (here) return { exercise: { id: here.exerciseId, lane: here.lane } };
  if (elsewhere?.exerciseId === undefined || elsewhere.lane === undefined) return null;
  return { exercise: { id: elsewhere.exerciseId, lane: elsewhere.lane } };
}

function scoped(file: CaseFile, item: CaseItem): ScopedItem {
  const { prescription } = prescriptionInForce(item, file.asOf);
  return { itemId: item.id, exercise: exerciseOf(file, item.exerciseId), prescription };
}

/**
 * The maximum that an effort band is a share of: the best since the injury of the measure that gauges this exercise,
 * of the person or of the involved side (both involved: the weaker). Earlier or normed values are for gates.
 */
function maximumFor(file: CaseFile, exercise: Exercise, prescription: Prescription): number | null {
  if (!prescription.dose.effort) return null;
  const measure = file.measures.find((m) => m.code === (exercise.gauge ?? squeezeMeasure));
  if (!measure) return null;
  const involvedSide = workingSide(prescription, file.episode.involvedSide);
  const each = involvedSide === "both" ? (["left", "right"] as const) : [involvedSide];
  const sides = measure.sides === "none" ? (["none"] as const) : each;
  const standing = standingResults(file.results);
  const best = sides.map((side) => bestValue(measure, side, standing)?.value ?? 0);
  return Math.min(...best) || null;
}

/** The exercise of a case with this id. @throws RangeError when the case does not carry it */
export function exerciseOf(file: CaseFile, id: string): Exercise {
  const found = file.exercises.find((exercise) => exercise.id === id);
  if (!found) throw new RangeError(`the case names an exercise it does not carry: ${id}`);
  return found;
}
