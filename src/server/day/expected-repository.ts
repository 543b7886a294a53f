import type { RowDataPacket } from "mysql2";
import type { ExpectedBody, ExpectedToday } from "~/contract/day";
import { toDatabaseTime, type Connection, type Queryable } from "~/server/db/connection";

/** Who of a clinic is expected on a date, and when. */
export async function expectedOn(
  db: Queryable,
  clinicId: string,
  date: string,
): Promise<ExpectedToday["people"]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT episode_id, at_time FROM expected_people WHERE clinic_id = ? AND on_date = ? ORDER BY at_time, episode_id",
    [clinicId, date],
  );
  return rows.map((row) => ({
    episodeId: String(row["episode_id"]),
    time: row["at_time"] === null ? null : String(row["at_time"]),
  }));
}

/** Marks who is expected on a date and who is not. Ids that are not of the clinic are left out. */
export async function setExpected(
  db: Connection,
  by: { readonly clinicId: string; readonly staffId: string },
  date: string,
  { on, off }: ExpectedBody,
  at: string,
): Promise<void> {
  const { clinicId, staffId } = by;
  for (const { episodeId, time } of on) {
    await db.execute(
      `INSERT INTO expected_people (clinic_id, on_date, episode_id, at_time, marked_by, marked_at)
       SELECT clinic_id, ?, id, ?, ?, ? FROM episodes WHERE clinic_id = ? AND id = ?
       ON DUPLICATE KEY UPDATE at_time = VALUES(at_time), marked_by = VALUES(marked_by), marked_at = VALUES(marked_at)`,
      [date, time, staffId, toDatabaseTime(at), clinicId, episodeId],
    );
  }
  for (const episodeId of off) {
    await db.execute("DELETE FROM expected_people WHERE clinic_id = ? AND on_date = ? AND episode_id = ?", [
      clinicId,
      date,
      episodeId,
    ]);
  }
}

/** Active people of a clinic by name and year of birth. */
export async function activePeople(db: Queryable, clinicId: string) {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT e.id, p.given_name, p.family_name, YEAR(p.born_on) AS birth_year
       FROM episodes e JOIN people p ON p.clinic_id = e.clinic_id AND p.id = e.person_id
      WHERE e.clinic_id = ? AND e.ended_at IS NULL AND e.paused_at IS NULL`,
    [clinicId],
  );
  return rows.map((row) => ({
    episodeId: String(row["id"]),
    givenName: String(row["given_name"]),
    familyName: String(row["family_name"]),
    birthYear: Number(row["birth_year"]),
  }));
}
