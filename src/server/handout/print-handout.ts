import type { SheetBody } from "~/contract/handout";
import { hashToken } from "~/server/auth/token";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { refused } from "~/server/http/problem";
import { plainCode } from "~/server/phone/open-phone";
import { findPhoneLink, openLinkUntil } from "~/server/phone/phone-repository";
import type { StaffContext } from "~/server/staff-context";
import { handoutPdf, type SheetCode } from "./handout-pdf";
import { readHandout } from "./read-handout";

/** The handout of a patient as a PDF. Noted in the audit log as a read of the record. */
export async function printHandout(
  staff: StaffContext,
  episodeId: string,
  body: SheetBody,
  site: string,
): Promise<BodyInit> {
  const view = await readHandout(staff, episodeId);
  return new Uint8Array(await handoutPdf(view, body, await codeOf(staff, episodeId, body, site)));
}

/** The code that somebody made for this patient, while it still opens the plan. @throws ApiProblem 422 where it does not */
async function codeOf(
  { clinicId }: StaffContext,
  episodeId: string,
  { phone }: SheetBody,
  site: string,
): Promise<SheetCode | null> {
  if (!phone) return null;
  const at = now();
  const [byToken, byCode, expiresAt] = await Promise.all([
    findPhoneLink(pool(), "token_hash", hashToken(phone.token), at),
    findPhoneLink(pool(), "code_hash", hashToken(plainCode(phone.code)), at),
    openLinkUntil(pool(), clinicId, episodeId, at),
  ]);
  const isTheirs =
    byToken?.clinicId === clinicId && byToken.episodeId === episodeId && byToken.id === byCode?.id;
  if (!isTheirs || expiresAt === null)
    throw refused([{ path: "/phone", problem: "has ended: make a new code" }]);
  const address = `${site}/my`;
  return { opens: `${address}#${phone.token}`, address, code: phone.code, expiresAt };
}
