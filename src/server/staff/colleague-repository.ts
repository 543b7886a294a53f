import type { RowDataPacket } from "mysql2";
import { usualPreferences, type Preferences, type PreferencesBody } from "~/contract/account";
import type { Colleague, StaffView } from "~/contract/staff";
import type { Role } from "~/contract/roles";
import { fromDatabaseJson, fromDatabaseTime, toDatabaseTime, type Queryable } from "~/server/db/connection";

const orTime = (raw: unknown) => (raw === null ? null : fromDatabaseTime(String(raw)));

/** Everybody who works or worked in a clinic, by name. @param lock true where the rows are about to be changed */
export async function findColleagues(db: Queryable, clinicId: string, lock = false): Promise<Colleague[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT s.id, s.name, s.email, s.role, s.active, s.password_hash <> '' AS has_password,
            EXISTS (SELECT 1 FROM second_factors f
                     WHERE f.clinic_id = s.clinic_id AND f.staff_id = s.id AND f.confirmed_at IS NOT NULL) AS factor,
            (SELECT MAX(t.last_seen_at) FROM staff_sessions t
              WHERE t.clinic_id = s.clinic_id AND t.staff_id = s.id) AS seen
       FROM staff s WHERE s.clinic_id = ? ORDER BY s.active DESC, s.name, s.id${lock ? " FOR UPDATE" : ""}`,
    [clinicId],
  );
  return rows.map((row) => ({
    id: String(row["id"]),
    name: String(row["name"]),
    email: String(row["email"]),
    role: row["role"] as Role,
    active: Number(row["active"]) === 1,
    hasPassword: Number(row["has_password"]) === 1,
    secondFactor: Number(row["factor"]) === 1,
    lastSeenAt: orTime(row["seen"]),
  }));
}

const told = 50;

/** What was changed about colleagues last, newest first. */
export async function findStaffChanges(db: Queryable, clinicId: string): Promise<StaffView["changes"]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT c.at, c.kind, c.before_it, c.after_it, c.reason, w.name AS who, b.name AS by_name
       FROM staff_changes c
       JOIN staff w ON w.clinic_id = c.clinic_id AND w.id = c.staff_id
       JOIN staff b ON b.clinic_id = c.clinic_id AND b.id = c.made_by
      WHERE c.clinic_id = ? ORDER BY c.at DESC, c.id DESC LIMIT ${told}`,
    [clinicId],
  );
  return rows.map((row) => ({
    at: fromDatabaseTime(String(row["at"])),
    by: String(row["by_name"]),
    who: String(row["who"]),
    kind: String(row["kind"]),
    before: row["before_it"] as string | null,
    after: row["after_it"] as string | null,
    reason: row["reason"] as string | null,
  }));
}

/** Whether an address is anybody's, in whatever clinic: with it somebody signs in. */
export async function isAddressTaken(db: Queryable, email: string): Promise<boolean> {
  const [rows] = await db.execute<RowDataPacket[]>("SELECT 1 FROM staff WHERE email = ?", [email]);
  return rows.length > 0;
}

export async function insertColleague(
  db: Queryable,
  clinicId: string,
  { id, email, name, role }: Pick<Colleague, "id" | "email" | "name" | "role">,
  at: string,
): Promise<void> {
  await db.execute(
    `INSERT INTO staff (clinic_id, id, email, name, role, password_hash, created_at) VALUES (?, ?, ?, ?, ?, '', ?)`,
    [clinicId, id, email, name, role, toDatabaseTime(at)],
  );
}

/** What of a colleague can be set. */
const settable = {
  name: "name",
  email: "email",
  role: "role",
  active: "active",
  password: "password_hash",
} as const;

export async function setOfColleague(
  db: Queryable,
  clinicId: string,
  id: string,
  what: keyof typeof settable,
  value: string | boolean,
): Promise<void> {
  await db.execute(`UPDATE staff SET ${settable[what]} = ? WHERE clinic_id = ? AND id = ?`, [
    value,
    clinicId,
    id,
  ]);
}

/**
 * Merges what changes into somebody's preferences (RFC 7396: null takes one away), in one statement: two changes at once both stand.
 *
 * @returns all of them as they stand
 */
export async function mergePreferences(
  db: Queryable,
  clinicId: string,
  id: string,
  more: PreferencesBody,
): Promise<Preferences> {
  await db.execute(
    "UPDATE staff SET preferences = JSON_MERGE_PATCH(COALESCE(preferences, ?), ?) WHERE clinic_id = ? AND id = ?",
    [JSON.stringify(usualPreferences), JSON.stringify(more), clinicId, id],
  );
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT preferences FROM staff WHERE clinic_id = ? AND id = ?",
    [clinicId, id],
  );
  return fromDatabaseJson<Preferences>(rows[0]?.["preferences"]);
}

export interface StaffChangeRow {
  readonly id: string;
  readonly staffId: string;
  readonly kind: string;
  readonly before: string | null;
  readonly after: string | null;
  readonly reason: string | null;
}

export async function insertStaffChange(
  db: Queryable,
  by: { readonly clinicId: string; readonly staffId: string },
  { id, staffId, kind, before, after, reason }: StaffChangeRow,
  at: string,
): Promise<void> {
  await db.execute(
    `INSERT INTO staff_changes (clinic_id, id, staff_id, kind, before_it, after_it, reason, made_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [by.clinicId, id, staffId, kind, before, after, reason, by.staffId, toDatabaseTime(at)],
  );
}
