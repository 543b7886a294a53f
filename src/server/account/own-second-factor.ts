import QRCode from "qrcode";
import type { AccountView, SecondFactorOffer } from "~/contract/account";
import { writeAudit } from "~/server/audit/audit-repository";
import { addressFor, newSecret, stepOfCode } from "~/server/auth/one-time-code";
import {
  confirmSecret,
  dropFactor,
  findSecondFactor,
  insertRecoveryCodes,
  keepSecret,
  takeStep,
} from "~/server/auth/second-factor-repository";
import { hashToken, newRecoveryCode } from "~/server/auth/token";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { inTransaction } from "~/server/db/transaction";
import { ApiProblem, refused } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import { readAccount } from "./account";
import { askPassword } from "./own-password";

const recoveryCodes = 8;

/** A new secret for an authenticator app, with a picture for its camera. It does not count yet. */
export async function offerSecondFactor(
  staff: StaffContext,
  password: string,
  clientAddress: string,
): Promise<SecondFactorOffer> {
  await askPassword(staff, password, clientAddress, "/password");
  if ((await findSecondFactor(pool(), staff))?.confirmed)
    throw new ApiProblem(
      409,
      "second-factor-on",
      "Your second factor is on. Turn it off first to set up another app.",
    );
  const secret = newSecret();
  await keepSecret(pool(), staff, secret);
  const address = addressFor(secret, staff.email);
  return { secret, address, picture: await QRCode.toString(address, { type: "svg", margin: 2 }) };
}

/** Turns the second factor on once a code of the app was entered. The recovery codes are told this once. */
export async function confirmSecondFactor(
  staff: StaffContext,
  token: string,
  code: string,
): Promise<{ recoveryCodes: string[]; account: AccountView }> {
  const at = now();
  const factor = await findSecondFactor(pool(), staff);
  if (!factor || factor.confirmed)
    throw new ApiProblem(409, "nothing-to-confirm", "There is no new app to confirm. Begin again.");
  const step = stepOfCode(factor.secret, code.replace(/\s/g, ""), at, factor.lastStep);
  if (step === null)
    throw refused([
      { path: "/code", problem: "is not what the app shows now; is the telephone's clock right?" },
    ]);
  const codes = Array.from({ length: recoveryCodes }, newRecoveryCode);
  await inTransaction(async (db) => {
    await takeStep(db, staff, step);
    await confirmSecret(db, staff, at);
    await insertRecoveryCodes(db, staff, codes.map(hashToken));
    await writeAudit(db, staff, { action: "second-factor-on", kind: "staff", id: staff.staffId }, at);
  });
  return { recoveryCodes: codes, account: await readAccount(staff, token) };
}

/** Turns one's own second factor off. */
export async function dropSecondFactor(
  staff: StaffContext,
  token: string,
  password: string,
  clientAddress: string,
): Promise<AccountView> {
  await askPassword(staff, password, clientAddress, "/password");
  await inTransaction(async (db) => {
    await dropFactor(db, staff);
    await writeAudit(db, staff, { action: "second-factor-off", kind: "staff", id: staff.staffId }, now());
  });
  return readAccount(staff, token);
}
