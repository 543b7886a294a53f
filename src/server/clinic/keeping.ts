import type { RowDataPacket } from "mysql2";
import type { KeepingView } from "~/contract/trust";
import { now } from "~/server/clock";
import { fromDatabaseTime, pool, toDatabaseTime, type Queryable } from "~/server/db/connection";
import type { StaffContext } from "~/server/staff-context";

const shownAtMost = 50;

/** An instant so many years before another; 29 February becomes 1 March. */
function yearsBefore(instant: string, years: number): string {
  const before = new Date(instant);
  before.setUTCFullYear(before.getUTCFullYear() - years);
  return before.toISOString();
}

/**
 * A dry run of the clinic's keeping: whose episodes are all closed, the last of them so many years ago or more, and for whom no
 * erasure is asked for yet. Nothing is erased.
 */
export async function readKeeping(
  staff: StaffContext,
  years: number,
  db: Queryable = pool(),
): Promise<KeepingView> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT closed.*, COUNT(*) OVER () AS all_of_them
       FROM (SELECT p.id, p.given_name, p.family_name, p.activity, MAX(e.ended_at) AS last_ended,
                    SUBSTRING_INDEX(GROUP_CONCAT(e.id ORDER BY e.ended_at DESC, e.id), ',', 1) AS episode_id
               FROM people p
               JOIN episodes e ON e.clinic_id = p.clinic_id AND e.person_id = p.id
              WHERE p.clinic_id = ?
                AND NOT EXISTS (SELECT 1 FROM erasure_requests r
                                 WHERE r.clinic_id = p.clinic_id AND r.person_id = p.id)
              GROUP BY p.id, p.given_name, p.family_name, p.activity
             HAVING SUM(e.ended_at IS NULL) = 0 AND last_ended <= ?) AS closed
      ORDER BY closed.last_ended, closed.id
      LIMIT ${shownAtMost}`,
    [staff.clinicId, toDatabaseTime(yearsBefore(now(), years))],
  );
  return {
    years,
    count: Number(rows[0]?.["all_of_them"] ?? 0),
    people: rows.map((row) => ({
      episodeId: String(row["episode_id"]),
      person: {
        givenName: String(row["given_name"]),
        familyName: String(row["family_name"]),
        activity: String(row["activity"]),
      },
      endedAt: fromDatabaseTime(row["last_ended"]),
    })),
  };
}
