import type { RowDataPacket } from "mysql2";
import type { FoundPerson } from "~/contract/people";
import { episodeState } from "~/core/episode/episode-turn";
import { joinsOfWords } from "~/server/case/person-words";
import { pool } from "~/server/db/connection";
import type { StaffContext } from "~/server/staff-context";

const atMost = 12;
/** Of so many whom a word fits the first ones are found; more than that, and another letter is what finds somebody. */
const lookedAt = 150;
const order =
  "e.ended_at IS NOT NULL, e.paused_at IS NOT NULL, p.family_name, p.given_name, e.started_at DESC";

/**
 * Episodes of the clinic whose person fits every word: a part of a name, or the year of birth. Upper case and accents make no
 * difference.
 *
 * @param text words, with spaces between them
 * @returns active episodes first, then by name; twelve at most, of the first hundred and fifty whom a single word fits
 */
export async function findPeople({ clinicId }: StaffContext, text: string): Promise<FoundPerson[]> {
  const words = joinsOfWords(text, clinicId, lookedAt);
  if (!words) return [];
  const { joins, values } = words;
  const [rows] = await pool().execute<RowDataPacket[]>(
    // Put into order by what a key holds; what is shown is read of the twelve alone.
    `SELECT e.id, e.diagnosis_text, e.involved_side, e.ended_at, e.paused_at, p.given_name, p.family_name, p.activity,
            YEAR(p.born_on) AS birth_year
       FROM (SELECT e.clinic_id, e.id
               FROM people p
               ${joins}
               JOIN episodes e ON e.clinic_id = p.clinic_id AND e.person_id = p.id
              WHERE p.clinic_id = ?
              ORDER BY ${order} LIMIT ${atMost}) found
       JOIN episodes e ON e.clinic_id = found.clinic_id AND e.id = found.id
       JOIN people p ON p.clinic_id = e.clinic_id AND p.id = e.person_id
      ORDER BY ${order}`,
    [...values, clinicId],
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
