import { v7 as uuid } from "uuid";
import type { PhoneOpeningBody } from "~/contract/phone";
import { t } from "~/messages/say";
import { writeAudit } from "~/server/audit/audit-repository";
import { countTry } from "~/server/auth/sign-in-limit";
import { hashToken, newToken } from "~/server/auth/token";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { inTransaction } from "~/server/db/transaction";
import { cookieName, cookieSettings } from "~/server/http/cookies";
import { ApiProblem } from "~/server/http/problem";
import type { PhoneContext } from "~/server/phone-context";
import { endPhonesOf, findPhone, findPhoneLink, insertPhone, touchPhone } from "./phone-repository";

export const phoneCookie = (): string => cookieName("stair_phone");
const touchEveryMs = 60_000;
const rememberedSeconds = 365 * 24 * 3600;

/** How the cookie is set: a phone is remembered for a year after it was opened, until somebody ends it. */
export const phoneCookieSettings = () => ({ ...cookieSettings(), maxAge: rememberedSeconds });

/** What a code is known by: small letters and digits alone, however it was typed. */
export const plainCode = (code: string): string => code.toLowerCase().replace(/[^a-z0-9]/g, "");

/**
 * Opens a plan by a link's token, or by a code with the year of birth, and returns the token for the phone's cookie. Tries are
 * counted by the sender's address, and by what was tried.
 *
 * @throws ApiProblem 401 for what opens nothing, whatever the reason; 429
 */
export async function openPhone(
  body: PhoneOpeningBody,
  clientAddress: string,
): Promise<{ token: string; givenName: string }> {
  const counted = await countTry(clientAddress);
  const at = now();
  const tried = "token" in body ? body.token : plainCode(body.code);
  await counted.forAccount(`phone ${tried}`);
  const by = "token" in body ? "token_hash" : "code_hash";
  const link = await findPhoneLink(pool(), by, hashToken(tried), at);
  const fits = link && (!("birthYear" in body) || link.birthYear === body.birthYear);
  if (!link || !fits) throw new ApiProblem(401, "link-dead", t("phone.linkDead"));
  await counted.succeeded();
  const token = newToken();
  const phone = { id: uuid(), tokenHash: hashToken(token) };
  await inTransaction(async (db) => {
    await insertPhone(db, link, phone, at);
    const who = { clinicId: link.clinicId, staffId: null, phoneId: phone.id };
    const what = { action: "open-phone", kind: "phones", id: phone.id, episodeId: link.episodeId };
    await writeAudit(db, who, what, at);
  });
  return { token, givenName: link.givenName };
}

/** The phone that holds this token; null when there is none, or it was ended. */
export async function whosePhone(token: string | undefined): Promise<PhoneContext | null> {
  if (!token) return null;
  const found = await findPhone(pool(), hashToken(token));
  if (!found) return null;
  const { phone, seenAt } = found;
  const at = now();
  if (Date.parse(seenAt) < Date.parse(at) - touchEveryMs)
    await touchPhone(pool(), phone.clinicId, phone.phoneId, at);
  return phone;
}

/** 'Not my phone': the plan is opened here no more. */
export async function forgetPhone(phone: PhoneContext): Promise<{ forgotten: boolean }> {
  const at = now();
  await inTransaction(async (db) => {
    await endPhonesOf(db, phone, "patient", at);
    const { phoneId, episodeId } = phone;
    await writeAudit(db, phone, { action: "forget-phone", kind: "phones", id: phoneId, episodeId }, at);
  });
  return { forgotten: true };
}
