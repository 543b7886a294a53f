import { canAccept } from "~/core/decision/record/can-accept";
import { reportCountsHours, trainingDayState } from "~/core/response/training-day-state";
import { daysBetween, elapsedDays, localDay } from "~/core/schedule/local-day";
import { caseDays, type CaseDay } from "~/core/case/case-days";
import type { CaseFile } from "~/core/case/case-file";
import { smallDoseNow } from "~/core/case/small-dose-now";
import { attentionCodes, type CaseloadState } from "./attention";
import { reviewCase, type CaseReview, type ItemReview } from "~/core/review/review-case";
import { weeksToTarget } from "~/core/case/target-date";

type Attention = CaseloadState["attention"];

/** States that are seen by looking at the review; the others say that there is nothing to see, or no review. */
type Judged = Exclude<Attention, "hold" | "unreadable">;

/** Why somebody is on the list: the state, the item or day behind it. */
interface Need {
  readonly attention: Attention;
  readonly item?: ItemReview | undefined;
  readonly date?: string;
}

interface Situation {
  readonly file: CaseFile;
  readonly review: CaseReview;
  readonly today: string;
  readonly days: ReportDays;
  readonly targetOn: string | null;
}

const quietAfterDays = 7;
const maintenanceEveryDays = 3;
const missingMattersDays = 7;

/** Every state the caseload can show, worst first, with how it is seen. Figures: common practice. */
const needs: Record<Judged, (situation: Situation) => Need | null> = {
  stop: ({ file, review }) => {
    const open = (file.signals ?? []).find((signal) => signal.cleared === undefined);
    const item = review.items.find(({ proposal }) => proposal.outcome === "stop");
    return item || open ? { attention: "stop", item } : null;
  },
  flare: byItem("flare", ({ proposal }) => proposal.rule === "ease-flare"),
  ease: byItem("ease", ({ proposal }) => proposal.outcome === "ease"),
  rebaseline: ({ review, days }) =>
    review.rebaselineDays === null ? null : { attention: "rebaseline", date: days.last ?? "" },
  wait: ({ review, days, today }) => {
    const item = review.items.find(({ proposal }) => proposal.outcome === "wait");
    const due = days.open !== null && days.open < today;
    return item || due ? { attention: "wait", item, date: days.open ?? "" } : null;
  },
  "report-missing": ({ days, today }) =>
    days.missing !== null && daysBetween(days.missing, today) < missingMattersDays
      ? { attention: "report-missing", date: days.missing }
      : null,
  "step-up": byItem("step-up", ({ proposal }) => proposal.rule === "step-up"),
  "gate-open": ({ review }) => (review.gate?.outcome === "open" ? { attention: "gate-open" } : null),
  "lane-ready": byItem("lane-ready", ({ proposal }) => proposal.rule === "lane-ready"),
  "no-change": ({ review }) => (review.symptomClock ? { attention: "no-change" } : null),
  "look-again": ({ file }) => {
    if ((file.smallDoses ?? []).length === 0) return null;
    const { next, last } = smallDoseNow(file);
    return next === "more" || next === "refer" ? { attention: "look-again", date: last?.lookOn ?? "" } : null;
  },
  plateau: byItem("plateau", ({ proposal }) => proposal.outcome === "plateau"),
  quiet: ({ file, days, today }) => {
    const since = days.last ?? localDay(file.episode.startedAt, file.zone);
    return daysBetween(since, today) >= quietAfterDays ? { attention: "quiet", date: since } : null;
  },
  "maintenance-due": ({ file, review, days, today }) => {
    const isLast = file.pathway.stages.at(-1)?.code === review.stage;
    if (!isLast || days.last === null || daysBetween(days.last, today) <= maintenanceEveryDays) return null;
    return { attention: "maintenance-due", date: days.last };
  },
  "target-at-risk": ({ file, targetOn }) => {
    if (targetOn === null) return null;
    const { weeksLeft, weeksNeeded } = weeksToTarget(file, targetOn);
    return weeksNeeded > weeksLeft ? { attention: "target-at-risk", date: targetOn } : null;
  },
};

function byItem(attention: Attention, seen: (item: ItemReview) => boolean) {
  return ({ review }: Situation): Need | null => {
    const item = review.items.find(seen);
    return item ? { attention, item } : null;
  };
}

/**
 * What the caseload says of an episode at `asOf`: the most pressing thing, its reason, where the person stands.
 *
 * @param review the review of this very case, where it has been made already
 */
export function caseloadState(
  file: CaseFile,
  targetOn: string | null,
  review: CaseReview = reviewCase(file),
  trainingDays: readonly CaseDay[] = caseDays(file),
): CaseloadState {
  const today = localDay(file.asOf, file.zone);
  const days = reportDays(file, trainingDays);
  const situation: Situation = { file, review, today, days, targetOn };
  const codes = attentionCodes.filter((code): code is Judged => code !== "hold" && code !== "unreadable");
  const found = codes.map((code) => needs[code](situation)).find((need) => need !== null);
  const need: Need = found ?? { attention: "hold", item: review.items[0] };
  const stageIndex = file.pathway.stages.findIndex((stage) => stage.code === review.stage);
  const toSign = review.items.filter((item) => canAccept(item.proposal) && item !== need.item);
  return {
    stageName: file.pathway.stages[stageIndex]?.name ?? review.stage,
    stageNumber: stageIndex + 1,
    stageCount: file.pathway.stages.length,
    daysSinceOnset: daysBetween(file.episode.onsetOn, today),
    attention: need.attention,
    reason: {
      rule: need.item?.proposal.rule ?? need.attention,
      exercise: file.exercises.find((exercise) => exercise.id === need.item?.exerciseId)?.name ?? "",
      date: need.date ?? "",
      evidence: need.item?.proposal.evidence[0] ?? null,
    },
    alsoWaiting: toSign.length,
    lastSessionOn: days.last,
  };
}

/** What the caseload says of an episode that the rules cannot judge: that, and nothing else. */
export function unreadableState(daysSinceOnset: number, openSignal: boolean): CaseloadState {
  return {
    stageName: "",
    stageNumber: 0,
    stageCount: 0,
    daysSinceOnset,
    attention: openSignal ? "stop" : "unreadable",
    reason: { rule: "unreadable", exercise: "", date: "", evidence: null },
    alsoWaiting: 0,
    lastSessionOn: null,
  };
}

/** Training days by how their reports stand. */
export interface ReportDays {
  /** The latest day that is still open. */
  readonly open: string | null;
  /** The latest day, when it closed without a report that counts. */
  readonly missing: string | null;
  /** The latest day for which a report can still be given and is not in. */
  readonly canReport: string | null;
  readonly last: string | null;
}

/** How the reports of a case's training days stand. */
export function reportDays(file: CaseFile, days: readonly CaseDay[] = caseDays(file)): ReportDays {
  const today = localDay(file.asOf, file.zone);
  const states = days.map((day) => {
    const state = trainingDayState(day, file.asOf);
    const inTime = elapsedDays(day.lastSessionAt, file.asOf) * 24 <= reportCountsHours;
    return { date: day.date, state, canReport: state !== "reported" && day.date < today && inTime };
  });
  const last = states.at(-1);
  return {
    open: states.filter((day) => day.state === "open").at(-1)?.date ?? null,
    missing: last?.state === "unreported" ? last.date : null,
    canReport: states.filter((day) => day.canReport).at(-1)?.date ?? null,
    last: last?.date ?? null,
  };
}
