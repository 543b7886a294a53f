import type { DayJudgement } from "~/core/response/judge-day";
import { absenceFirstFromDays, absentFromDays, away, daysAway, rebaselineAfterDays } from "./absence";
import { dueDays } from "./due-days";
import type { EaseCauseCode } from "~/core/decision/record/decide-input";
import { evidence, type Evidence } from "~/core/decision/record/evidence";
import { after, type RecordView } from "~/core/decision/record/record-view";
import { daysBetween } from "~/core/schedule/local-day";
import * as remedy from "./ease-remedy";
import { shortOfPain } from "./short-of-pain";

/** One cause of an ease: how it is seen in the record, and what is tried, first choice first. */
export interface EaseCause {
  readonly code: EaseCauseCode;
  readonly seen: (view: RecordView) => Evidence | null;
  readonly remedies: (view: RecordView) => readonly remedy.Remedy[];
}

const always =
  (...remedies: remedy.Remedy[]) =>
  () =>
    remedies;

/** In the order in which causes are taken. Figures: common practice. */
export const easeCauses: readonly EaseCause[] = [
  {
    code: "pain-at-depth",
    seen: (view) => painDuring(view, "depth"),
    remedies: (view) => [...shortOf(view), remedy.lessRange, remedy.sitBack, remedy.easierVariantRemedy],
  },
  {
    code: "pain-with-effort",
    seen: (view) => painDuring(view, "effort"),
    remedies: always(remedy.lowerEffortBand, remedy.load20Less, remedy.easierVariantRemedy),
  },
  {
    code: "flare",
    seen: flare,
    remedies: always(remedy.undoLastKnob, remedy.oneSetFewer, remedy.load10Less, remedy.easierVariantRemedy),
  },
  {
    code: "marked-fault",
    seen: markedFault,
    remedies: always(remedy.guideKnee, remedy.moreSupport, remedy.lessRange, remedy.easierVariantRemedy),
  },
  {
    code: "too-few-clean",
    seen: tooFewClean,
    remedies: always(
      remedy.load10Less,
      remedy.lowerEffortBand,
      remedy.shorterHold,
      remedy.fewerContacts,
      remedy.fewerMinutes,
      remedy.bottomTwoLower,
      remedy.easierVariantRemedy,
    ),
  },
  {
    code: "absence",
    seen: absence,
    remedies: (view) =>
      daysAway(view) < absenceFirstFromDays
        ? [remedy.oneNotchDown, remedy.easierVariantRemedy]
        : [remedy.easierVariantRemedy, remedy.oneNotchDown],
  },
];

const painfulDay = (view: RecordView, source: "depth" | "effort"): DayJudgement | undefined =>
  dueDays(view).find(({ during, painWith }) => during === "ease" && painWith === source);

function painDuring(view: RecordView, source: "depth" | "effort"): Evidence | null {
  const day = painfulDay(view, source);
  if (!day) return null;
  const { painBefore, painDuring: pain, painArc } = day;
  const measured = painArc === null && source === "depth" ? measuredFor(view, day) : null;
  const arc = painArc ?? measured;
  const where = arc && {
    form: measured ? "measured" : arc.toDeg === undefined ? "angle" : "arc",
    fromDeg: arc.fromDeg,
    ...(arc.toDeg === undefined ? {} : { toDeg: arc.toDeg }),
    ...(measured ? { on: measured.on } : {}),
  };
  const values = { school: view.input.school, painBefore, painDuring: pain, ...where };
  return evidence("pain-during-ease", values, day.date);
}

/** Where the angle of the pain is known, the range goes to short of it. */
function shortOf(view: RecordView): remedy.Remedy[] {
  const day = painfulDay(view, "depth");
  const arc = day && (day.painArc ?? measuredFor(view, day));
  return arc ? [(asked) => shortOfPain(asked, arc)] : [];
}

/** A measured arc speaks for a painful day at most so many days from it (as values of a gate may lie apart; common practice). */
const measuredWithinDays = 14;

function measuredFor({ input: { measuredArc } }: RecordView, { date }: DayJudgement) {
  const near = measuredArc && Math.abs(daysBetween(measuredArc.on, date)) <= measuredWithinDays;
  return near ? measuredArc : null;
}

/** The latest reaction in the ease band that is still due. */
function flare(view: RecordView): Evidence | null {
  if (view.input.flare?.suspect === false) return null;
  const day = flareDay(view);
  if (!day) return null;
  if (day.effusionUp) return evidence("effusion-up", {}, day.date);
  if (day.swellingMore) return evidence("swelling-more", {}, day.date);
  const { painBefore, painNextDay, byLoadTest } = day;
  return evidence(
    "next-day-ease",
    {
      school: view.input.school,
      painBefore,
      painNextDay: painNextDay ?? 0,
      ...(byLoadTest ? { form: "test" } : {}),
    },
    day.date,
  );
}

/** Fine closed days after which a reaction is over, though nobody answered it (common practice). */
export const fineDaysThatEnd = 3;

/** The day, if any, whose reaction is in the ease band and has neither been answered nor been followed by three fine days. */
export function flareDay({ allDays, input }: RecordView): DayJudgement | null {
  let fine = 0;
  for (const day of [...allDays].reverse()) {
    const answered = day.reactionKnownAt !== null && !after(day.reactionKnownAt, input.answeredAt);
    if (day.nextDay === "ease" && day.reactionKnownAt) return answered ? null : day;
    if (day.nextDay === "fine") fine += 1;
    if (fine >= fineDaysThatEnd) return null;
  }
  return null;
}

function markedFault(view: RecordView): Evidence | null {
  const day = dueDays(view).find((one) => one.markedInMostOfLastSet);
  if (!day) return null;
  return evidence("marked-fault-most", { faults: day.markedFaultNames.join(", ") }, day.date);
}

function tooFewClean(view: RecordView): Evidence | null {
  const [latest] = dueDays(view);
  if (!latest || latest !== view.days.at(-1)) return null;
  const lastTwo = view.days.slice(-2);
  if (lastTwo.length < 2 || !lastTwo.every((day) => day.belowBottom)) return null;
  const [before, last] = lastTwo;
  const figures: Evidence["values"] =
    before?.work && last?.work
      ? {
          form: "figures",
          unit: last.work.unit,
          done: last.work.done.join(", "),
          doneBefore: before.work.done.join(", "),
          bottom: last.work.bottom,
          leg: last.work.leg,
        }
      : {};
  return evidence("below-bottom-twice", { first: before?.date ?? "", ...figures }, last?.date);
}

function absence(view: RecordView): Evidence | null {
  const { days, backOn } = away(view);
  if (days < absentFromDays || days > rebaselineAfterDays) return null;
  return backOn === null
    ? evidence("absence", { days })
    : evidence("absence", { days, form: "back" }, backOn);
}
