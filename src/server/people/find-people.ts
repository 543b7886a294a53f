import type { RowDataPacket } from "mysql2";
import type { FoundPerson } from "~/contract/people";
import { episodeState } from "~/core/episode/episode-turn";
import { pool } from "~/server/db/connection";
import type { StaffContext } from "~/server/staff-context";

const atMost = 12;
const mostWords = 5;

/** Text that a pattern of the database takes for itself. */
const literally = (text: string) => text.replace(/[\\%_]/g, (sign) => `\\${sign}`);

/**
 * Episodes of the clinic whose person fits every word: a part of a name, or the year of birth. Upper case and accents make no
 * difference, as the database compares.
 *
 * @param text words, with spaces between them
 * @returns active episodes first, then by name; twelve at most
 */
export async function findPeople({ clinicId }: StaffContext, text: string): Promise<FoundPerson[]> {
  const words = text.trim().split(/\s+/).slice(0, mostWords);
  const fits = words.map(
    () => "(p.given_name LIKE ? OR p.family_name LIKE ? OR CAST(YEAR(p.born_on) AS CHAR) = ?)",
  );
  const [rows] = await pool().execute<RowDataPacket[]>(
    `SELECT e.id, e.diagnosis_text, e.involved_side, e.ended_at, e.paused_at, p.given_name, p.family_name, p.activity,
            YEAR(p.born_on) AS birth_year
       FROM episodes e
       JOIN people p ON p.clinic_id = e.clinic_id AND p.id = e.person_id
      WHERE e.clinic_id = ? AND ${fits.join(" AND ")}
      ORDER BY e.ended_at IS NOT NULL, e.paused_at IS NOT NULL, p.family_name, p.given_name, e.started_at DESC
      LIMIT ${atMost}`,
    [clinicId, ...words.flatMap((word) => [`%${literally(word)}%`, `%${literally(word)}%`, word])],
  );
  return rows.map((row) => ({
    episodeId: String(row["id"]),
    person: { givenName: row["given_name"], familyName: row["family_name"], activity: row["activity"] },
    birthYear: Number(row["birth_year"]),
    diagnosis: row["diagnosis_text"],
    involvedSide: row["involved_side"],
    state: episodeState({ endedAt: row["ended_at"], pausedAt: row["paused_at"] }),
  }));
}
