import type { RowDataPacket } from "mysql2";
import type { irritabilities } from "~/core/intake/irritability";
import type { Queryable } from "~/server/db/connection";
import type { ByEpisode } from "~/server/facts/sql";

type Irritability = (typeof irritabilities)[number];

/** How irritable the site was said to be at each intake, oldest first; the rest of an intake is not read with a case. */
export async function readIrritabilities(
  db: Queryable,
  clinicId: string,
  episodeIds: readonly string[],
): Promise<ByEpisode<Irritability>> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT episode_id, JSON_UNQUOTE(JSON_EXTRACT(body, '$.irritability')) AS irritability FROM intakes
      WHERE clinic_id = ? AND episode_id IN (?) ORDER BY at, id`,
    [clinicId, episodeIds],
  );
  const found = new Map<string, Irritability[]>();
  for (const row of rows) {
    const id = String(row["episode_id"]);
    found.set(id, [...(found.get(id) ?? []), row["irritability"] as Irritability]);
  }
  return found;
}
