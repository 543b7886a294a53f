import type { CallsBody, CallsView, CallsWritten } from "~/core/interchange/clinic-contract";
import { writeAudit } from "~/server/audit/audit-repository";
import { settingRoles, type StaffContext } from "~/server/auth/staff-context";
import { now } from "~/server/clock";
import { inTransaction, isDuplicate } from "~/server/db/transaction";
import { findCalls, insertCalls } from "./calls-repository";

/** Whom the clinic calls, and whether this person may set it. */
export function readCalls(staff: StaffContext): CallsView {
  return { calls: staff.calls, maySet: (settingRoles as readonly string[]).includes(staff.role) };
}

/** Sets whom to call. The setting before stays on record; a repeated id answers with what it wrote the first time. */
export async function setCalls(staff: StaffContext, body: CallsBody): Promise<CallsWritten> {
  const at = now();
  return inTransaction(async (db) => {
    const twin = await findCalls(db, staff.clinicId, body.id);
    if (twin) return { id: body.id, repeated: true, calls: twin };
    try {
      await insertCalls(db, staff, body, at);
    } catch (error) {
      // A twin was written between the look and the insert; it says the same.
      if (isDuplicate(error)) return { id: body.id, repeated: true, calls: body.calls };
      throw error;
    }
    await writeAudit(db, staff, { action: "set-calls", kind: "call_settings", id: body.id }, at);
    return { id: body.id, repeated: false, calls: body.calls };
  });
}
