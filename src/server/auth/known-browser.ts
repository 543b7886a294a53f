import { timingSafeEqual } from "node:crypto";
import { cookieName, cookieSettings } from "~/server/http/cookies";
import { markOf, maySeal } from "~/server/seal/seal";
import type { StaffLogin } from "./staff-repository";
import { newToken } from "./token";

const days = 180;

/** The cookie by which a browser shows that somebody signed in with it before. */
export const browserCookie = (): string => cookieName("stair_browser");
export const browserCookieSettings = () => ({ ...cookieSettings(), maxAge: days * 24 * 3600 });

const markFor = ({ clinicId, staffId }: StaffLogin, nonce: string) =>
  markOf(clinicId, "known-browser", `${staffId} ${nonce}`);

/**
 * A cookie for a browser with which this account has just signed in. Its tries are counted apart from then on, so that a stranger who
 * uses up an account's tries keeps its owner out of no browser of theirs. Nothing of it is kept; null where no key is set.
 *
 * Source: device cookies, OWASP Authentication Cheat Sheet.
 */
export function browserToken(login: StaffLogin): string | null {
  if (!maySeal()) return null;
  const nonce = newToken();
  return `${nonce}.${markFor(login, nonce)}`;
}

/** What a cookie says of the browser when it was made for this account; null for any other text. */
export function knownBrowser(login: StaffLogin, cookie: string | undefined): string | null {
  const [nonce, mark, ...more] = (cookie ?? "").split(".");
  if (!nonce || !mark || more.length > 0 || !maySeal()) return null;
  const [given, made] = [Buffer.from(mark), Buffer.from(markFor(login, nonce))];
  return given.length === made.length && timingSafeEqual(given, made) ? nonce : null;
}
