import { createHash } from "node:crypto";
import type { RowDataPacket } from "mysql2";
import { fromDatabaseJson, toDatabaseTime, type Queryable } from "~/server/db/connection";

export type DefinitionKind = "exercise" | "measure" | "pathway";

/** Stores a definition under the hash of its content; the same content is stored once. @returns the hash */
export async function storeDefinition(
  db: Queryable,
  clinicId: string,
  definition: { kind: DefinitionKind; code: string; body: object },
  at: string,
): Promise<string> {
  const text = JSON.stringify(definition.body);
  const hash = createHash("sha256").update(definition.kind).update("\0").update(text).digest("hex");
  await db.execute(
    `INSERT IGNORE INTO definitions (clinic_id, hash, kind, code, body, created_at) VALUES (?, ?, ?, ?, ?, ?)`,
    [clinicId, hash, definition.kind, definition.code, text, toDatabaseTime(at)],
  );
  return hash;
}

/** Ties an episode to the definitions it runs on. */
export async function attachDefinitions(
  db: Queryable,
  clinicId: string,
  episodeId: string,
  hashes: readonly string[],
): Promise<void> {
  for (const hash of new Set(hashes)) {
    await db.execute(
      "INSERT IGNORE INTO episode_definitions (clinic_id, episode_id, hash) VALUES (?, ?, ?)",
      [clinicId, episodeId, hash],
    );
  }
}

/** The definitions of some episodes: each one once, and which episode uses which. */
export async function definitionsOf(db: Queryable, clinicId: string, episodeIds: readonly string[]) {
  const [rows] = await db.query<RowDataPacket[]>(
    "SELECT episode_id, hash FROM episode_definitions WHERE clinic_id = ? AND episode_id IN (?)",
    [clinicId, episodeIds],
  );
  const hashes = [...new Set(rows.map((row) => String(row["hash"])))];
  const bodies = hashes.length === 0 ? [] : await bodiesOf(db, clinicId, hashes);
  return {
    bodies: new Map(bodies.map((body) => [body.hash, body])),
    used: rows.map((row) => ({ episodeId: String(row["episode_id"]), hash: String(row["hash"]) })),
  };
}

async function bodiesOf(db: Queryable, clinicId: string, hashes: readonly string[]) {
  const [rows] = await db.query<RowDataPacket[]>(
    "SELECT hash, kind, body FROM definitions WHERE clinic_id = ? AND hash IN (?) ORDER BY code",
    [clinicId, hashes],
  );
  return rows.map((row) => ({
    hash: String(row["hash"]),
    kind: row["kind"] as DefinitionKind,
    body: fromDatabaseJson<object>(row["body"]),
  }));
}
