import type { CaseDay } from "~/core/case/case-days";
import type { CaseFile } from "~/core/case/case-file";
import type { Lane } from "~/core/exercise/body";
import type { Stage } from "~/core/pathway/pathway";
import { laneAdherence } from "~/core/response/lane-adherence";
import { localDay } from "~/core/schedule/local-day";
import type { JudgedItem } from "./flare-trace";

/** Asked of a lane that has no exercise to say how often, days a week (common practice). */
const usualDaysPerWeek = 2;

/** Local dates on which anything of a lane was done, whether it still stands in the plan or not. */
function doneOn(file: CaseFile, days: readonly CaseDay[], lane: Lane): string[] {
  const laneOf = new Map(file.items.map((item) => [item.id, item.lane]));
  return days
    .filter((day) => day.sessions.some((s) => s.items.some((i) => laneOf.get(i.itemId) === lane)))
    .map((day) => day.date);
}

/** How often a lane is asked for: by what must be done; by what may be, where there is nothing else. */
function daysPerWeekOf(items: readonly JudgedItem[]): number {
  const needed = items.filter(({ input }) => input.role !== "optional");
  const asked = needed.length > 0 ? needed : items;
  return Math.max(...asked.map(({ input }) => input.prescription.dose.daysPerWeek));
}

/** How much of what the present exercises of each lane ask for was done, per cent; null while nothing can be asked yet. */
export function lanesAdherence(
  file: CaseFile,
  days: readonly CaseDay[],
  items: readonly JudgedItem[],
  today: string,
): Map<Lane, number | null> {
  const lanes = [...new Set(items.map(({ item }) => item.lane))];
  return new Map(
    lanes.map((lane) => {
      const own = items.filter(({ item }) => item.lane === lane);
      const starts = own.map(({ item }) => item.prescriptions[0]?.from ?? file.asOf).sort();
      const work = {
        startedOn: localDay(starts[0] ?? file.asOf, file.zone),
        daysPerWeek: daysPerWeekOf(own),
        doneOn: doneOn(file, days, lane),
      };
      return [lane, laneAdherence(work, today)];
    }),
  );
}

/**
 * How much each lane that the stage names was trained since the stage began, whether or not an exercise of it is in the plan now:
 * taking a lane out does not open a gate, and neither does putting one in and leaving it undone.
 */
export function lanesTrained(
  file: CaseFile,
  days: readonly CaseDay[],
  items: readonly JudgedItem[],
  stage: Stage,
  { today, stageEnteredOn }: { today: string; stageEnteredOn: string },
): Map<Lane, number | null> {
  return new Map(
    stage.lanes.map(({ lane }) => {
      const own = items.filter(({ item }) => item.lane === lane);
      const daysPerWeek = own.length === 0 ? usualDaysPerWeek : daysPerWeekOf(own);
      const done = doneOn(file, days, lane);
      const firstOn = file.items
        .filter((item) => item.lane === lane)
        .map((item) => localDay(item.prescriptions[0]?.from ?? file.asOf, file.zone))
        .sort()[0];
      const startedOn = firstOn === undefined || firstOn < stageEnteredOn ? stageEnteredOn : firstOn;
      const trained = laneAdherence({ startedOn, daysPerWeek, doneOn: done }, today);
      const inStage = laneAdherence({ startedOn: stageEnteredOn, daysPerWeek, doneOn: done }, today);
      const isUntouched = !done.some((date) => date >= stageEnteredOn);
      return [lane, trained === null && inStage !== null && isUntouched ? 0 : trained];
    }),
  );
}
