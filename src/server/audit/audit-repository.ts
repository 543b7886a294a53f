import { v7 as uuid } from "uuid";
import { toDatabaseTime, type Queryable } from "~/server/db/connection";

/** Notes who read or changed what: ids only. */
export async function writeAudit(
  db: Queryable,
  who: { clinicId: string; staffId: string },
  what: { action: string; kind: string; id: string | null },
  at: string,
): Promise<void> {
  await db.execute(
    `INSERT INTO audit_log (clinic_id, id, at, staff_id, action, object_kind, object_id)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [who.clinicId, uuid(), toDatabaseTime(at), who.staffId, what.action, what.kind, what.id],
  );
}
