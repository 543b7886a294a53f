import type { ResultSetHeader, RowDataPacket } from "mysql2";
import type { PhonesView } from "~/contract/phones";
import { habitsOf } from "~/server/clinic/habits";
import { callsOf, callsOfClinic } from "~/server/clinic/calls-repository";
import {
  fromDatabaseTime,
  fromDatabaseTimeOrNull,
  toDatabaseTime,
  type Queryable,
} from "~/server/db/connection";
import type { PhoneContext } from "~/server/phone-context";

/** A link as it is kept: hashes of what opens it. */
export interface NewLink {
  readonly id: string;
  readonly episodeId: string;
  readonly tokenHash: Buffer;
  readonly codeHash: Buffer;
  readonly expiresAt: string;
}

export interface FoundLink {
  readonly id: string;
  readonly clinicId: string;
  readonly episodeId: string;
  readonly givenName: string;
  readonly birthYear: number;
}

export async function insertPhoneLink(
  db: Queryable,
  by: { readonly clinicId: string; readonly staffId: string },
  link: NewLink,
  at: string,
): Promise<void> {
  await db.execute(
    `INSERT INTO phone_links (clinic_id, id, episode_id, token_hash, code_hash, made_by, made_at, expires_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      by.clinicId,
      link.id,
      link.episodeId,
      link.tokenHash,
      link.codeHash,
      by.staffId,
      toDatabaseTime(at),
      toDatabaseTime(link.expiresAt),
    ],
  );
}

/** Whose plan a link opens while it counts: neither ended nor too old. Found by its token, or by its code. */
export async function findPhoneLink(
  db: Queryable,
  by: "token_hash" | "code_hash",
  hash: Buffer,
  at: string,
): Promise<FoundLink | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT l.id, l.clinic_id, l.episode_id, p.given_name, p.born_on
       FROM phone_links l
       JOIN episodes e ON e.clinic_id = l.clinic_id AND e.id = l.episode_id
       JOIN people p ON p.clinic_id = e.clinic_id AND p.id = e.person_id
      WHERE l.${by} = ? AND l.ended_at IS NULL AND l.expires_at > ?`,
    [hash, toDatabaseTime(at)],
  );
  const row = rows[0];
  if (!row) return null;
  return {
    id: String(row["id"]),
    clinicId: String(row["clinic_id"]),
    episodeId: String(row["episode_id"]),
    givenName: String(row["given_name"]),
    birthYear: Number(String(row["born_on"]).slice(0, 4)),
  };
}

export async function insertPhone(
  db: Queryable,
  link: Pick<FoundLink, "id" | "clinicId" | "episodeId">,
  phone: { readonly id: string; readonly tokenHash: Buffer },
  at: string,
): Promise<void> {
  const time = toDatabaseTime(at);
  await db.execute(
    `INSERT INTO phones (clinic_id, id, episode_id, link_id, token_hash, opened_at, seen_at)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [link.clinicId, phone.id, link.episodeId, link.id, phone.tokenHash, time, time],
  );
}

/** The phone that holds a token and was not ended, with when it was seen last. */
export async function findPhone(
  db: Queryable,
  tokenHash: Buffer,
): Promise<{ phone: PhoneContext; seenAt: string } | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT p.clinic_id, p.id, p.episode_id, p.seen_at, c.name, c.zone, c.habits, ${callsOfClinic}
       FROM phones p JOIN clinics c ON c.id = p.clinic_id
      WHERE p.token_hash = ? AND p.ended_at IS NULL`,
    [tokenHash],
  );
  const row = rows[0];
  if (!row) return null;
  return {
    seenAt: fromDatabaseTime(String(row["seen_at"])),
    phone: {
      clinicId: String(row["clinic_id"]),
      staffId: null,
      phoneId: String(row["id"]),
      episodeId: String(row["episode_id"]),
      clinicName: String(row["name"]),
      zone: String(row["zone"]),
      calls: callsOf(row),
      habits: habitsOf(row["habits"]),
    },
  };
}

export async function touchPhone(db: Queryable, clinicId: string, id: string, at: string): Promise<void> {
  await db.execute("UPDATE phones SET seen_at = ? WHERE clinic_id = ? AND id = ?", [
    toDatabaseTime(at),
    clinicId,
    id,
  ]);
}

/** Ends one phone of an episode, or all of them. @returns how many */
export async function endPhonesOf(
  db: Queryable,
  { clinicId, episodeId, phoneId }: { clinicId: string; episodeId: string; phoneId: string | null },
  by: "patient" | "clinic",
  at: string,
): Promise<number> {
  const [result] = await db.execute<ResultSetHeader>(
    `UPDATE phones SET ended_at = ?, ended_by = ?
      WHERE clinic_id = ? AND episode_id = ? AND (? IS NULL OR id = ?) AND ended_at IS NULL`,
    [toDatabaseTime(at), by, clinicId, episodeId, phoneId, phoneId],
  );
  return result.affectedRows;
}

/** Ends every link of an episode that could still be opened. */
export async function endLinksOf(
  db: Queryable,
  clinicId: string,
  episodeId: string,
  at: string,
): Promise<void> {
  await db.execute(
    "UPDATE phone_links SET ended_at = ? WHERE clinic_id = ? AND episode_id = ? AND ended_at IS NULL",
    [toDatabaseTime(at), clinicId, episodeId],
  );
}

/** Until when a plan can be opened by a link that was made; null where there is none. */
export async function openLinkUntil(
  db: Queryable,
  clinicId: string,
  episodeId: string,
  at: string,
): Promise<string | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT MAX(expires_at) AS until FROM phone_links
      WHERE clinic_id = ? AND episode_id = ? AND ended_at IS NULL AND expires_at > ?`,
    [clinicId, episodeId, toDatabaseTime(at)],
  );
  return fromDatabaseTimeOrNull(rows[0]?.["until"]);
}

/** Every phone that ever opened an episode's plan, the latest first. */
export async function phonesOf(
  db: Queryable,
  clinicId: string,
  episodeId: string,
): Promise<PhonesView["phones"]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT id, opened_at, seen_at, ended_at, ended_by FROM phones
      WHERE clinic_id = ? AND episode_id = ? ORDER BY opened_at DESC, id DESC LIMIT 50`,
    [clinicId, episodeId],
  );
  return rows.map((row) => ({
    id: String(row["id"]),
    openedAt: fromDatabaseTime(String(row["opened_at"])),
    seenAt: fromDatabaseTime(String(row["seen_at"])),
    endedAt: fromDatabaseTimeOrNull(row["ended_at"]),
    endedBy: row["ended_by"] as "patient" | "clinic" | null,
  }));
}

/** What phones told of an episode since then, the latest to arrive first: the work with its worst pain, mornings, signs. */
export async function toldByPhones(
  db: Queryable,
  clinicId: string,
  episodeId: string,
  since: string,
): Promise<PhonesView["told"]> {
  const ofEpisode = "f.clinic_id = ? AND f.episode_id = ? AND f.phone_id IS NOT NULL AND f.received_at >= ?";
  const values = [clinicId, episodeId, toDatabaseTime(since)];
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT 'session' AS kind, f.occurred_at, f.received_at,
            (SELECT MAX(s.pain_during) FROM session_sets s
              WHERE s.clinic_id = f.clinic_id AND s.session_id = f.id) AS pain
       FROM sessions f WHERE ${ofEpisode}
     UNION ALL
     SELECT 'report', f.occurred_at, f.received_at, f.pain FROM next_day_reports f WHERE ${ofEpisode}
     UNION ALL
     SELECT 'signal', f.occurred_at, f.received_at, NULL FROM stop_signals f WHERE ${ofEpisode}
     ORDER BY received_at DESC, occurred_at DESC`,
    [...values, ...values, ...values],
  );
  return rows.map((row) => ({
    kind: row["kind"] as PhonesView["told"][number]["kind"],
    occurredAt: fromDatabaseTime(String(row["occurred_at"])),
    receivedAt: fromDatabaseTime(String(row["received_at"])),
    pain: row["pain"] === null ? null : Number(row["pain"]),
  }));
}
