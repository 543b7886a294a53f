import type { ReportBody, Written } from "~/core/interchange/contract";
import { caseDays } from "~/core/case/case-days";
import { localDay } from "~/core/schedule/local-day";
import type { StaffContext } from "~/server/auth/staff-context";
import { refused } from "~/server/http/problem";
import { insertReport } from "./fact-writer";
import { writeFact } from "./write-episode";

/** Records how the patient was on the morning after a training day; a later report for the day supersedes it. */
export async function recordReport(
  staff: StaffContext,
  episodeId: string,
  body: ReportBody,
): Promise<Written> {
  const fact = { table: "next_day_reports", id: body.id, action: "record-report" } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded: { file } }) => {
    const path = "/trainingDate";
    if (!caseDays(file).some(({ date }) => date === body.trainingDate)) {
      throw refused([{ path, problem: "has no session; record the session first" }]);
    }
    if (localDay(writing.at, file.zone) <= body.trainingDate) {
      throw refused([{ path, problem: "is not over: the report is for the next morning" }]);
    }
    await insertReport(db, writing, body);
  });
}
