import type { RowDataPacket } from "mysql2";
import { fromDatabaseTime, fromDatabaseTimeOrNull, type Queryable } from "~/server/db/connection";

/** Something that opened a plan, or could have: made or opened, seen or read last, and ended when. */
interface Opening {
  readonly kind: "code" | "phone" | "calendar";
  readonly from: string;
  readonly last: string | null;
  readonly endedAt: string | null;
}

/** Every code, phone and calendar address of an episode, the oldest first; nothing that opens anything. */
export async function phonesEver(db: Queryable, clinicId: string, episodeId: string): Promise<Opening[]> {
  const of = [clinicId, episodeId];
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT 'code' AS kind, made_at AS since, NULL AS seen, COALESCE(ended_at, expires_at) AS ended
       FROM phone_links WHERE clinic_id = ? AND episode_id = ?
     UNION ALL
     SELECT 'phone', opened_at, seen_at, ended_at FROM phones WHERE clinic_id = ? AND episode_id = ?
     UNION ALL
     SELECT 'calendar', made_at, read_at, ended_at FROM calendar_feeds WHERE clinic_id = ? AND episode_id = ?
     ORDER BY since, kind`,
    [...of, ...of, ...of],
  );
  return rows.map((row) => ({
    kind: row["kind"] as Opening["kind"],
    from: fromDatabaseTime(String(row["since"])),
    last: fromDatabaseTimeOrNull(row["seen"]),
    endedAt: fromDatabaseTimeOrNull(row["ended"]),
  }));
}
