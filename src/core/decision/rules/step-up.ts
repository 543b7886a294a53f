import type { Finding } from "~/core/decision/record/decide-input";
import { evidence, type Evidence } from "~/core/decision/record/evidence";
import { withOpenDaysFine, type RecordView } from "~/core/decision/record/record-view";
import { endMeans, qualifyingRun, spans } from "./qualifying-run";
import { neededDays } from "./due-days";
import { loadJump } from "~/core/progression/load-jump";
import { closesLane, reasonsAgainstStep, type Unmet } from "./step-condition";

/** Wait: the day that would complete a step up is still open. */
export function wait(view: RecordView, against: readonly Unmet[]): Finding | null {
  if (canStep(view, against)) return null;
  const open = view.days.filter((day) => day.state === "open");
  if (open.length === 0) return null;
  const fine = withOpenDaysFine(view);
  if (!canStep(fine, reasonsAgainstStep(fine))) return null;
  return {
    outcome: "wait",
    rule: "wait-next-day",
    evidence: [...goodDays(view), ...open.map((day) => evidence("open-day", {}, day.date))],
  };
}

/** Step up: every condition is met; the next knob is turned, or the lane is ready for the next stage. */
export function stepUp(view: RecordView, against: readonly Unmet[]): Finding | null {
  if (!canStep(view, against)) return null;
  const { next } = view;
  if (next.found === "change") {
    const { knob, kind } = next.change;
    return {
      outcome: "step-up",
      rule: "step-up",
      evidence: [
        ...goodDays(view),
        evidence("next-knob", { knob, kind, need: neededDays(view), ...jumpOf(view) }),
      ],
      change: next.change,
    };
  }
  return {
    outcome: "step-up",
    rule: "lane-ready",
    evidence: [...goodDays(view), evidence("lane-ready", { lane: view.input.exercise.lane })],
    change: { kind: "lane-ready", lane: view.input.exercise.lane },
  };
}

/** What is said of a step of load that is more than usual: its share, and the bottom of the range to begin at. */
function jumpOf({ next, input }: RecordView): Evidence["values"] {
  const percent = next.found === "change" ? loadJump(next.change) : null;
  if (percent === null) return {};
  const { reps } = input.prescription.dose;
  return { form: "jump", percent, bottom: reps?.bottom ?? 1 };
}

/** Nothing is left to turn in this stage, and the run of good days at its last setting is complete. */
export function asFarAsStageGoes(view: RecordView): boolean {
  const { next } = view;
  if (next.found !== "spent" && !closesLane(next)) return false;
  return qualifyingRun(view).have >= neededDays(view);
}

function canStep({ next }: RecordView, against: readonly Unmet[]): boolean {
  return against.length === 0 && (next.found === "change" || next.found === "spent" || closesLane(next));
}

function goodDays(view: RecordView): Evidence[] {
  const { days, byHoldBand } = qualifyingRun(view);
  // The longer rule rests on the whole run; the plain one on as many days as it needs, and not on every one before.
  const shown = byHoldBand ? days : days.slice(-neededDays(view));
  const means = endMeans(days);
  const round = (mean: number) => Math.round(mean * 10) / 10;
  const long = byHoldBand
    ? [
        evidence("hold-band-run", {
          days: days.length,
          span: spans(days),
          first: round(means.first),
          last: round(means.last),
        }),
      ]
    : [];
  const each = shown.map(({ date, painBefore, painDuring, painNextDay, effort }) =>
    evidence(
      byHoldBand ? "good-day-hold-band" : "good-day",
      { painBefore, painDuring, painNextDay: painNextDay ?? 0, effort },
      date,
    ),
  );
  return [...long, ...each];
}
