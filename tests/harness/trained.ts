import mysql from "mysql2/promise";
import { v7 as uuid } from "uuid";
import { poolOptions } from "~/server/db/connection";
import { addDays } from "~/core/schedule/local-day";

/**
 * Puts a quiet session with every exercise of the plan on each of some days before a date, straight into the database:
 * so that no lane counts as left out, without a hundred requests.
 */
export async function trainedDaily(
  ownerUrl: string,
  episodeId: string,
  { before, days = 14 }: { before: string; days?: number },
): Promise<void> {
  const connection = await mysql.createConnection(poolOptions(ownerUrl));
  const set = { painDuring: 0, painSite: "episode", effort: 5, side: "both", faults: [] };
  try {
    const [items] = await connection.query<mysql.RowDataPacket[]>(
      `SELECT i.clinic_id, i.id, i.created_at, e.started_at,
              (SELECT signed_by FROM stage_moves m
                WHERE m.clinic_id = i.clinic_id AND m.episode_id = i.episode_id LIMIT 1) AS staff_id
         FROM plan_items i JOIN episodes e ON e.clinic_id = i.clinic_id AND e.id = i.episode_id
        WHERE i.episode_id = ?`,
      [episodeId],
    );
    const first = items[0];
    if (!first) throw new Error("the plan is empty");
    for (let n = 1; n <= days; n += 1) {
      const at = `${addDays(before, -n)} 06:00:00.000`;
      if (at < String(first["started_at"])) break;
      const id = uuid();
      await connection.query(
        `INSERT INTO sessions (clinic_id, id, episode_id, occurred_at, received_at, pain_before, recorded_by)
         VALUES (?, ?, ?, ?, ?, 0, ?)`,
        [first["clinic_id"], id, episodeId, at, at, first["staff_id"]],
      );
      const sets = items.map((item, position) => [
        first["clinic_id"],
        id,
        position,
        item["id"],
        0,
        JSON.stringify(set),
      ]);
      await connection.query(
        "INSERT INTO session_sets (clinic_id, session_id, position, item_id, pain_during, body) VALUES ?",
        [sets],
      );
    }
    await connection.query("UPDATE episodes SET version = version + 1 WHERE id = ?", [episodeId]);
  } finally {
    await connection.end();
  }
}
