import type { ResultSetHeader, RowDataPacket } from "mysql2";
import { habitsOf } from "~/server/clinic/habits";
import { usualPreferences, type Preferences } from "~/contract/account";
import { callsOf, callsOfClinic } from "~/server/clinic/calls-repository";
import type { Role } from "~/contract/roles";
import { fromDatabaseJson, fromDatabaseTime, toDatabaseTime, type Queryable } from "~/server/db/connection";
import type { StaffContext } from "~/server/staff-context";

export interface StaffLogin {
  readonly clinicId: string;
  readonly staffId: string;
  /** Null until a first password was set. */
  readonly passwordHash: string | null;
  /** The address as it is kept; other spellings that the database finds equal lead to it too. */
  readonly email: string;
}

/** The account behind an address, whatever its clinic; null when there is none that is active. */
export async function findLogin(db: Queryable, email: string): Promise<StaffLogin | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT clinic_id, id, email, password_hash FROM staff WHERE email = ? AND active = TRUE",
    [email],
  );
  const row = rows[0];
  if (!row) return null;
  return {
    clinicId: row["clinic_id"],
    staffId: row["id"],
    passwordHash: row["password_hash"] || null,
    email: row["email"],
  };
}

export async function insertSession(
  db: Queryable,
  session: { tokenHash: Buffer; clinicId: string; staffId: string; at: string },
): Promise<void> {
  const at = toDatabaseTime(session.at);
  await db.execute(
    `INSERT INTO staff_sessions (token_hash, clinic_id, staff_id, created_at, last_seen_at)
     VALUES (?, ?, ?, ?, ?)`,
    [session.tokenHash, session.clinicId, session.staffId, at, at],
  );
}

/** The staff member behind a token, if the session is neither idle too long nor too old. */
export async function findSession(
  db: Queryable,
  tokenHash: Buffer,
  limits: { seenSince: string; createdSince: string },
): Promise<{ staff: StaffContext; lastSeenAt: string } | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT s.clinic_id, s.id, s.name, s.email, s.role, s.preferences, c.name AS clinic_name, c.zone, c.habits, t.last_seen_at,
            f.confirmed_at IS NOT NULL AS has_factor, ${callsOfClinic}
       FROM staff_sessions t
       JOIN staff s ON s.clinic_id = t.clinic_id AND s.id = t.staff_id
       JOIN clinics c ON c.id = t.clinic_id
       LEFT JOIN second_factors f ON f.clinic_id = t.clinic_id AND f.staff_id = t.staff_id
      WHERE t.token_hash = ? AND t.last_seen_at >= ? AND t.created_at >= ? AND s.active = TRUE`,
    [tokenHash, toDatabaseTime(limits.seenSince), toDatabaseTime(limits.createdSince)],
  );
  const row = rows[0];
  if (!row) return null;
  return {
    lastSeenAt: row["last_seen_at"],
    staff: {
      clinicId: row["clinic_id"],
      staffId: row["id"],
      name: row["name"],
      email: row["email"],
      preferences:
        row["preferences"] === null ? usualPreferences : fromDatabaseJson<Preferences>(row["preferences"]),
      role: row["role"] as Role,
      hasFactor: row["has_factor"] === 1,
      clinicName: row["clinic_name"],
      zone: row["zone"],
      calls: callsOf(row),
      habits: habitsOf(row["habits"]),
    },
  };
}

export async function touchSession(db: Queryable, tokenHash: Buffer, at: string): Promise<void> {
  await db.execute("UPDATE staff_sessions SET last_seen_at = ? WHERE token_hash = ?", [
    toDatabaseTime(at),
    tokenHash,
  ]);
}

export async function deleteSession(db: Queryable, tokenHash: Buffer): Promise<void> {
  await db.execute("DELETE FROM staff_sessions WHERE token_hash = ?", [tokenHash]);
}

/** Removes sessions that can no longer be used. @returns how many there were */
export async function deleteSessionsBefore(db: Queryable, createdBefore: string): Promise<number> {
  const [result] = await db.execute<ResultSetHeader>("DELETE FROM staff_sessions WHERE created_at < ?", [
    toDatabaseTime(createdBefore),
  ]);
  return result.affectedRows;
}

/** Whose sessions they are. */
interface Holder {
  readonly clinicId: string;
  readonly staffId: string;
}

export interface SessionRow {
  readonly tokenHash: Buffer;
  readonly createdAt: string;
  readonly lastSeenAt: string;
}

/** The sessions of one person, the one used last first. */
export async function findSessionsOf(db: Queryable, who: Holder): Promise<SessionRow[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT token_hash, created_at, last_seen_at FROM staff_sessions
      WHERE clinic_id = ? AND staff_id = ? ORDER BY last_seen_at DESC`,
    [who.clinicId, who.staffId],
  );
  return rows.map((row) => ({
    tokenHash: row["token_hash"] as Buffer,
    createdAt: fromDatabaseTime(String(row["created_at"])),
    lastSeenAt: fromDatabaseTime(String(row["last_seen_at"])),
  }));
}

/** Ends the sessions of one person, all or all but one. */
export async function deleteSessionsOf(
  db: Queryable,
  who: Holder,
  but: Buffer = Buffer.alloc(0),
): Promise<void> {
  await db.execute("DELETE FROM staff_sessions WHERE clinic_id = ? AND staff_id = ? AND token_hash <> ?", [
    who.clinicId,
    who.staffId,
    but,
  ]);
}

/** Ends one session of one person by the name it is shown under: the beginning of its hash. */
export async function deleteNamedSession(db: Queryable, who: Holder, name: string): Promise<void> {
  await db.execute(
    "DELETE FROM staff_sessions WHERE clinic_id = ? AND staff_id = ? AND LEFT(LOWER(HEX(token_hash)), 16) = ?",
    [who.clinicId, who.staffId, name.toLowerCase()],
  );
}
