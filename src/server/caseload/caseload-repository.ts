import type { RowDataPacket } from "mysql2";
import type { CaseloadRow } from "~/contract/clinic";
import type { CaseloadState } from "~/core/caseload/attention";
import { fromDatabaseJson, toDatabaseTime, type Queryable } from "~/server/db/connection";

/** The kept state of an episode, and until when it holds. */
export interface KeptState {
  readonly episodeId: string;
  readonly episodeVersion: number;
  readonly state: CaseloadState;
  readonly validUntil: string;
}

type Identity = Omit<CaseloadRow, keyof CaseloadState | "expected">;

/** An active episode with what is kept of it; `state` is null when what is kept no longer holds. */
export interface CaseloadEntry {
  readonly identity: Identity;
  readonly state: CaseloadState | null;
}

/** Whether a kept row `c` of an episode `e` no longer holds: another version, time has passed it, another engine. */
const isStale = `(c.episode_id IS NULL OR c.episode_version <> e.version OR c.valid_until <= ? OR c.engine_version <> ?)`;

/** The active episodes of a clinic with what is kept of each. One query, however many there are. */
export async function readEntries(
  db: Queryable,
  clinicId: string,
  now: string,
  engineVersion: string,
): Promise<CaseloadEntry[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT e.id, e.diagnosis_text, e.involved_side, p.given_name, p.family_name, p.activity,
            YEAR(p.born_on) AS birth_year, e.held_by, h.name AS held_by_name,
            IF(${isStale}, NULL, c.body) AS body
       FROM episodes e
       JOIN people p ON p.clinic_id = e.clinic_id AND p.id = e.person_id
       LEFT JOIN staff h ON h.clinic_id = e.clinic_id AND h.id = e.held_by
       LEFT JOIN caseload_rows c ON c.clinic_id = e.clinic_id AND c.episode_id = e.id
      WHERE e.clinic_id = ? AND e.ended_at IS NULL AND e.paused_at IS NULL`,
    [toDatabaseTime(now), engineVersion, clinicId],
  );
  return rows.map((row) => ({
    identity: {
      episodeId: String(row["id"]),
      person: { givenName: row["given_name"], familyName: row["family_name"], activity: row["activity"] },
      birthYear: Number(row["birth_year"]),
      heldBy: row["held_by"] === null ? null : { id: row["held_by"], name: row["held_by_name"] },
      diagnosis: row["diagnosis_text"],
      involvedSide: row["involved_side"],
    },
    state: row["body"] === null ? null : fromDatabaseJson<CaseloadState>(row["body"]),
  }));
}

/** Some active episodes, of any clinic, whose kept state no longer holds. For the sweeper. */
export async function staleEpisodes(
  db: Queryable,
  now: string,
  engineVersion: string,
  quiet: { readonly writtenBefore: string; readonly computedBefore: string },
  atMost: number,
): Promise<{ clinicId: string; zone: string; episodeId: string }[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT e.clinic_id, e.id, k.zone
       FROM episodes e
       JOIN clinics k ON k.id = e.clinic_id
       LEFT JOIN caseload_rows c ON c.clinic_id = e.clinic_id AND c.episode_id = e.id
      WHERE e.ended_at IS NULL AND e.paused_at IS NULL AND ${isStale}
        AND (e.written_at <= ? OR c.computed_at IS NULL OR c.computed_at <= ?)
      ORDER BY c.valid_until LIMIT ?`,
    [
      toDatabaseTime(now),
      engineVersion,
      toDatabaseTime(quiet.writtenBefore),
      toDatabaseTime(quiet.computedBefore),
      atMost,
    ],
  );
  return rows.map((row) => ({
    clinicId: String(row["clinic_id"]),
    zone: String(row["zone"]),
    episodeId: String(row["id"]),
  }));
}

/**
 * Keeps states; one computed from an older version of its episode never takes the place of a newer one. Rows go in by id,
 * so that two who keep the same ones wait for each other instead of ending each other.
 */
export async function keepStates(
  db: Queryable,
  clinicId: string,
  kept: readonly KeptState[],
  computedAt: string,
  engineVersion: string,
): Promise<void> {
  if (kept.length === 0) return;
  const newer = "VALUES(episode_version) >= episode_version";
  await db.query(
    `INSERT INTO caseload_rows
       (clinic_id, episode_id, episode_version, engine_version, computed_at, valid_until, body)
     VALUES ?
     ON DUPLICATE KEY UPDATE
       body = IF(${newer}, VALUES(body), body),
       engine_version = IF(${newer}, VALUES(engine_version), engine_version),
       computed_at = IF(${newer}, VALUES(computed_at), computed_at),
       valid_until = IF(${newer}, VALUES(valid_until), valid_until),
       episode_version = GREATEST(VALUES(episode_version), episode_version)`,
    [
      [...kept]
        .sort((a, b) => (a.episodeId < b.episodeId ? -1 : 1))
        .map(({ episodeId, episodeVersion, state, validUntil }) => [
          clinicId,
          episodeId,
          episodeVersion,
          engineVersion,
          toDatabaseTime(computedAt),
          toDatabaseTime(validUntil),
          JSON.stringify(state),
        ]),
    ],
  );
}
