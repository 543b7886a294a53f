import type { Connection, ResultSetHeader, RowDataPacket } from "mysql2/promise";
import { toDatabaseTime } from "~/server/db/connection";
import { facts } from "~/server/facts/all";
import type { FactDefinition } from "~/server/facts/fact";

/** Somebody whose erasure was asked for and not done yet. */
export interface Pending {
  readonly clinicId: string;
  readonly requestId: string;
  readonly personId: string;
}

/** Tables that tell of an episode and stay: ids without anything they lead to. */
const staying = new Set(["audit_log"]);

export async function pendingErasures(owner: Connection): Promise<Pending[]> {
  const [rows] = await owner.query<RowDataPacket[]>(
    `SELECT r.clinic_id, r.id, r.person_id FROM erasure_requests r
       LEFT JOIN erasures e ON e.clinic_id = r.clinic_id AND e.request_id = r.id
      WHERE e.request_id IS NULL ORDER BY r.at, r.id`,
  );
  return rows.map((row) => ({
    clinicId: String(row["clinic_id"]),
    requestId: String(row["id"]),
    personId: String(row["person_id"]),
  }));
}

/**
 * Erases everything that is kept of a person: every row of every table that has their episodes, what hangs on such rows,
 * what was received under their ids, then the person. What is left says that it was done, and how many rows went. In one
 * transaction, with the account that owns the database: the application's may not delete facts.
 *
 * @returns rows gone by table
 */
export async function erasePerson(
  owner: Connection,
  { clinicId, requestId, personId }: Pending,
  at: string,
): Promise<Record<string, number>> {
  const gone: Record<string, number> = {};
  const remove = async (table: string, where: string, values: readonly unknown[]) => {
    const [{ affectedRows }] = await owner.query<ResultSetHeader>(
      `DELETE FROM ${table} WHERE clinic_id = ? AND ${where}`,
      [clinicId, ...values],
    );
    if (affectedRows > 0) gone[table] = (gone[table] ?? 0) + affectedRows;
  };
  const ofEpisode = (await tablesWithEpisode(owner)).filter((table) => !staying.has(table));
  await owner.beginTransaction();
  try {
    // Rows refer to one another across tables; all of them go, or none.
    await owner.query("SET SESSION FOREIGN_KEY_CHECKS = 0");
    const [rows] = await owner.query<RowDataPacket[]>(
      "SELECT id FROM episodes WHERE clinic_id = ? AND person_id = ? FOR UPDATE",
      [clinicId, personId],
    );
    const ids = rows.map((row) => String(row["id"]));
    const twins = await mergedInto(owner, clinicId, personId);
    if (ids.length > 0) {
      for (const { table, through } of Object.values(facts) as FactDefinition[])
        if (through)
          await remove(
            table,
            `${through.key} IN (SELECT id FROM ${through.table} WHERE clinic_id = ? AND episode_id IN (?))`,
            [clinicId, ids],
          );
      for (const table of ofEpisode) await remove(table, "episode_id IN (?)", [ids]);
      await remove("receipts", "id IN (?)", [ids]);
      await remove("intake_drafts", "id IN (?)", [ids]);
      await remove("episodes", "id IN (?)", [ids]);
    }
    await remove("person_words", "person_id IN (?)", [[personId, ...twins]]);
    await remove("people", "id IN (?)", [[personId, ...twins]]);
    await owner.query(
      "INSERT INTO erasures (clinic_id, request_id, person_id, erased_at, rows_gone, episodes) VALUES (?, ?, ?, ?, ?, ?)",
      [clinicId, requestId, personId, toDatabaseTime(at), JSON.stringify(gone), JSON.stringify(ids)],
    );
    await owner.commit();
  } catch (error) {
    await owner.rollback();
    throw error;
  } finally {
    await owner.query("SET SESSION FOREIGN_KEY_CHECKS = 1");
  }
  return gone;
}

/** Entries of the same person whose episodes came over, and that have none of their own. */
async function mergedInto(owner: Connection, clinicId: string, personId: string): Promise<string[]> {
  const [rows] = await owner.query<RowDataPacket[]>(
    `SELECT DISTINCT m.other_person_id AS id FROM person_merges m
      WHERE m.clinic_id = ? AND m.person_id = ? AND m.takes_back IS NULL
        AND NOT EXISTS (SELECT 1 FROM episodes e WHERE e.clinic_id = m.clinic_id AND e.person_id = m.other_person_id)`,
    [clinicId, personId],
  );
  return rows.map((row) => String(row["id"]));
}

async function tablesWithEpisode(owner: Connection): Promise<string[]> {
  const [rows] = await owner.query<RowDataPacket[]>(
    `SELECT table_name AS name FROM information_schema.columns
      WHERE table_schema = DATABASE() AND column_name = 'episode_id' ORDER BY table_name`,
  );
  return rows.map((row) => String(row["name"]));
}
