import type { ResultSetHeader, RowDataPacket } from "mysql2";
import { toDatabaseTime, type Queryable } from "~/server/db/connection";

export interface LinkHolder {
  readonly clinicId: string;
  readonly staffId: string;
  readonly name: string;
  readonly email: string;
  readonly clinicName: string;
}

/** Keeps a link; those made for the same person before it end. */
export async function insertLink(
  db: Queryable,
  by: { readonly clinicId: string; readonly staffId: string },
  link: { readonly hash: Buffer; readonly staffId: string; readonly expiresAt: string },
  at: string,
): Promise<void> {
  await endLinks(db, by.clinicId, link.staffId, at);
  await db.execute(
    `INSERT INTO password_links (clinic_id, token_hash, staff_id, made_by, made_at, expires_at)
     VALUES (?, ?, ?, ?, ?, ?)`,
    [by.clinicId, link.hash, link.staffId, by.staffId, toDatabaseTime(at), toDatabaseTime(link.expiresAt)],
  );
}

export async function endLinks(db: Queryable, clinicId: string, staffId: string, at: string): Promise<void> {
  await db.execute(
    "UPDATE password_links SET used_at = ? WHERE clinic_id = ? AND staff_id = ? AND used_at IS NULL",
    [toDatabaseTime(at), clinicId, staffId],
  );
}

/** Whose link this is, while it counts: of somebody who is active, neither used nor too old. */
export async function findLink(db: Queryable, hash: Buffer, at: string): Promise<LinkHolder | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT s.clinic_id, s.id, s.name, s.email, c.name AS clinic_name
       FROM password_links l
       JOIN staff s ON s.clinic_id = l.clinic_id AND s.id = l.staff_id
       JOIN clinics c ON c.id = l.clinic_id
      WHERE l.token_hash = ? AND l.used_at IS NULL AND l.expires_at > ? AND s.active = TRUE`,
    [hash, toDatabaseTime(at)],
  );
  const row = rows[0];
  if (!row) return null;
  return {
    clinicId: String(row["clinic_id"]),
    staffId: String(row["id"]),
    name: String(row["name"]),
    email: String(row["email"]),
    clinicName: String(row["clinic_name"]),
  };
}

/** Uses a link up. @returns false when it was used meanwhile */
export async function takeLink(db: Queryable, hash: Buffer, at: string): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>(
    "UPDATE password_links SET used_at = ? WHERE token_hash = ? AND used_at IS NULL",
    [toDatabaseTime(at), hash],
  );
  return result.affectedRows === 1;
}
