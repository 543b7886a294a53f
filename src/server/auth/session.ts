import type { AstroCookies } from "astro";
import type { Static } from "@sinclair/typebox";
import type { SignInBody } from "~/contract/clinic";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { besideReading } from "~/server/db/reading-only";
import { writeAudit } from "~/server/audit/audit-repository";
import { cookieName, cookieSettings } from "~/server/http/cookies";
import { log } from "~/server/http/log";
import { ApiProblem } from "~/server/http/problem";
import { passwordFits } from "./password";
import { checkSecondFactor } from "./second-factor";
import { browserToken, knownBrowser } from "./known-browser";
import { countBrowser, countTry } from "./sign-in-limit";
import type { StaffContext } from "~/server/staff-context";
import { sweepSessions } from "./sweep-sessions";
import { hashToken, newToken } from "./token";
import {
  deleteSession,
  findLogin,
  findSession,
  insertSession,
  touchSession,
  type StaffLogin,
} from "./staff-repository";

export const sessionCookie = (): string => cookieName("stair_session");
const idleMinutes = 60;
const absoluteHours = 12;
const touchEveryMs = 60_000;

/** How the cookie is set. */
export const sessionCookieSettings = () => ({ ...cookieSettings(), maxAge: absoluteHours * 3600 });

/**
 * Signs in and returns the token for the cookie. The answer to an unknown address and to a wrong password is the
 * same and takes the same work. Who has a second factor is asked for it once the password is right. Tries from a browser that the
 * account's owner has signed in with are counted for that browser alone; a stranger's use up a stranger's.
 *
 * @param cookie what the browser shows of itself
 * @returns the session's token, and what the browser is to show from now on, where that is new
 */
export async function signIn(
  { email, password, code }: Static<typeof SignInBody>,
  clientAddress: string,
  cookie?: string,
): Promise<{ token: string; browser: string | null }> {
  const address = email.trim().toLowerCase();
  const login = await findLogin(pool(), address);
  const known = login ? knownBrowser(login, cookie) : null;
  const counted =
    known === null ? await countStranger(clientAddress, login?.email ?? address) : await countBrowser(known);
  const fits = await passwordFits(login?.passwordHash ?? null, password);
  const at = now();
  const failed = (who: StaffLogin) =>
    writeAudit(
      pool(),
      who,
      { action: "sign-in-failed", kind: "staff", id: who.staffId, outcome: "failed" },
      at,
    );
  if (login && !fits) await failed(login);
  // No clinic has this address, so no clinic's log can tell of it.
  if (!login) log.warn({ from: clientAddress }, "sign-in tried at an address that nobody has");
  if (!login || !fits) throw new ApiProblem(401, "sign-in-failed", "Address or password is wrong.");
  try {
    await checkSecondFactor(login, code, at);
  } catch (error) {
    if (error instanceof ApiProblem && error.type === "code-wrong") await failed(login);
    throw error;
  }
  await counted.succeeded();
  await sweepSessions(at, new Date(Date.parse(at) - absoluteHours * 3_600_000).toISOString());
  const token = newToken();
  const { clinicId, staffId } = login;
  await insertSession(pool(), { tokenHash: hashToken(token), clinicId, staffId, at });
  await writeAudit(pool(), { clinicId, staffId }, { action: "sign-in", kind: "staff", id: staffId }, at);
  return { token, browser: known === null ? browserToken(login) : null };
}

/** Counts a try of whoever it may be. */
async function countStranger(clientAddress: string, email: string) {
  const counted = await countTry(clientAddress);
  await counted.forAccount(email);
  return counted;
}

/**
 * Who holds this token; null when it is unknown, idle too long or too old.
 *
 * @param unattended a page asks by itself: nobody need be there, so it does not count as being seen
 */
export async function whoHolds(token: string, unattended = false): Promise<StaffContext | null> {
  const present = now();
  const before = (ms: number) => new Date(Date.parse(present) - ms).toISOString();
  const found = await findSession(pool(), hashToken(token), {
    seenSince: before(idleMinutes * 60_000),
    createdSince: before(absoluteHours * 3_600_000),
  });
  if (!found) return null;
  if (unattended) return found.staff;
  if (Date.parse(`${found.lastSeenAt.replace(" ", "T")}Z`) < Date.parse(present) - touchEveryMs) {
    await besideReading(
      () => touchSession(pool(), hashToken(token), present),
      () => undefined,
    );
  }
  return found.staff;
}

/** The token of the session that asks; empty where there is none. */
export const tokenOf = ({ cookies }: { cookies: AstroCookies }): string =>
  cookies.get(sessionCookie())?.value ?? "";

export async function signOut(token: string): Promise<void> {
  await deleteSession(pool(), hashToken(token));
}
