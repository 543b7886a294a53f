import { attentionCodes, type CaseloadRow } from "~/core/interchange/contract";
import { reviewCase, type ItemReview } from "~/core/interchange/review-case";
import { daysBetween, localDay } from "~/core/schedule/local-day";
import type { StaffContext } from "~/server/auth/staff-context";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { loadCases, type LoadedCase } from "~/server/episode/case-loader";
import { listActiveEpisodes } from "~/server/episode/episode-repository";
import { openDays } from "~/server/episode/stair-view";

type Attention = CaseloadRow["attention"];
const quietAfterDays = 7;
const rank = (attention: Attention) => attentionCodes.indexOf(attention);

/** The clinic's active episodes, those who need somebody first on top. */
export async function readCaseload(staff: StaffContext): Promise<CaseloadRow[]> {
  const heads = await listActiveEpisodes(pool(), staff.clinicId);
  const cases = await loadCases(pool(), staff.clinicId, staff.zone, heads, now());
  return cases
    .map((loaded) => caseloadRow(loaded))
    .sort((a, b) => rank(a.attention) - rank(b.attention) || b.daysSinceOnset - a.daysSinceOnset);
}

function caseloadRow(loaded: LoadedCase): CaseloadRow {
  const { head, file } = loaded;
  const review = reviewCase(file);
  const today = localDay(file.asOf, file.zone);
  const stageIndex = file.pathway.stages.findIndex((stage) => stage.code === review.stage);
  const { reportDay, lastSessionOn } = openDays(loaded);
  const found = needs(review.items, review.gate?.outcome === "open", reportDay, lastSessionOn, today);
  const { givenName, familyName, activity } = head.person;
  return {
    episodeId: head.id,
    person: { givenName, familyName, activity },
    diagnosis: head.diagnosis,
    involvedSide: head.involvedSide,
    stageName: file.pathway.stages[stageIndex]?.name ?? review.stage,
    stageNumber: stageIndex + 1,
    stageCount: file.pathway.stages.length,
    daysSinceOnset: daysBetween(head.onsetOn, today),
    attention: found.attention,
    reason: {
      rule: found.item?.proposal.rule ?? found.attention,
      exercise: file.exercises.find((e) => e.id === found.item?.exerciseId)?.name ?? "",
      date: found.date,
      evidence: found.item?.proposal.evidence[0] ?? null,
    },
    alsoWaiting: found.others,
    lastSessionOn,
  };
}

/** The most pressing thing about a patient, and how many further items ask for a signature. */
function needs(
  items: readonly ItemReview[],
  gateOpen: boolean,
  reportDay: string | null,
  lastSessionOn: string | null,
  today: string,
) {
  const of = (outcome: string) => items.find((item) => item.proposal.outcome === outcome);
  const quiet = lastSessionOn !== null && daysBetween(lastSessionOn, today) >= quietAfterDays;
  const candidates: { attention: Attention; item?: ItemReview | undefined; date: string }[] = [
    { attention: "stop", item: of("stop"), date: "" },
    { attention: "ease", item: of("ease"), date: "" },
    ...(reportDay ? [{ attention: "report-missing" as const, date: reportDay }] : []),
    { attention: "wait", item: of("wait"), date: "" },
    { attention: "step-up", item: of("step-up"), date: "" },
    ...(gateOpen ? [{ attention: "gate-open" as const, date: "" }] : []),
    { attention: "plateau", item: of("plateau"), date: "" },
    ...(quiet ? [{ attention: "quiet" as const, date: lastSessionOn ?? "" }] : []),
  ];
  const first = candidates.find(
    (c) => c.item !== undefined || ["report-missing", "gate-open", "quiet"].includes(c.attention),
  );
  const found = first ?? { attention: "hold" as const, item: items[0], date: "" };
  const toSign = items.filter((i) => !["hold", "wait"].includes(i.proposal.outcome) && i !== found.item);
  return { ...found, others: toSign.length };
}
