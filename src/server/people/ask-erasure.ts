import type { ErasureBody } from "~/contract/trust";
import { writeAudit } from "~/server/audit/audit-repository";
import { findEpisode } from "~/server/case/episode-repository";
import { now } from "~/server/clock";
import { inTransaction } from "~/server/db/transaction";
import { notFound, refused } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import { findErasureRequest, insertErasureRequest } from "./erasure-repository";

/**
 * Asks for everything that is kept of a person to be erased. The application's own account cannot: the erase command does, with
 * the account that owns the database. No receipt is kept of it, since that would hold the name.
 *
 * @throws ApiProblem 422 when the family name typed is not this person's
 */
export function askErasure(
  staff: StaffContext,
  episodeId: string,
  { id, familyName, reason }: ErasureBody,
): Promise<{ id: string; repeated: boolean; askedAt: string }> {
  const at = now();
  return inTransaction(async (db) => {
    const head = await findEpisode(db, staff.clinicId, episodeId);
    if (!head) throw notFound();
    const before = await findErasureRequest(db, staff.clinicId, head.personId);
    if (before) return { id: before.id, repeated: true, askedAt: before.at };
    if (familyName.trim().toLowerCase() !== head.person.familyName.toLowerCase())
      throw refused([{ path: "/familyName", problem: "is not the family name of this person" }]);
    await insertErasureRequest(db, staff, { id, personId: head.personId, reason }, at);
    await writeAudit(db, staff, { action: "ask-erasure", kind: "erasure_requests", id, episodeId }, at);
    return { id, repeated: false, askedAt: at };
  });
}
