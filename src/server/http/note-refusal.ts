import type { APIContext } from "astro";
import type { Endpoint } from "~/contract/endpoint";
import { isUuid } from "~/core/schema/formats";
import { writeAudit } from "~/server/audit/audit-repository";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { log } from "./log";
import { ApiProblem } from "./problem";

/** What a refusal is called in the clinic's log; null for one that is nobody's business there. */
function actionOf({ status, type }: ApiProblem, hasId: boolean): string | null {
  if (status === 403 && type === "role") return "refused-role";
  // A record that this clinic does not have: mistyped, or tried for.
  if (status === 404 && hasId) return "refused-unknown";
  return null;
}

/**
 * Notes in the clinic's log that somebody signed in was refused, and what they asked for. A refusal stands whether or not it could
 * be noted.
 */
export async function noteRefusal(
  { name }: Endpoint,
  { locals: { staff }, params }: APIContext,
  problem: unknown,
): Promise<void> {
  if (!staff || !(problem instanceof ApiProblem)) return;
  const asked = params["id"]?.toLowerCase() ?? "";
  const id = isUuid(asked) ? asked : null;
  const action = actionOf(problem, params["id"] !== undefined);
  if (action === null) return;
  try {
    await writeAudit(pool(), staff, { action, kind: name, id, outcome: "refused" }, now());
  } catch (error) {
    log.error({ error: String(error) }, "a refusal could not be noted");
  }
}
