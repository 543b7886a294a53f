import { defineMiddleware } from "astro:middleware";
import { unattendedHeader } from "~/contract/unattended";
import { lacksFactor } from "~/server/lacks-factor";
import { sessionCookie, whoHolds } from "~/server/auth/session";
import { isDatabaseUnavailable } from "~/server/db/away";
import { phoneCookie, whosePhone } from "~/server/phone/open-phone";
import { waysOf } from "~/server/clinic/habits";
import { keepBeating } from "~/server/duty/heartbeat";
import { askedFrom } from "~/server/asking";
import { inTheWaysOf } from "~/server/http/in-the-ways-of";
import { countCall } from "~/server/http/call-limit";
import { log } from "~/server/http/log";
import { countAnswer } from "~/server/http/metrics";
import { originAllowed } from "~/server/http/origin";
import { ApiProblem, databaseDown } from "~/server/http/problem";

/** Answered without asking who is there, so that they work while the database is away. */
const withoutSession = new Set(["/health", "/ready", "/metrics", "/unavailable"]);
const openPages = new Set(["/sign-in", "/set-password", "/my", "/404"]);
/** A view of one episode; what fails there is that record's, and is shown as that. */
const episodePage = /^\/episodes\/([0-9a-f-]{36})(?:\/|$)/i;
const isApi = (path: string) => path.startsWith("/api/");

/** Origin check, session, and the way to the sign-in or the 'database down' page. */
export const onRequest = defineMiddleware(async (context, next) => {
  keepBeating();
  const started = performance.now();
  const response = await askedFrom(addressOf(context), () => answer(context, next));
  response.headers.set("referrer-policy", "no-referrer");
  if (!response.headers.has("cache-control")) response.headers.set("cache-control", "no-store");
  const ms = performance.now() - started;
  const { routePattern: route, request } = context;
  log.info({ method: request.method, route, status: response.status, ms: Math.round(ms) });
  countAnswer(route, request.method, response.status, ms);
  return response;
});

/** Where a request came from; null where the platform does not know. */
function addressOf(context: Parameters<typeof onRequest>[0]): string | null {
  try {
    return context.clientAddress;
  } catch {
    return null;
  }
}

/** The way in, and back to the view that was asked for. */
const signInFrom = ({ pathname, search }: URL) =>
  pathname === "/" ? "/sign-in" : `/sign-in?to=${encodeURIComponent(pathname + search)}`;

async function answer(
  context: Parameters<typeof onRequest>[0],
  next: Parameters<typeof onRequest>[1],
): Promise<Response> {
  const { pathname } = context.url;
  if (!originAllowed(context.request)) {
    return new ApiProblem(403, "origin", "This request did not come from this site.").response();
  }
  if (withoutSession.has(pathname)) return next();
  try {
    const token = context.cookies.get(sessionCookie())?.value;
    const staff = token ? await whoHolds(token, context.request.headers.has(unattendedHeader)) : null;
    if (staff) {
      await countCall(staff.staffId);
      context.locals.staff = staff;
    }
    if (pathname.startsWith("/api/phone")) {
      const phone = await whosePhone(context.cookies.get(phoneCookie())?.value);
      if (phone) {
        await countCall(phone.phoneId);
        context.locals.phone = phone;
      }
    }
    const proceed = () => (staff ? inTheWaysOf(waysOf(staff), next) : next());
    if (isApi(pathname) || openPages.has(pathname)) return await proceed();
    if (!staff) return context.redirect(signInFrom(context.url), 303);
    if (pathname !== "/account" && lacksFactor(staff)) return context.redirect("/account", 303);
    return await proceed();
  } catch (error) {
    if (isDatabaseUnavailable(error))
      return isApi(pathname) ? databaseDown().response() : context.rewrite("/unavailable");
    if (error instanceof ApiProblem && error.status === 429) return error.response();
    if (error instanceof ApiProblem && error.status === 404) return context.rewrite("/404");
    const episode = episodePage.exec(pathname)?.[1];
    if (episode === undefined) throw error;
    log.error(
      { route: context.routePattern, error: String((error as Error)?.stack ?? error) },
      "view failed",
    );
    context.locals.unreadable = episode;
    return context.rewrite("/unreadable");
  }
}
