import { clinicWays } from "~/server/clinic/habits";
import type { AccountView, PreferencesBody } from "~/contract/account";
import { writeAudit } from "~/server/audit/audit-repository";
import { countRecoveryCodes, findSecondFactor } from "~/server/auth/second-factor-repository";
import { deleteNamedSession, deleteSessionsOf, findSessionsOf } from "~/server/auth/staff-repository";
import { hashToken } from "~/server/auth/token";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { mergePreferences } from "~/server/staff/colleague-repository";
import type { StaffContext } from "~/server/staff-context";

/** One's own account. @param token of the session that asks */
export async function readAccount(staff: StaffContext, token: string): Promise<AccountView> {
  const { staffId, name, email, role, preferences, habits } = staff;
  const own = hashToken(token);
  return {
    id: staffId,
    name,
    email,
    role,
    preferences,
    clinicWays: clinicWays(habits),
    factorDemanded: habits.demandsFactor,
    secondFactor: (await findSecondFactor(pool(), staff))?.confirmed ?? false,
    recoveryCodesLeft: await countRecoveryCodes(pool(), staff),
    sessions: (await findSessionsOf(pool(), staff)).map(({ tokenHash, createdAt, lastSeenAt }) => ({
      name: tokenHash.toString("hex").slice(0, 16),
      createdAt,
      lastSeenAt,
      current: tokenHash.equals(own),
    })),
  };
}

/** Ends one of one's own sessions by its name, or all but the one that asks. */
export async function endSessions(staff: StaffContext, token: string, session: string): Promise<AccountView> {
  const at = now();
  if (session === "others") await deleteSessionsOf(pool(), staff, hashToken(token));
  else await deleteNamedSession(pool(), staff, session);
  await writeAudit(pool(), staff, { action: "end-sessions", kind: "staff", id: staff.staffId }, at);
  return readAccount(staff, token);
}

export async function setPreferences(
  staff: StaffContext,
  token: string,
  more: PreferencesBody,
): Promise<AccountView> {
  const preferences = await mergePreferences(pool(), staff.clinicId, staff.staffId, more);
  return readAccount({ ...staff, preferences }, token);
}
