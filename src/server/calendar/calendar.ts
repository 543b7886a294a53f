import { v7 as uuid } from "uuid";
import type { FeedBody, FeedMade } from "~/contract/calendar";
import { haltsOf } from "~/core/case/stops";
import { episodeState } from "~/core/episode/episode-turn";
import { localDay } from "~/core/schedule/local-day";
import { writeAudit } from "~/server/audit/audit-repository";
import { hashToken, newToken } from "~/server/auth/token";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import type { LoadedCase } from "~/server/case/make-case";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { inTransaction } from "~/server/db/transaction";
import { notFound } from "~/server/http/problem";
import { itemsAtHome, laidDays } from "~/server/phone/at-home";
import { phonesView } from "~/server/phone/phones-of-patient";
import type { StaffContext } from "~/server/staff-context";
import { keptWeeks } from "~/server/week/read-week";
import { mondayOf, weekQuestion } from "~/server/week/week-question";
import type { Writer } from "~/server/writer";
import { calendarEntries } from "./calendar-entries";
import { endFeedsOf, findFeed, insertFeed, touchFeed } from "~/server/phone/feed-repository";
import { writeCalendar } from "./write-calendar";

/** What a calendar is asked for: at which time of the day, and where the product is reached. */
interface Wanted {
  readonly time: string | null;
  readonly site: string;
}

const touchEveryMs = 60_000;

/** The laid out days of an episode as a calendar file. Noted in the audit log as a read by whoever asked. */
export async function readCalendar(who: Writer, episodeId: string, wanted: Wanted): Promise<string> {
  const loaded = await loadEpisode(who, episodeId);
  await noteRead(who, episodeId, "read-calendar");
  return calendarOf(loaded, who.clinicId, wanted);
}

/** The same for a calendar that reads by itself. @throws ApiProblem 404 for an address that nobody made, or that was ended */
export async function readFeed(token: string, site: string): Promise<string> {
  const feed = await findFeed(pool(), hashToken(token));
  if (!feed) throw notFound();
  const { clinicId, id, episodeId, time, readAt } = feed;
  const loaded = await loadEpisode(feed, episodeId);
  const at = now();
  if (readAt === null || Date.parse(readAt) < Date.parse(at) - touchEveryMs)
    await touchFeed(pool(), clinicId, id, at);
  return calendarOf(loaded, clinicId, { time, site });
}

/** Makes the address that a patient's calendar reads, told once; the one before ends. */
export async function makeFeed(
  staff: StaffContext,
  episodeId: string,
  { at: time }: FeedBody,
  site: string,
): Promise<FeedMade> {
  const loaded = await loadEpisode(staff, episodeId);
  const at = now();
  const token = newToken();
  const feed = { id: uuid(), episodeId, tokenHash: hashToken(token), time };
  await inTransaction(async (db) => {
    await endFeedsOf(db, staff.clinicId, episodeId, at);
    await insertFeed(db, staff, feed, at);
    await writeAudit(
      db,
      staff,
      { action: "make-calendar-feed", kind: "calendar_feeds", id: feed.id, episodeId },
      at,
    );
  });
  return { address: `${site}/api/calendar/${token}`, phones: await phonesView(staff, loaded) };
}

/** Ends the address that a patient's calendar reads. */
export async function endFeed(staff: StaffContext, episodeId: string) {
  const loaded = await loadEpisode(staff, episodeId);
  const at = now();
  await inTransaction(async (db) => {
    await endFeedsOf(db, staff.clinicId, episodeId, at);
    await writeAudit(
      db,
      staff,
      { action: "end-calendar-feed", kind: "calendar_feeds", id: null, episodeId },
      at,
    );
  });
  return phonesView(staff, loaded);
}

/** Nothing stands in the calendar of somebody who must not do anything, or whose episode rests. */
async function calendarOf(loaded: LoadedCase, clinicId: string, { time, site }: Wanted): Promise<string> {
  const { file, head } = loaded;
  const today = localDay(file.asOf, file.zone);
  const rests = episodeState(head) !== "active" || haltsOf(file).length > 0;
  const items = itemsAtHome(loaded, today).filter(({ stopped }) => !stopped);
  const { question } = weekQuestion(loaded, mondayOf(today), {}, new Map());
  const entries = calendarEntries({
    episodeId: head.id,
    items,
    minutes: new Map(question.items.map(({ id, minutes }) => [id, minutes])),
    days: rests ? [] : laidDays(loaded, await keptWeeks(pool(), clinicId, head.id), today),
    time,
    address: `${site}/my`,
  });
  return writeCalendar(entries, { number: head.version, at: file.asOf });
}
