import { daysBetween } from "~/core/schedule/local-day";
import { evidence, type Evidence } from "~/core/decision/record/evidence";
import { after, type RecordView } from "~/core/decision/record/record-view";
import { ceilings } from "./rules/ceilings";
import { lessRange, moreSupport } from "./rules/ease-remedy";

/** Something to be told beside a proposal; it never alters the outcome. `asks`: a clinician should look. */
export interface Note {
  readonly code: string;
  readonly asks: boolean;
  readonly seen: (view: RecordView) => readonly Evidence[];
}

const elsewhereFrom = 4;
const elsewhereDays = 2;
const lookBackDays = 14;

/** Figures: common practice. */
export const notes: readonly Note[] = [
  { code: "pain-elsewhere", asks: true, seen: painElsewhere },
  { code: "wrong-place-again", asks: true, seen: wrongPlaceAgain },
  { code: "force-above", asks: false, seen: forceAbove },
  { code: "other-side-short", asks: false, seen: otherSideShort },
  { code: "fear-exposure", asks: false, seen: fearExposure },
  { code: "not-watched", asks: false, seen: notWatched },
  { code: "ceiling", asks: true, seen: ceilings },
];

/** Pain away from the site of 4 or more on two days that nobody has answered yet. */
function painElsewhere({ allDays, input, today }: RecordView): Evidence[] {
  const days = allDays.filter(
    (day) =>
      day.painElsewhere >= elsewhereFrom &&
      daysBetween(day.date, today) <= lookBackDays &&
      after(day.arrivedAt, input.answeredAt),
  );
  const last = days.at(-1);
  if (days.length < elsewhereDays || !last) return [];
  return [evidence("pain-elsewhere", { pain: last.painElsewhere, days: days.length }, last.date)];
}

/** Felt in the wrong place on two training days running: another variant is offered. */
function wrongPlaceAgain({ days, input }: RecordView): Evidence[] {
  const lastTwo = days.slice(-2);
  const last = lastTwo.at(-1);
  const isAgain = lastTwo.length > 1 && lastTwo.every((day) => day.wrongPlace);
  if (!last || !isAgain || !after(last.arrivedAt, input.answeredAt)) return [];
  return [evidence("wrong-place-again", { feltIn: input.exercise.feltIn }, last.date)];
}

/** Pushed harder than the band asks: it counts as done, and is said. */
function forceAbove({ days }: RecordView): Evidence[] {
  const last = days.at(-1);
  return last?.forceAbove ? [evidence("force-above", {}, last.date)] : [];
}

/** The other side matches the involved one; when it fails to reach the bottom twice running, that is said. */
function otherSideShort({ days }: RecordView): Evidence[] {
  const lastTwo = days.slice(-2);
  const [first, last] = lastTwo;
  if (lastTwo.length < 2 || !first || !last || !lastTwo.every((day) => day.otherSideBelowBottom)) return [];
  return [evidence("other-side-short", { first: first.date }, last.date)];
}

/** Fear without pain is answered by exposure: the same work with more support, or through less range. */
function fearExposure(view: RecordView): Evidence[] {
  const last = view.days.at(-1);
  if (!last?.fear || last.painDuring > 0) return [];
  const change = moreSupport(view) ?? lessRange(view);
  return change ? [evidence("fear-exposure", { knob: change.knob, to: change.to }, last.date)] : [];
}

/** The last day was done alone: that no fault is told does not say that there was none. */
function notWatched({ days, input }: RecordView): Evidence[] {
  const last = days.at(-1);
  const done = input.trainingDays.find(({ date }) => date === last?.date);
  return done?.alone ? [evidence("not-watched", {}, done.date)] : [];
}
