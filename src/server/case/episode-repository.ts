import type { RowDataPacket } from "mysql2";
import { fromDatabaseTime, put, toDatabaseTime, type Queryable } from "~/server/db/connection";
import { writtenOver } from "./overtaken";

/** Which group of a norm's table somebody is compared with. */
export type NormGroup = "male" | "female";

/** The changing head of an episode, with the person it belongs to. */
export interface EpisodeHead {
  readonly id: string;
  readonly personId: string;
  readonly version: number;
  readonly diagnosis: string;
  readonly involvedSide: "left" | "right" | "both";
  readonly onsetOn: string;
  readonly surgeryOn: string | null;
  readonly graft: string | null;
  readonly targetOn: string | null;
  readonly pathwayHash: string;
  readonly startedAt: string;
  /** The instant of the last write into it. */
  readonly writtenAt: string;
  /** When it was discharged; null while it goes on. */
  readonly endedAt: string | null;
  /** Since when it rests. */
  readonly pausedAt: string | null;
  /** Who looks after it; null where nobody was named. */
  readonly heldBy: { readonly id: string; readonly name: string } | null;
  readonly person: {
    givenName: string;
    familyName: string;
    bornOn: string;
    activity: string;
    normGroup: NormGroup | null;
    contact: string | null;
  };
}

const headColumns = `
  e.id, e.person_id, e.version, e.diagnosis_text, e.involved_side, e.onset_on, e.surgery_on, e.graft, e.target_on, e.pathway_hash, e.started_at, e.written_at, e.ended_at,
  e.paused_at, e.held_by, (SELECT h.name FROM staff h WHERE h.clinic_id = e.clinic_id AND h.id = e.held_by) AS held_by_name,
  p.given_name, p.family_name, p.born_on, p.activity, p.norm_group, p.contact`;

/** Some episodes of a clinic, by id. */
export async function findEpisodes(
  db: Queryable,
  clinicId: string,
  ids: readonly string[],
): Promise<EpisodeHead[]> {
  if (ids.length === 0) return [];
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT ${headColumns}
       FROM episodes e
       JOIN people p ON p.clinic_id = e.clinic_id AND p.id = e.person_id
      WHERE e.clinic_id = ? AND e.id IN (?)`,
    [clinicId, ids],
  );
  return rows.map(toHead);
}

/** One episode of the clinic, or null; another clinic's id finds nothing. */
export async function findEpisode(db: Queryable, clinicId: string, id: string): Promise<EpisodeHead | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT ${headColumns}
       FROM episodes e
       JOIN people p ON p.clinic_id = e.clinic_id AND p.id = e.person_id
      WHERE e.clinic_id = ? AND e.id = ?`,
    [clinicId, id],
  );
  return rows[0] ? toHead(rows[0]) : null;
}

/**
 * The ids of all episodes of the person whose episode this is, in order. To be asked outside the transaction that locks them:
 * its first plain read would fix what it sees of a head before the lock is had.
 */
export async function episodesOfPerson(db: Queryable, clinicId: string, id: string): Promise<string[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT o.id
       FROM episodes e
       JOIN episodes o ON o.clinic_id = e.clinic_id AND o.person_id = e.person_id
      WHERE e.clinic_id = ? AND e.id = ?
      ORDER BY o.id`,
    [clinicId, id],
  );
  return rows.map((row) => String(row["id"]));
}

/** What a lock shows of a head. */
export interface LockedHead {
  readonly id: string;
  readonly version: number;
  readonly writtenAt: string;
}

/**
 * Locks some heads one after the other, so that two who write into episodes of one person wait for each other.
 *
 * @param ids in order: whoever locks several takes them in the same one
 */
export async function lockHeads(
  db: Queryable,
  clinicId: string,
  ids: readonly string[],
): Promise<LockedHead[]> {
  const locked: LockedHead[] = [];
  for (const id of ids) {
    const [rows] = await db.execute<RowDataPacket[]>(
      "SELECT version, written_at FROM episodes FORCE INDEX (PRIMARY) WHERE clinic_id = ? AND id = ? FOR UPDATE",
      [clinicId, id],
    );
    for (const row of rows)
      locked.push({ id, version: Number(row["version"]), writtenAt: fromDatabaseTime(row["written_at"]) });
  }
  return locked;
}

/** The episodes that were taken for all of a person's are not. */
export class OtherEpisodes extends Error {}

/**
 * The person's other episodes, of which nothing that is kept may outlive what is written into this one.
 *
 * @param remembered the person's episodes, in order, where they were not just looked up
 * @throws OtherEpisodes when those are not the ones that the person has
 */
export async function siblingsOf(
  db: Queryable,
  clinicId: string,
  personId: string,
  own: string,
  remembered: readonly string[] | null,
): Promise<string[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT id FROM episodes WHERE clinic_id = ? AND person_id = ? ORDER BY id",
    [clinicId, personId],
  );
  const ids = rows.map((row) => String(row["id"]));
  if (remembered && ids.join() !== remembered.join()) throw new OtherEpisodes();
  return ids.filter((id) => id !== own);
}

/**
 * Raises the version after a write to the episode, says when that was, and that what the caseload keeps of it holds no more. Every
 * other index of the table begins with the clinic as well; on a small or young table the optimizer may take one of them and lock the heads of the whole clinic.
 */
export async function bumpVersion(db: Queryable, clinicId: string, id: string, at: string): Promise<void> {
  await put(
    db,
    `UPDATE episodes e FORCE INDEX (PRIMARY)
       LEFT JOIN caseload_rows c FORCE INDEX (PRIMARY) ON c.clinic_id = e.clinic_id AND c.episode_id = e.id
        SET e.version = e.version + 1, e.written_at = ?, c.valid_until = ?
      WHERE e.clinic_id = ? AND e.id = ?`,
    [toDatabaseTime(at), writtenOver, clinicId, id],
  );
}

/** Writes how an episode stands into its head: since when it is ended or rests. */
export async function setStanding(
  db: Queryable,
  clinicId: string,
  id: string,
  { endedAt, pausedAt }: { endedAt: string | null; pausedAt: string | null },
): Promise<void> {
  const at = (instant: string | null) => (instant === null ? null : toDatabaseTime(instant));
  await db.execute(
    "UPDATE episodes FORCE INDEX (PRIMARY) SET ended_at = ?, paused_at = ? WHERE clinic_id = ? AND id = ?",
    [at(endedAt), at(pausedAt), clinicId, id],
  );
}

/** Writes who looks after an episode into its head. */
export async function setHolder(db: Queryable, clinicId: string, id: string, staffId: string): Promise<void> {
  await db.execute("UPDATE episodes FORCE INDEX (PRIMARY) SET held_by = ? WHERE clinic_id = ? AND id = ?", [
    staffId,
    clinicId,
    id,
  ]);
}

/** Gives episodes to another person of the clinic. */
export async function moveEpisodes(
  db: Queryable,
  clinicId: string,
  ids: readonly string[],
  personId: string,
): Promise<void> {
  await db.query(
    "UPDATE episodes FORCE INDEX (PRIMARY) SET person_id = ? WHERE clinic_id = ? AND id IN (?)",
    [personId, clinicId, ids],
  );
}

export interface NewEpisode {
  readonly id: string;
  readonly personId: string;
  readonly region: string;
  readonly diagnosis: string;
  readonly involvedSide: "left" | "right" | "both";
  readonly onsetOn: string;
  readonly surgeryOn?: string | undefined;
  readonly graft?: string | undefined;
  readonly targetOn?: string | undefined;
  readonly pathwayHash: string;
  readonly startedAt: string;
  /** Who looks after it from the first day: who took the person in. */
  readonly heldBy: string;
}

export async function insertEpisode(db: Queryable, clinicId: string, episode: NewEpisode): Promise<void> {
  await db.execute(
    `INSERT INTO episodes
       (clinic_id, id, person_id, region, diagnosis_text, involved_side, onset_on, surgery_on, graft, target_on,
        pathway_hash, started_at, written_at, held_by)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      clinicId,
      episode.id,
      episode.personId,
      episode.region,
      episode.diagnosis,
      episode.involvedSide,
      episode.onsetOn,
      episode.surgeryOn ?? null,
      episode.graft ?? null,
      episode.targetOn ?? null,
      episode.pathwayHash,
      toDatabaseTime(episode.startedAt),
      toDatabaseTime(episode.startedAt),
      episode.heldBy,
    ],
  );
  // From now on it stands in the caseload, where its state is worked out before it is shown.
  await db.execute(
    `INSERT INTO caseload_rows
       (clinic_id, episode_id, episode_version, engine_version, computed_at, valid_until, body, onset_on, held_by)
     VALUES (?, ?, 0, '', ?, ?, '{}', ?, ?)`,
    [clinicId, episode.id, toDatabaseTime(episode.startedAt), writtenOver, episode.onsetOn, episode.heldBy],
  );
}

function toHead(row: RowDataPacket): EpisodeHead {
  return {
    id: row["id"],
    personId: row["person_id"],
    version: Number(row["version"]),
    diagnosis: row["diagnosis_text"],
    involvedSide: row["involved_side"],
    onsetOn: row["onset_on"],
    surgeryOn: row["surgery_on"],
    graft: row["graft"],
    targetOn: row["target_on"],
    pathwayHash: row["pathway_hash"],
    startedAt: fromDatabaseTime(row["started_at"]),
    writtenAt: fromDatabaseTime(row["written_at"]),
    endedAt: row["ended_at"] === null ? null : fromDatabaseTime(row["ended_at"]),
    pausedAt: row["paused_at"] === null ? null : fromDatabaseTime(row["paused_at"]),
    heldBy: row["held_by"] === null ? null : { id: row["held_by"], name: row["held_by_name"] },
    person: {
      givenName: row["given_name"],
      familyName: row["family_name"],
      bornOn: row["born_on"],
      activity: row["activity"],
      normGroup: row["norm_group"],
      contact: row["contact"],
    },
  };
}
