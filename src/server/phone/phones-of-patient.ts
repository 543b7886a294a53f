import QRCode from "qrcode";
import { v7 as uuid } from "uuid";
import type {
  HarderBody,
  MessageBody,
  MessageWritten,
  PhoneLink,
  PhonesEndedBody,
  PhonesView,
} from "~/contract/phones";
import { recordingRoles, signingRoles } from "~/contract/roles";
import { closesAt, trainingDayState } from "~/core/response/training-day-state";
import { addDays, localDay } from "~/core/schedule/local-day";
import { writeAudit } from "~/server/audit/audit-repository";
import { hashToken, newRecoveryCode, newToken } from "~/server/auth/token";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import type { LoadedCase } from "~/server/case/make-case";
import { patientName } from "~/server/case/patient-name";
import { feedOf } from "./feed-repository";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { inTransaction } from "~/server/db/transaction";
import { harderDays } from "~/server/facts/harder-days";
import { messages } from "~/server/facts/messages";
import { appendFact, readFacts } from "~/server/facts/sql";
import { notFound, refused } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import { keptWeeks } from "~/server/week/read-week";
import { writeInto } from "~/server/write/write-into";
import { laidDays } from "./at-home";
import { harderItems, wordsOnHarder } from "./harder-days";
import {
  endLinksOf,
  endPhonesOf,
  insertPhoneLink,
  openLinkUntil,
  phonesOf,
  toldByPhones,
} from "./phone-repository";
import { plainCode } from "./open-phone";

const linkDays = 14;
const toldDays = 28;
const morningsDays = 7;

/** The phones of a patient, what came from them and what was written to them. */
export async function readPhones(staff: StaffContext, episodeId: string): Promise<PhonesView> {
  const loaded = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "read-phones");
  return phonesView(staff, loaded);
}

/** What the clinic sees of a patient's phones, and of the calendar that reads their days. */
export async function phonesView(staff: StaffContext, loaded: LoadedCase): Promise<PhonesView> {
  const { head, file } = loaded;
  const since = new Date(Date.parse(file.asOf) - toldDays * 24 * 3_600_000).toISOString();
  const today = localDay(file.asOf, file.zone);
  const written = await readFacts(pool(), messages, staff.clinicId, [head.id]);
  return {
    episodeId: head.id,
    person: patientName(loaded),
    zone: file.zone,
    phones: await phonesOf(pool(), staff.clinicId, head.id),
    openUntil: await openLinkUntil(pool(), staff.clinicId, head.id, now()),
    laidDays: laidDays(loaded, await keptWeeks(pool(), staff.clinicId, head.id), today).filter(
      ({ items }) => items.length > 0,
    ).length,
    feed: await feedOf(pool(), staff.clinicId, head.id),
    messages: [...(written.get(head.id) ?? [])].reverse(),
    harder: harderItems(loaded, await wordsOnHarder(staff.clinicId, head.id)),
    told: await toldByPhones(pool(), staff.clinicId, head.id, since),
    mornings: untoldMornings(loaded, today),
    mayWrite: signingRoles.includes(staff.role),
    mayRecord: recordingRoles.includes(staff.role),
  };
}

/** Days of the last week whose report is not in, the latest first. */
function untoldMornings({ file, days }: LoadedCase, today: string): PhonesView["mornings"] {
  const since = addDays(today, -morningsDays);
  return days()
    .filter(({ date }) => date >= since)
    .map((day) => ({ day, state: trainingDayState(day, file.asOf) }))
    .filter(({ state }) => state !== "reported")
    .map(({ day: { date, lastSessionAt }, state }) => ({
      date,
      isOpen: state === "open",
      until: closesAt(lastSessionAt),
    }))
    .reverse();
}

/**
 * Makes a link and a code, told once; the links made before can be opened no more, phones that were opened stay so.
 *
 * @param site where the product is reached
 */
export async function makePhoneLink(
  staff: StaffContext,
  episodeId: string,
  site: string,
): Promise<PhoneLink> {
  const loaded = await loadEpisode(staff, episodeId);
  const at = now();
  const expiresAt = new Date(Date.parse(at) + linkDays * 24 * 3_600_000).toISOString();
  const [token, code] = [newToken(), newRecoveryCode()];
  const link = {
    id: uuid(),
    episodeId,
    tokenHash: hashToken(token),
    codeHash: hashToken(plainCode(code)),
    expiresAt,
  };
  await inTransaction(async (db) => {
    await endLinksOf(db, staff.clinicId, episodeId, at);
    await insertPhoneLink(db, staff, link, at);
    await writeAudit(
      db,
      staff,
      { action: "make-phone-link", kind: "phone_links", id: link.id, episodeId },
      at,
    );
  });
  const address = `${site}/my`;
  const picture = await QRCode.toString(`${address}#${token}`, { type: "svg", margin: 2 });
  return { picture, address, token, code, expiresAt, phones: await phonesView(staff, loaded) };
}

/** Closes the plan on one phone, or on all of them and to every link. */
export async function endPhones(
  staff: StaffContext,
  episodeId: string,
  { phoneId }: PhonesEndedBody,
): Promise<PhonesView> {
  const loaded = await loadEpisode(staff, episodeId);
  const at = now();
  await inTransaction(async (db) => {
    const { clinicId } = staff;
    const ended = await endPhonesOf(db, { clinicId, episodeId, phoneId }, "clinic", at);
    if (phoneId === null) await endLinksOf(db, clinicId, episodeId, at);
    else if (ended === 0) throw notFound();
    await writeAudit(db, staff, { action: "end-phones", kind: "phones", id: phoneId, episodeId }, at);
  });
  return phonesView(staff, loaded);
}

/** Writes a short message to the patient's phone; it stays in the record. */
export async function writeMessage(
  staff: StaffContext,
  episodeId: string,
  body: MessageBody,
): Promise<MessageWritten> {
  const fact = { of: "messages", body, action: "write-message" } as const;
  const { repeated, seen } = await writeInto(
    staff,
    episodeId,
    fact,
    async ({ db, writing }) => {
      await appendFact(db, writing, messages, { ...body, words: body.words.trim(), at: writing.at });
    },
    (loaded) => loaded,
  );
  return { id: body.id, repeated, phones: await phonesView(staff, seen) };
}

/** Allows in writing that an exercise is done harder on a good day, or takes that back. It is no step of the plan. */
export async function allowHarder(
  staff: StaffContext,
  episodeId: string,
  body: HarderBody,
): Promise<MessageWritten> {
  const fact = { of: "harderDays", body, action: "allow-harder" } as const;
  const { repeated, seen } = await writeInto(
    staff,
    episodeId,
    fact,
    async ({ db, writing, loaded }) => {
      if (!loaded.review().items.some(({ itemId }) => itemId === body.itemId))
        throw refused([{ path: "/itemId", problem: "is not an exercise of this plan" }]);
      await appendFact(db, writing, harderDays, { ...body, reason: body.reason.trim(), at: writing.at });
    },
    (loaded) => loaded,
  );
  return { id: body.id, repeated, phones: await phonesView(staff, seen) };
}
