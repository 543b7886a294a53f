import type { DayFileBody, DayFileView, ExpectedBody, ExpectedToday } from "~/contract/day";
import { localDay } from "~/core/schedule/local-day";
import { t } from "~/messages/say";
import { writeAudit } from "~/server/audit/audit-repository";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { inTransaction } from "~/server/db/transaction";
import { refused } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import { calendarDay } from "./calendar-day";
import { activePeople, expectedOn, setExpected } from "./expected-repository";
import { namedIn } from "./named-in";

const action = "mark-expected";

/** Marks who comes today, by the clinic's date. */
export async function markExpected(staff: StaffContext, body: ExpectedBody): Promise<ExpectedToday> {
  const at = now();
  const date = localDay(at, staff.zone);
  await inTransaction(async (db) => {
    await setExpected(db, staff, date, body, at);
    await writeAudit(db, staff, { action, kind: "expected_people", id: null }, at);
  });
  return { date, people: await expectedOn(pool(), staff.clinicId, date) };
}

/** Whom today's entries of a calendar file name. Nothing of the file is kept. @throws ApiProblem 422 for what is no calendar */
export async function readDayFile(staff: StaffContext, { text }: DayFileBody): Promise<DayFileView> {
  const date = localDay(now(), staff.zone);
  const people = await activePeople(pool(), staff.clinicId);
  const { entries, cut } = soundDay(text, date, staff.zone);
  return {
    date,
    cut,
    entries: entries.map(({ title, time }) => ({
      title,
      time,
      episodeIds: people.filter((person) => namedIn(title, person)).map(({ episodeId }) => episodeId),
    })),
  };
}

function soundDay(text: string, date: string, zone: string) {
  try {
    return calendarDay(text, date, zone);
  } catch {
    throw refused([{ path: "/text", problem: t("today.noCalendar") }]);
  }
}
