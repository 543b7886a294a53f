import type { WeekBody, WeekWritten } from "~/contract/week";
import { localDay } from "~/core/schedule/local-day";
import { within, type FieldProblem } from "~/core/schema/field-problem";
import { hardBreaches } from "~/core/week/judge-hard";
import { laidWeek } from "~/core/week/laid-week";
import type { Placed, WeekQuestion } from "~/core/week/week";
import { weekProblems } from "~/core/week/week-problems";
import { sayBreach } from "~/core/week/words";
import { sayWeekWords } from "~/messages/say-week";
import { pool } from "~/server/db/connection";
import { appendFact } from "~/server/facts/sql";
import { weeks } from "~/server/facts/weeks";
import { refused } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import { writeInto, type Fact } from "~/server/write/write-into";
import { keptWeeks, mondayProblem, weekView } from "./read-week";
import { weekQuestion } from "./week-question";

/** Keeps a week as it is laid out; one that breaks a hard rule by what is still to be done is refused. */
export async function keepWeek(staff: StaffContext, episodeId: string, body: WeekBody): Promise<WeekWritten> {
  const fact: Fact = { of: "weeks", body, action: "keep-week" };
  const { startsOn, days, locks, placed } = body;
  const { repeated, seen } = await writeInto(
    staff,
    episodeId,
    fact,
    async ({ db, writing, loaded }) => {
      const kept = await keptWeeks(db, staff.clinicId, episodeId);
      const { question, pieces } = weekQuestion(loaded, startsOn, { days, locks }, kept);
      const problems = [...mondayProblem(startsOn, days), ...weekProblems({ ...question, placed })];
      if (problems.length > 0) throw refused(problems);
      const broken = brokenAhead(question, placed, localDay(writing.at, loaded.file.zone)).map(
        ({ path, problem }) => ({ path, problem: sayWeekWords(problem, pieces) }),
      );
      if (broken.length > 0) throw refused(broken);
      await appendFact(db, writing, weeks, { id: body.id, at: writing.at, startsOn, days, placed, locks });
    },
    (loaded) => loaded,
  );
  const kept = await keptWeeks(pool(), staff.clinicId, episodeId);
  return { id: body.id, repeated, week: weekView(staff, seen, startsOn, kept) };
}

/** Hard rules that are broken by something that is still to be done. */
function brokenAhead(question: WeekQuestion, placed: readonly Placed[], today: string): FieldProblem[] {
  const week = laidWeek(question, placed);
  const ahead = hardBreaches(week).filter(({ by }) =>
    by.some(({ item, day }) => !week.isDone(item, day) && (week.days[day]?.date ?? "") >= today),
  );
  return within(
    "/placed",
    ahead.map((breach) => ({ path: "", problem: sayBreach(week, breach) })),
  );
}
