import type { CallsBody, CallsView, CallsWritten } from "~/contract/clinic";
import { writeAudit } from "~/server/audit/audit-repository";
import { settingRoles } from "~/contract/roles";
import type { StaffContext } from "~/server/staff-context";
import { now } from "~/server/clock";
import { isDuplicate } from "~/server/db/away";
import { inTransaction } from "~/server/db/transaction";
import { isKnownTwin, type Sent } from "~/server/receipt/known-twin";
import { keepReceipt } from "~/server/receipt/receipt-repository";
import { nextInstant } from "~/core/schedule/next-instant";
import { findCalls, insertCalls, lockCalls } from "./calls-repository";

/** Whom the clinic calls, and whether this person may set it. */
export function readCalls(staff: StaffContext): CallsView {
  return { calls: staff.calls, maySet: settingRoles.includes(staff.role) };
}

/** Sets whom to call. The setting before stays on record; a repeated id answers with what it wrote the first time. */
export async function setCalls(staff: StaffContext, body: CallsBody): Promise<CallsWritten> {
  try {
    return await writeCalls(staff, body);
  } catch (error) {
    // A twin was written between the look and the insert; what it said is compared.
    if (isDuplicate(error)) return writeCalls(staff, body);
    throw error;
  }
}

function writeCalls(staff: StaffContext, body: CallsBody): Promise<CallsWritten> {
  const sent: Sent = { id: body.id, kind: "calls", episodeId: null, body };
  return inTransaction(async (db) => {
    await isKnownTwin(db, staff.clinicId, sent);
    const twin = await findCalls(db, staff.clinicId, body.id);
    if (twin) return { id: body.id, repeated: true, calls: twin };
    const last = await lockCalls(db, staff.clinicId);
    const at = last === null ? now() : nextInstant(now(), last);
    await insertCalls(db, staff, body, at);
    await keepReceipt(db, staff, sent, at);
    await writeAudit(db, staff, { action: "set-calls", kind: "call_settings", id: body.id }, at);
    return { id: body.id, repeated: false, calls: body.calls };
  });
}
