import type { ReportBody } from "~/contract/daily";
import type { Written } from "~/contract/episode";
import { localDay } from "~/core/schedule/local-day";
import type { StaffContext } from "~/server/staff-context";
import { refused } from "~/server/http/problem";
import { reports } from "~/server/facts/reports";
import { appendFact } from "~/server/facts/sql";
import { writeFact } from "~/server/episode/write-fact";

/** Records how the patient was on the morning after a training day; a later report for the day supersedes it. */
export async function recordReport(
  staff: StaffContext,
  episodeId: string,
  body: ReportBody,
): Promise<Written> {
  const fact = { of: "reports", body, action: "record-report" } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const path = "/trainingDate";
    if (!loaded.days().some(({ date }) => date === body.trainingDate)) {
      throw refused([{ path, problem: "has no session; record the session first" }]);
    }
    if (localDay(writing.at, loaded.file.zone) <= body.trainingDate) {
      throw refused([{ path, problem: "is not over: the report is for the next morning" }]);
    }
    const { at } = writing;
    await appendFact(db, writing, reports, { ...body, occurredAt: at, receivedAt: at });
  });
}
