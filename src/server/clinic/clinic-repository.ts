import type { Habits } from "~/contract/habits";
import { overtakeClinic } from "~/server/case/overtaken";
import { toDatabaseTime, type Queryable } from "~/server/db/connection";

interface Clinic {
  readonly name: string;
  readonly zone: string;
  readonly habits: Habits;
}

/** Sets a clinic's name, zone and habits and keeps what they were. With another zone days begin at other hours: all is judged anew. */
export async function changeClinic(
  db: Queryable,
  by: { readonly clinicId: string; readonly staffId: string },
  change: { readonly id: string; readonly before: Clinic; readonly after: Clinic },
  at: string,
): Promise<void> {
  const { id, before, after } = change;
  await db.execute("UPDATE clinics SET name = ?, zone = ?, habits = ? WHERE id = ?", [
    after.name,
    after.zone,
    JSON.stringify(after.habits),
    by.clinicId,
  ]);
  await db.execute(
    "INSERT INTO clinic_changes (clinic_id, id, before_it, after_it, made_by, at) VALUES (?, ?, ?, ?, ?, ?)",
    [by.clinicId, id, JSON.stringify(before), JSON.stringify(after), by.staffId, toDatabaseTime(at)],
  );
  if (before.zone !== after.zone) await overtakeClinic(db, by.clinicId);
}
