import type { AccountView } from "~/contract/account";
import { writeAudit } from "~/server/audit/audit-repository";
import { hashPassword, passwordFits } from "~/server/auth/password";
import { passwordProblem } from "~/server/auth/password-rules";
import { countTry } from "~/server/auth/sign-in-limit";
import { deleteSessionsOf, findLogin } from "~/server/auth/staff-repository";
import { hashToken } from "~/server/auth/token";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { inTransaction } from "~/server/db/transaction";
import { refused } from "~/server/http/problem";
import { setOfColleague } from "~/server/staff/colleague-repository";
import type { StaffContext } from "~/server/staff-context";
import { readAccount } from "./account";

/**
 * Asks for somebody's own password once more, before something that an open browser alone must not do; counted as
 * a sign-in is, and apart from those of strangers.
 *
 * @throws ApiProblem 422 at the field, 429 after too many tries
 */
export async function askPassword(
  staff: StaffContext,
  password: string,
  clientAddress: string,
  path: string,
): Promise<void> {
  const counted = await countTry(clientAddress);
  await counted.forAccount(`signed in ${staff.staffId}`);
  const login = await findLogin(pool(), staff.email);
  if (!(await passwordFits(login?.passwordHash ?? null, password)))
    throw refused([{ path, problem: "is not your password" }]);
  await counted.succeeded();
}

/** Changes one's own password; every other session of the same person ends. */
export async function changePassword(
  staff: StaffContext,
  token: string,
  { current, password }: { readonly current: string; readonly password: string },
  clientAddress: string,
): Promise<AccountView> {
  await askPassword(staff, current, clientAddress, "/current");
  const problem =
    current === password
      ? "is the one you have"
      : passwordProblem(password, [staff.name, staff.email, staff.clinicName]);
  if (problem) throw refused([{ path: "/password", problem }]);
  const hashed = await hashPassword(password);
  await inTransaction(async (db) => {
    await setOfColleague(db, staff.clinicId, staff.staffId, "password", hashed);
    await deleteSessionsOf(db, staff, hashToken(token));
    await writeAudit(db, staff, { action: "change-password", kind: "staff", id: staff.staffId }, now());
  });
  return readAccount(staff, token);
}
