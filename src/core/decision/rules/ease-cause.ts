import type { DayJudgement } from "~/core/response/judge-day";
import { elapsedDays } from "~/core/schedule/local-day";
import type { EaseCauseCode } from "~/core/decision/record/decide-input";
import { evidence, type Evidence } from "~/core/decision/record/evidence";
import { after, type RecordView } from "~/core/decision/record/record-view";
import * as remedy from "./ease-remedy";

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
    remedies: always(remedy.lessRange, remedy.sitBack, remedy.easierVariantRemedy),
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
    remedies: always(remedy.moreSupport, remedy.lessRange, remedy.easierVariantRemedy),
  },
  {
    code: "too-few-clean",
    seen: tooFewClean,
    remedies: always(
      remedy.load10Less,
      remedy.lowerEffortBand,
      remedy.shorterHold,
      remedy.fewerContacts,
      remedy.bottomTwoLower,
      remedy.easierVariantRemedy,
    ),
  },
  {
    code: "absence",
    seen: absence,
    remedies: (view) =>
      daysAway(view) < 15
        ? [remedy.oneNotchDown, remedy.easierVariantRemedy]
        : [remedy.easierVariantRemedy, remedy.oneNotchDown],
  },
];

/** Days since the last session of the item or, if later, since it was last changed; 0 without any session. */
export function daysAway({ input, allDays }: RecordView): number {
  const last = allDays.at(-1);
  if (!last) return 0;
  const since = after(input.prescribedAt, last.lastSessionAt) ? input.prescribedAt : last.lastSessionAt;
  return Math.floor(elapsedDays(since, input.now));
}

function painDuring(view: RecordView, source: "depth" | "effort"): Evidence | null {
  const day = unanswered(view);
  if (!day || day.during !== "ease" || day.painWith !== source) return null;
  const { painBefore, painDuring: pain } = day;
  return evidence("pain-during-ease", { school: view.input.school, painBefore, painDuring: pain }, day.date);
}

/** The latest known next-day reaction, of the last two days, that nobody has answered. */
function flare(view: RecordView): Evidence | null {
  if (view.input.flare?.suspect === false) return null;
  const day = flareDay(view);
  if (!day) return null;
  if (day.swellingMore) return evidence("swelling-more", {}, day.date);
  const { painBefore, painNextDay } = day;
  return evidence(
    "next-day-ease",
    { school: view.input.school, painBefore, painNextDay: painNextDay ?? 0 },
    day.date,
  );
}

/** The day, if any, whose reaction is in the ease band and has not been answered by a clinician. */
export function flareDay({ allDays, input }: RecordView): DayJudgement | null {
  const known = allDays.slice(-2).filter((day) => day.nextDay !== "unknown");
  const day = known.at(-1);
  if (day?.nextDay !== "ease" || !day.reactionKnownAt) return null;
  return after(day.reactionKnownAt, input.answeredAt) ? day : null;
}

function markedFault(view: RecordView): Evidence | null {
  const day = unanswered(view);
  if (!day?.markedInMostOfLastSet) return null;
  return evidence("marked-fault-most", { faults: day.markedFaultNames.join(", ") }, day.date);
}

function tooFewClean(view: RecordView): Evidence | null {
  if (!unanswered(view)) return null;
  const lastTwo = view.days.slice(-2);
  if (lastTwo.length < 2 || !lastTwo.every((day) => day.belowBottom)) return null;
  return evidence("below-bottom-twice", { first: lastTwo[0]?.date ?? "" }, lastTwo[1]?.date);
}

function absence(view: RecordView): Evidence | null {
  const days = daysAway(view);
  return days >= 8 && days <= 28 ? evidence("absence", { days }) : null;
}

/** The latest training day, if it came after the last signed answer. */
function unanswered({ days, input }: RecordView): DayJudgement | null {
  const day = days.at(-1);
  return day && after(day.lastSessionAt, input.answeredAt) ? day : null;
}
