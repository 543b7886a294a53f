import { liftTrends, type LiftTrend } from "~/core/lift/lift-trend";
import { latestStep, nextSmallDose, type SmallDoseState, type SmallDoseStep } from "~/core/lift/small-dose";
import { localDay } from "~/core/schedule/local-day";
import type { CaseFile } from "./case-file";

/** The measures that say how somebody bends: where bending forward locks, whether bending backward is limited or hurts. */
const screens = { forward: "limit-back-flexion", backward: "limit-back-extension" } as const;

/** Whether somebody's own loads still move, and what is tried where they do not. */
export interface SmallDoseNow {
  readonly trends: readonly LiftTrend[];
  readonly next: SmallDoseState;
  /** The step that was signed last. */
  readonly last: SmallDoseStep | undefined;
  /** When bending forward and backward were last looked at; null for never. */
  readonly forwardOn: string | null;
  readonly backwardOn: string | null;
}

/** What a case says of somebody's own lifting, on its `asOf`. */
export function smallDoseNow(
  file: Pick<CaseFile, "lifts" | "smallDoses" | "results" | "asOf" | "zone">,
): SmallDoseNow {
  const today = localDay(file.asOf, file.zone);
  const { trends } = liftTrends({ lifts: file.lifts ?? [], today });
  const steps = file.smallDoses ?? [];
  const [forwardOn, backwardOn] = [lastTaken(file, screens.forward), lastTaken(file, screens.backward)];
  const stalled = trends.some(({ stalledDays }) => stalledDays !== null);
  const next = nextSmallDose({ stalled, forwardOn, backwardOn, steps, today });
  return { trends, next, last: latestStep(steps), forwardOn, backwardOn };
}

function lastTaken({ results }: Pick<CaseFile, "results">, measure: string): string | null {
  const days = results.filter((result) => result.measure === measure).map(({ takenOn }) => takenOn);
  return days.sort().at(-1) ?? null;
}
