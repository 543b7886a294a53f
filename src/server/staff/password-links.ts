import type { PasswordLink } from "~/contract/staff";
import { writeAudit } from "~/server/audit/audit-repository";
import { hashPassword } from "~/server/auth/password";
import { passwordProblem } from "~/server/auth/password-rules";
import { countTry } from "~/server/auth/sign-in-limit";
import { deleteSessionsOf } from "~/server/auth/staff-repository";
import { hashToken, newToken } from "~/server/auth/token";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { inTransaction } from "~/server/db/transaction";
import { ApiProblem, notFound, refused } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import { findColleagues, setOfColleague } from "./colleague-repository";
import { findLink, insertLink, takeLink } from "./link-repository";

const lifeHours = 24;

/** Makes a link for a colleague; the old password holds until it is used. Told once, to the lead, who hands it over. */
export function makePasswordLink(lead: StaffContext, staffId: string): Promise<PasswordLink> {
  const at = now();
  const expiresAt = new Date(Date.parse(at) + lifeHours * 3_600_000).toISOString();
  return inTransaction(async (db) => {
    const everybody = await findColleagues(db, lead.clinicId);
    const who = everybody.find(({ id, active }) => id === staffId.toLowerCase() && active);
    if (!who) throw notFound();
    const token = newToken();
    await insertLink(db, lead, { hash: hashToken(token), staffId: who.id, expiresAt }, at);
    await writeAudit(db, lead, { action: "make-password-link", kind: "staff", id: who.id }, at);
    return { token, expiresAt };
  });
}

/**
 * Sets a password by a link, which is used up by it; every session of that person ends.
 *
 * @throws ApiProblem 401 for a link that does not count, 422 for a password that is guessed too easily, 429
 */
export async function setPasswordByLink(
  { token, password }: { readonly token: string; readonly password: string },
  clientAddress: string,
): Promise<{ email: string }> {
  const counted = await countTry(clientAddress);
  const at = now();
  const hash = hashToken(token);
  const who = await findLink(pool(), hash, at);
  if (!who) throw deadLink();
  const problem = passwordProblem(password, [who.name, who.email, who.clinicName]);
  if (problem) throw refused([{ path: "/password", problem }]);
  const hashed = await hashPassword(password);
  await inTransaction(async (db) => {
    if (!(await takeLink(db, hash, at))) throw deadLink();
    await setOfColleague(db, who.clinicId, who.staffId, "password", hashed);
    await deleteSessionsOf(db, who);
    await writeAudit(db, who, { action: "set-password-by-link", kind: "staff", id: who.staffId }, at);
  });
  await counted.succeeded();
  return { email: who.email };
}

const deadLink = () =>
  new ApiProblem(401, "link-dead", "This link was used, or is too old. Ask the clinic's lead for a new one.");
