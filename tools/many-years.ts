import type { Connection } from "mysql2/promise";
import { copied, isOfEpisode, type Column, type Table } from "./many-tables";

/** What is said of a person in an episode, once: those of before are of the same people. */
const ofPerson = new Set(["person_merges", "identity_changes"]);

/**
 * Gives everybody of a clinic an episode like theirs in each of the years before: the same work under ids of its own, dated back by whole
 * years, and discharged when it was last written into. The database copies it by itself.
 *
 * @param years of records in all, this one among them
 */
export async function earlierYears(
  db: Connection,
  tables: readonly Table[],
  clinicId: string,
  years: number,
) {
  await db.query(
    "CREATE TEMPORARY TABLE of_now (PRIMARY KEY (id)) AS SELECT id FROM episodes WHERE clinic_id = ?",
    [clinicId],
  );
  for (let back = 1; back < years; back += 1) {
    for (const table of tables) {
      const { name, columns } = table;
      // Of this year alone, or the third year would be copied from the second too.
      const ofNow = isOfEpisode(table) ? "episode_id IN (SELECT id FROM of_now)" : throughs[name];
      if (ofNow === undefined || ofPerson.has(name)) continue;
      const names = columns.map((column) => `\`${column.name}\``);
      const values = columns.map((column) => datedBack(column, back));
      await db.query(
        `INSERT INTO ${name} (${names.join(", ")}) SELECT ${values.join(", ")} FROM ${name}
          WHERE clinic_id = ? AND ${ofNow}`,
        [clinicId],
      );
    }
  }
  const earlier = "e.clinic_id = ? AND e.id NOT IN (SELECT id FROM of_now)";
  const lastOf = (table: string) =>
    `IFNULL((SELECT MAX(f.received_at) FROM ${table} f WHERE f.clinic_id = e.clinic_id AND f.episode_id = e.id), e.written_at)`;
  await db.query(
    `UPDATE episodes e SET paused_at = NULL,
            ended_at = GREATEST(e.written_at, ${lastOf("sessions")}, ${lastOf("next_day_reports")})
      WHERE ${earlier}`,
    [clinicId],
  );
  await db.query(
    `INSERT INTO episode_turns (clinic_id, id, episode_id, kind, reason, summary, signed_by, at)
     SELECT e.clinic_id, ${copied("e.id", "turn")}, e.id, 'discharge', 'Done with what was aimed at', NULL,
            (SELECT MIN(s.id) FROM staff s WHERE s.clinic_id = e.clinic_id AND s.role <> 'assistant'), e.ended_at
       FROM episodes e WHERE ${earlier}`,
    [clinicId],
  );
  await db.query("DROP TEMPORARY TABLE of_now");
}

/** What is an episode, or knows its own through something else; whatever else there is is of none. */
const throughs: Readonly<Record<string, string | undefined>> = {
  episodes: "id IN (SELECT id FROM of_now)",
  session_sets: "session_id IN (SELECT s.id FROM sessions s JOIN of_now n ON n.id = s.episode_id)",
  red_flag_ticks: "intake_id IN (SELECT i.id FROM intakes i JOIN of_now n ON n.id = i.episode_id)",
};

/** Years that the demo's days and instants lie in: from well before to well after today. */
const thisYear = new Date().getUTCFullYear();
const yearsOfDemo = [-3, -2, -1, 0, 1].map((step) => thisYear + step);

/** A column's value some years before: ids of the copy's own, days and instants dated back, those in a text too. */
function datedBack({ name, type, isId, ofStaff }: Column, back: number): string {
  const column = `\`${name}\``;
  if (name === "clinic_id" || name === "person_id" || ofStaff) return column;
  if (isId) return copied(column, `y${back}`);
  if (type === "date" || type === "datetime") return `DATE_SUB(${column}, INTERVAL ${back} YEAR)`;
  if (!type.endsWith("text")) return column;
  // The year after a quotation mark begins a date, earliest first, so that none is dated back twice; a leap day has none a year before.
  return yearsOfDemo.reduce(
    (moved, year) => `REPLACE(${moved}, '"${year}-', '"${year - back}-')`,
    `REPLACE(${column}, '-02-29', '-02-28')`,
  );
}
