import type { ClinicBody, ClinicView } from "~/contract/trust";
import { isZone } from "~/core/schedule/local-time";
import { writeAudit } from "~/server/audit/audit-repository";
import { now } from "~/server/clock";
import { inTransaction } from "~/server/db/transaction";
import { refused } from "~/server/http/problem";
import { isKnownTwin } from "~/server/receipt/known-twin";
import { keepReceipt } from "~/server/receipt/receipt-repository";
import type { StaffContext } from "~/server/staff-context";
import { changeClinic } from "./clinic-repository";

/** What holds for the whole clinic, with the zones there are. */
export const readClinic = ({ clinicName, zone, habits, hasFactor }: StaffContext): ClinicView => ({
  name: clinicName,
  zone,
  habits,
  mayDemandFactor: hasFactor,
  zones: [...new Set([zone, "UTC", ...Intl.supportedValuesOf("timeZone")])].sort(),
});

/** Sets the clinic's name, zone and habits. */
export function setClinic(
  staff: StaffContext,
  body: ClinicBody,
): Promise<{ id: string; repeated: boolean; clinic: ClinicView }> {
  const at = now();
  const after = { name: body.name.trim(), zone: body.zone, habits: body.habits ?? staff.habits };
  if (!isZone(after.zone)) throw refused([{ path: "/zone", problem: "is not a time zone" }]);
  // Whoever demands it would be the first to be shut out.
  if (after.habits.demandsFactor && !staff.hasFactor)
    throw refused([
      { path: "/habits/demandsFactor", problem: "needs your own first: set it up in your account" },
    ]);
  const sent = { id: body.id.toLowerCase(), kind: "clinic", episodeId: null, body };
  return inTransaction(async (db) => {
    const repeated = await isKnownTwin(db, staff.clinicId, sent);
    if (!repeated) {
      const before = { name: staff.clinicName, zone: staff.zone, habits: staff.habits };
      await changeClinic(db, staff, { id: sent.id, before, after }, at);
      await keepReceipt(db, staff, sent, at);
      await writeAudit(db, staff, { action: "set-clinic", kind: "clinic_changes", id: sent.id }, at);
    }
    return {
      id: sent.id,
      repeated,
      clinic: readClinic({ ...staff, clinicName: after.name, zone: after.zone, habits: after.habits }),
    };
  });
}
