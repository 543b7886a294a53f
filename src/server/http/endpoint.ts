import type { Static, TSchema } from "@sinclair/typebox";
import type { APIContext, APIRoute } from "astro";
import { check } from "~/core/schema/check";
import type { StaffContext } from "~/server/auth/staff-context";
import { isDatabaseUnavailable } from "~/server/db/transaction";
import { log } from "./log";
import { ApiProblem, databaseDown, refused } from "./problem";
import { bodyLimitBytes, readJson } from "./read-body";

type Answer = Response | object;

function json(answer: Answer, status = 200): Response {
  if (answer instanceof Response) return answer;
  return new Response(JSON.stringify(answer), {
    status,
    headers: { "content-type": "application/json", "cache-control": "no-store" },
  });
}

/** Turns any failure into an answer; only what nobody foresaw is logged with its stack. */
function failure(error: unknown, context: APIContext): Response {
  if (error instanceof ApiProblem) return error.response();
  if (isDatabaseUnavailable(error)) return databaseDown().response();
  log.error(
    { route: context.routePattern, error: String((error as Error)?.stack ?? error) },
    "unforeseen failure",
  );
  return new ApiProblem(500, "unforeseen", "Something went wrong on our side. Nothing was saved.").response();
}

function signedIn(context: APIContext): StaffContext {
  const staff = context.locals.staff;
  if (!staff) throw new ApiProblem(401, "not-signed-in", "Sign in first.");
  return staff;
}

/** An endpoint that reads, for anybody signed in. */
export function readEndpoint(
  handler: (staff: StaffContext, context: APIContext) => Promise<Answer>,
): APIRoute {
  return async (context) => {
    try {
      return json(await handler(signedIn(context), context));
    } catch (error) {
      return failure(error, context);
    }
  };
}

/** Largest body of a file of exercises or of a case. */
export const fileBytes = 4_194_304;

/** An endpoint that writes: signed in, of an allowed role, with a body that fits its schema. */
export function writeEndpoint<S extends TSchema>(
  schema: S,
  allowed: readonly StaffContext["role"][],
  handler: (staff: StaffContext, body: Static<S>, context: APIContext) => Promise<Answer>,
  limitBytes = bodyLimitBytes,
): APIRoute {
  return async (context) => {
    try {
      const staff = signedIn(context);
      const body = await validBody(schema, context.request, limitBytes);
      if (!allowed.includes(staff.role)) {
        const title = allowed.includes("clinician")
          ? "Your role may not sign this. Ask a clinician."
          : "Only the clinic's lead may set this.";
        throw new ApiProblem(403, "role", title);
      }
      return json(await handler(staff, body, context), 201);
    } catch (error) {
      return failure(error, context);
    }
  };
}

/** An endpoint for somebody who is not signed in yet, or whose signing in does not matter. */
export function openEndpoint(handler: (context: APIContext) => Promise<Answer>): APIRoute {
  return async (context) => {
    try {
      return json(await handler(context));
    } catch (error) {
      return failure(error, context);
    }
  };
}

/** Reads and checks a body. @throws ApiProblem 400, 413, 415 or 422 */
export async function validBody<S extends TSchema>(
  schema: S,
  request: Request,
  limitBytes = bodyLimitBytes,
): Promise<Static<S>> {
  const checked = check(schema, await readJson(request, limitBytes));
  if (!checked.ok) throw refused(checked.problems);
  return checked.value;
}
