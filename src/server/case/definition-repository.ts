import { createHash } from "node:crypto";
import { LRUCache } from "lru-cache";
import type { RowDataPacket } from "mysql2";
import { fromDatabaseJson, toDatabaseTime, type Queryable } from "~/server/db/connection";
import { forgottenBy } from "~/server/remembered";

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

/** Hashes of the definitions that some episodes run on. */
export async function readDefinitionHashes(
  db: Queryable,
  clinicId: string,
  episodeIds: readonly string[],
): Promise<ReadonlyMap<string, string[]>> {
  const [rows] = await db.query<RowDataPacket[]>(
    "SELECT episode_id, hash FROM episode_definitions WHERE clinic_id = ? AND episode_id IN (?)",
    [clinicId, episodeIds],
  );
  const hashes = new Map<string, string[]>();
  for (const row of rows) {
    const id = String(row["episode_id"]);
    hashes.set(id, [...(hashes.get(id) ?? []), String(row["hash"])]);
  }
  return hashes;
}

export interface Definition {
  readonly hash: string;
  readonly kind: DefinitionKind;
  readonly body: object;
}

/** Definitions already read; a hash names its content, so what it stands for never changes. */
const known = new LRUCache<string, Definition>({ max: 4000 });
forgottenBy(() => known.clear());

/** The definitions behind some hashes of a clinic, read from the database once. */
export async function definitionsBehind(
  db: Queryable,
  clinicId: string,
  hashes: Iterable<string>,
): Promise<Map<string, Definition>> {
  const wanted = [...new Set(hashes)];
  const unread = wanted.filter((hash) => !known.has(`${clinicId} ${hash}`));
  const found = new Map<string, Definition>();
  if (unread.length > 0) {
    const [rows] = await db.query<RowDataPacket[]>(
      "SELECT hash, kind, body FROM definitions WHERE clinic_id = ? AND hash IN (?)",
      [clinicId, unread],
    );
    for (const row of rows) {
      const hash = String(row["hash"]);
      const definition = { hash, kind: row["kind"], body: fromDatabaseJson<object>(row["body"]) };
      found.set(hash, definition);
      known.set(`${clinicId} ${hash}`, definition);
    }
  }
  for (const hash of wanted) {
    const definition = found.get(hash) ?? known.get(`${clinicId} ${hash}`);
    if (definition) found.set(hash, definition);
  }
  return found;
}
