import type { RowDataPacket } from "mysql2";
import { stopSignalCodes, type StopSignalCode } from "~/core/intake/stop-signal";
import type { StaffContext } from "~/server/staff-context";
import { fromDatabaseTime, toDatabaseTime, type Queryable } from "~/server/db/connection";

/** A red flag that was ticked in an intake, whether it still is or not. */
export interface FlagTick {
  readonly code: StopSignalCode;
  readonly at: string;
  readonly by: string;
}

const known = (code: unknown): code is StopSignalCode => stopSignalCodes.some((one) => one === code);

/** Notes which red flags are ticked in an intake, each once, with who ticked it first. */
export async function noteFlags(
  db: Queryable,
  staff: StaffContext,
  intakeId: string,
  codes: readonly unknown[],
  at: string,
): Promise<void> {
  const rows = [...new Set(codes.filter(known))].map((code) => [
    staff.clinicId,
    intakeId,
    code,
    staff.staffId,
    toDatabaseTime(at),
  ]);
  if (rows.length === 0) return;
  await db.query("INSERT IGNORE INTO red_flag_ticks (clinic_id, intake_id, code, ticked_by, at) VALUES ?", [
    rows,
  ]);
}

/** The red flags that were ever ticked in an intake, oldest first. */
export async function flagsEverTicked(
  db: Queryable,
  clinicId: string,
  intakeId: string,
): Promise<FlagTick[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT t.code, t.at, s.name
       FROM red_flag_ticks t
       JOIN staff s ON s.clinic_id = t.clinic_id AND s.id = t.ticked_by
      WHERE t.clinic_id = ? AND t.intake_id = ?
      ORDER BY t.at, t.code`,
    [clinicId, intakeId],
  );
  return rows.map((row) => ({
    code: row["code"] as StopSignalCode,
    at: fromDatabaseTime(row["at"]),
    by: String(row["name"]),
  }));
}
