import type { RowDataPacket } from "mysql2";
import {
  fromDatabaseTime,
  fromDatabaseTimeOrNull,
  toDatabaseTime,
  type Queryable,
} from "~/server/db/connection";

/** An address that a calendar reads, as it is kept. */
export interface NewFeed {
  readonly id: string;
  readonly episodeId: string;
  readonly tokenHash: Buffer;
  readonly time: string | null;
}

export async function insertFeed(
  db: Queryable,
  by: { readonly clinicId: string; readonly staffId: string },
  { id, episodeId, tokenHash, time }: NewFeed,
  at: string,
): Promise<void> {
  await db.execute(
    `INSERT INTO calendar_feeds (clinic_id, id, episode_id, token_hash, at_time, made_by, made_at)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [by.clinicId, id, episodeId, tokenHash, time, by.staffId, toDatabaseTime(at)],
  );
}

/** Ends every address of an episode that a calendar could still read. */
export async function endFeedsOf(
  db: Queryable,
  clinicId: string,
  episodeId: string,
  at: string,
): Promise<void> {
  await db.execute(
    "UPDATE calendar_feeds SET ended_at = ? WHERE clinic_id = ? AND episode_id = ? AND ended_at IS NULL",
    [toDatabaseTime(at), clinicId, episodeId],
  );
}

/** What an address opens while it has not been ended, and when a calendar read it last. */
export async function findFeed(db: Queryable, tokenHash: Buffer) {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT f.clinic_id, f.id, f.episode_id, f.at_time, f.read_at, c.zone
       FROM calendar_feeds f JOIN clinics c ON c.id = f.clinic_id
      WHERE f.token_hash = ? AND f.ended_at IS NULL`,
    [tokenHash],
  );
  const row = rows[0];
  if (!row) return null;
  return {
    clinicId: String(row["clinic_id"]),
    id: String(row["id"]),
    episodeId: String(row["episode_id"]),
    zone: String(row["zone"]),
    time: timeOf(row["at_time"]),
    readAt: fromDatabaseTimeOrNull(row["read_at"]),
  };
}

export async function touchFeed(db: Queryable, clinicId: string, id: string, at: string): Promise<void> {
  await db.execute("UPDATE calendar_feeds SET read_at = ? WHERE clinic_id = ? AND id = ?", [
    toDatabaseTime(at),
    clinicId,
    id,
  ]);
}

/** The address of an episode that counts: since when, at which time of the day, and when a calendar read it last. */
export async function feedOf(db: Queryable, clinicId: string, episodeId: string) {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT made_at, at_time, read_at FROM calendar_feeds
      WHERE clinic_id = ? AND episode_id = ? AND ended_at IS NULL ORDER BY made_at DESC LIMIT 1`,
    [clinicId, episodeId],
  );
  const row = rows[0];
  if (!row) return null;
  return {
    madeAt: fromDatabaseTime(String(row["made_at"])),
    time: timeOf(row["at_time"]),
    readAt: fromDatabaseTimeOrNull(row["read_at"]),
  };
}

const timeOf = (column: unknown): string | null => (column === null ? null : String(column));
