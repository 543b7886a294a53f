import type { Problem } from "~/contract/problem";
import type { WeekView } from "~/contract/week";
import type { PlanWeekOutput } from "~/core/week/plan-week";
import { restOfWeek } from "~/core/week/rest-of-week";
import { call } from "~/islands/frame/call";
import { planHere } from "./plan-here";
import { questionOf, type WeekDraft } from "./week-draft";

/** The rest of a week, planned here; by the server where this browser cannot. */
export async function planRest(
  week: WeekView,
  draft: WeekDraft,
): Promise<PlanWeekOutput | { readonly problem: Problem }> {
  const here = await planHere(restOfWeek(questionOf(week, draft), draft.locks, week.today));
  if (here) return here;
  const { days, locks } = draft;
  const body = { startsOn: week.startsOn, days: [...days], locks: [...locks] };
  const answer = await call("solveWeek", { id: week.episodeId }, body);
  return answer.ok ? answer.value : { problem: answer.problem };
}
