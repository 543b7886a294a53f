import type { RowDataPacket } from "mysql2";
import type { Intake } from "~/core/intake/intake";
import { fromDatabaseJson, fromDatabaseTime, type Queryable } from "~/server/db/connection";
import type { ByEpisode } from "~/server/facts/sql";

/** What an intake said that bears on every later judgement; the rest of it is not read with a case. */
export interface IntakeAnswers
  extends
    Pick<Intake, "irritability">,
    Partial<Pick<Intake, "medicines" | "illnesses" | "fellLastYear" | "fearsFalling">> {
  readonly at: string;
}

/** What each intake of some episodes answered, oldest first. */
export async function readIntakeAnswers(
  db: Queryable,
  clinicId: string,
  episodeIds: readonly string[],
): Promise<ByEpisode<IntakeAnswers>> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT episode_id, at,
            JSON_UNQUOTE(JSON_EXTRACT(body, '$.irritability')) AS irritability,
            JSON_EXTRACT(body, '$.medicines') AS medicines,
            JSON_EXTRACT(body, '$.illnesses') AS illnesses,
            JSON_EXTRACT(body, '$.fellLastYear') AS fell,
            JSON_EXTRACT(body, '$.fearsFalling') AS fears
       FROM intakes
      WHERE clinic_id = ? AND episode_id IN (?) ORDER BY at, id`,
    [clinicId, episodeIds],
  );
  const found = new Map<string, IntakeAnswers[]>();
  for (const row of rows) {
    const id = String(row["episode_id"]);
    const list = <T>(name: string) => (row[name] === null ? [] : fromDatabaseJson<T[]>(row[name]));
    const answers: IntakeAnswers = {
      at: fromDatabaseTime(row["at"]),
      irritability: row["irritability"] as Intake["irritability"],
      medicines: list<Intake["medicines"][number]>("medicines"),
      illnesses: list<Intake["illnesses"][number]>("illnesses"),
      fellLastYear: String(row["fell"]) === "true",
      fearsFalling: String(row["fears"]) === "true",
    };
    found.set(id, [...(found.get(id) ?? []), answers]);
  }
  return found;
}
