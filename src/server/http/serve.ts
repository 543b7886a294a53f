import type { TSchema } from "@sinclair/typebox";
import type { APIContext, APIRoute } from "astro";
import { addressOf } from "~/contract/addresses";
import {
  usualLimit,
  type AnswerOf,
  type BodyOf,
  type Endpoint,
  type PathOf,
  type QueryOf,
} from "~/contract/endpoint";
import { check } from "~/core/schema/check";
import type { Checked } from "~/core/schema/field-problem";
import { isUuid } from "~/core/schema/formats";
import { t } from "~/messages/say";
import type { PhoneContext } from "~/server/phone-context";
import { addressAsking } from "~/server/asking";
import { lacksFactor } from "~/server/lacks-factor";
import type { StaffContext } from "~/server/staff-context";
import { isReadingOnly } from "~/server/db/reading-only";
import { isDatabaseUnavailable, isDuplicate } from "~/server/db/away";
import { log } from "./log";
import { noteRefusal } from "./note-refusal";
import { ApiProblem, databaseDown, databaseReadsOnly, notFound, refused } from "./problem";
import { readJson } from "./read-body";
import { validator } from "./validator";

/** What a service is asked: who, the values of the path by their names, query and body as the contract says. */
export type Asked<E extends Endpoint> = PathOf<E> & {
  readonly staff: E["roles"] extends "anybody" ? StaffContext | undefined : StaffContext;
  readonly query: QueryOf<E>;
  readonly body: BodyOf<E>;
  readonly context: APIContext;
};

/** The same, asked by a patient's own phone. */
export type AskedByPhone<E extends Endpoint> = Omit<Asked<E>, "staff"> & { readonly phone: PhoneContext };

/**
 * The route of an endpoint of the contract: who may ask, what is asked, in what form, and the answer's code are all read
 * from its definition; the service does the rest.
 */
export const serve = <E extends Endpoint>(
  wire: E,
  service: (asked: Asked<E>) => AnswerOf<E> | Promise<AnswerOf<E>>,
): APIRoute => route(wire, (context) => ({ staff: allowed(wire, context) }), service);

/** The route of an endpoint that answers a patient's own phone and nobody else. */
export const serveToPhone = <E extends Endpoint>(
  wire: E,
  service: (asked: AskedByPhone<E>) => AnswerOf<E> | Promise<AnswerOf<E>>,
): APIRoute => route(wire, (context) => ({ phone: phoneThatAsks(wire, context) }), service);

function route<E extends Endpoint, A>(
  wire: E,
  who: (context: APIContext) => object,
  service: (asked: A) => AnswerOf<E> | Promise<AnswerOf<E>>,
): APIRoute {
  const { path } = addressOf(wire.name);
  const fits = wire.body && validator(wire.body);
  const answer = async (context: APIContext) => {
    const asking = who(context);
    const params = pathValues(context);
    if (path.includes("{id}") && !isUuid(params["id"] ?? "")) throw notFound();
    const asked = {
      ...params,
      ...asking,
      query: wire.query ? checkedQuery(wire.query, context.url) : {},
      body: fits ? sound(fits(await readJson(context.request, wire.limit ?? usualLimit))) : undefined,
      context,
    };
    const said = await service(asked as A);
    return wire.media === undefined ? json(said, wire) : document(said as string, wire.media, wire.file);
  };
  return answered(async (context) => {
    try {
      return await answer(context);
    } catch (problem) {
      await noteRefusal(wire, context, problem);
      throw problem;
    }
  });
}

/** A route outside the contract, such as one for the machine's own checks. */
export function answered(handler: (context: APIContext) => Promise<Response>): APIRoute {
  return async (context) => {
    try {
      return await handler(context);
    } catch (error) {
      return failure(error, context);
    }
  };
}

/** An answer as JSON; as a file to download where the endpoint says so. */
export function json(
  answer: unknown,
  { status = 200, file }: Pick<Endpoint, "status" | "file"> = {},
): Response {
  const text = file === undefined ? JSON.stringify(answer) : `${JSON.stringify(answer, null, 2)}\n`;
  return new Response(text, {
    status,
    headers: {
      "content-type": "application/json",
      "cache-control": "no-store",
      ...(file === undefined ? {} : { "content-disposition": `attachment; filename="${file}"` }),
    },
  });
}

/** An answer that is no JSON: a document for another program. */
function document(body: BodyInit, media: string, file: string | undefined): Response {
  return new Response(body, {
    headers: {
      "content-type": media,
      "cache-control": "no-store",
      ...(file === undefined ? {} : { "content-disposition": `attachment; filename="${file}"` }),
    },
  });
}

/**
 * Who of the clinic is asking, if they may. Somebody of the clinic and a patient's phone are two kinds: what is for the one is
 * closed to the other, whatever else comes with the request.
 *
 * @throws ApiProblem 401 or 403
 */
function allowed({ roles, beforeFactor }: Endpoint, { locals }: APIContext): StaffContext | undefined {
  if (roles === "anybody") return locals.staff;
  const staff = signedIn(roles === "phone" ? {} : locals, beforeFactor);
  if (roles === "signed-in" || roles.includes(staff.role)) return staff;
  const title = roles.includes("clinician")
    ? "Your role may not sign this. Ask a clinician."
    : "Only the clinic's lead may set this.";
  throw new ApiProblem(403, "role", title);
}

/**
 * Who of the clinic is asking.
 *
 * @param beforeFactor whether it is open also without the second factor that their clinic demands
 * @throws ApiProblem 401, or 403 where that factor is to be set up first
 */
export function signedIn({ staff }: App.Locals, beforeFactor = false): StaffContext {
  if (!staff) throw new ApiProblem(401, "not-signed-in", "Sign in first.");
  if (beforeFactor || !lacksFactor(staff)) return staff;
  const title = "Your clinic asks for a second factor. Set it up in your account first. Nothing was saved.";
  throw new ApiProblem(403, "second-factor-needed", title);
}

/** The phone that asks. @throws ApiProblem 401 where none does, or what it asks is not for phones */
function phoneThatAsks({ roles }: Endpoint, { locals: { phone } }: APIContext): PhoneContext {
  if (!phone || roles !== "phone") throw new ApiProblem(401, "phone-not-open", t("phone.notOpen"));
  return phone;
}

/** Ids are compared as the database gives them: in small letters. */
function pathValues({ params }: APIContext): Record<string, string> {
  return Object.fromEntries(
    Object.entries(params).map(([key, value = ""]) => [key, key === "id" ? value.toLowerCase() : value]),
  );
}

function checkedQuery(schema: TSchema, url: URL): unknown {
  const names = [...url.searchParams.keys()];
  const twice = names.filter((name, n) => names.indexOf(name) < n);
  // Which of the two was meant nobody knows.
  if (twice.length > 0) throw refused(twice.map((name) => ({ path: `/${name}`, problem: "is said twice" })));
  return sound(check(schema, Object.fromEntries(url.searchParams)));
}

function sound<T>(checked: Checked<T>): T {
  if (!checked.ok) throw refused(checked.problems);
  return checked.value;
}

/**
 * Says in the process's log that input was refused, and where it came from: how often somebody tries what no page of ours sends. What
 * it was is not said, as it may be a patient's.
 */
function noteInput({ status, type, problems }: ApiProblem, { routePattern: route }: APIContext): void {
  if (status !== 400 && status !== 413 && status !== 422) return;
  log.info({ route, type, problems: problems.length, from: addressAsking() }, "input refused");
}

/** Turns any failure into an answer; only what nobody foresaw is logged with its stack. */
function failure(error: unknown, context: APIContext): Response {
  if (error instanceof ApiProblem) {
    noteInput(error, context);
    return error.response();
  }
  if (isReadingOnly(error)) return databaseReadsOnly().response();
  if (isDatabaseUnavailable(error)) return databaseDown().response();
  if (isDuplicate(error))
    return new ApiProblem(
      409,
      "id-in-use",
      "An id in this belongs to another record. Nothing was saved.",
    ).response();
  log.error(
    { route: context.routePattern, error: String((error as Error)?.stack ?? error) },
    "unforeseen failure",
  );
  return new ApiProblem(500, "unforeseen", "Something went wrong on our side. Nothing was saved.").response();
}
