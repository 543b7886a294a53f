import { pool } from "~/server/db/connection";
import { ApiProblem } from "~/server/http/problem";
import { stepOfCode } from "./one-time-code";
import { findSecondFactor, takeRecoveryCode, takeStep } from "./second-factor-repository";
import { hashToken } from "./token";

/**
 * Asks for the second factor of somebody who has one.
 *
 * @param code of the authenticator app, or a recovery code, as typed
 * @throws ApiProblem 401 `code-needed` without one, `code-wrong` for one that does not count or was used before
 */
export async function checkSecondFactor(
  who: { readonly clinicId: string; readonly staffId: string },
  code: string | undefined,
  at: string,
): Promise<void> {
  const factor = await findSecondFactor(pool(), who);
  if (!factor?.confirmed) return;
  if (code === undefined)
    throw new ApiProblem(401, "code-needed", "Enter the code that your authenticator app shows.");
  const typed = code.replace(/\s/g, "").toLowerCase();
  const step = stepOfCode(factor.secret, typed, at, factor.lastStep);
  const fits =
    step === null
      ? await takeRecoveryCode(pool(), who, hashToken(typed), at)
      : await takeStep(pool(), who, step);
  if (!fits)
    throw new ApiProblem(401, "code-wrong", "This code is wrong, or was used before. Wait for the next one.");
}
