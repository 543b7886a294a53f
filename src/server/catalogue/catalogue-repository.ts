import type { RowDataPacket } from "mysql2";
import type { Exercise } from "~/core/exercise/exercise";
import { fromDatabaseJson, toDatabaseTime, type Queryable } from "~/server/db/connection";

export type CatalogueAction = "add" | "revise" | "retire" | "restore";

/** What holds for one code of a clinic's catalogue. */
export interface CatalogueEntry {
  readonly code: string;
  readonly retired: boolean;
  /** The clinic's own latest version; null when it only retired or restored one of the starting catalogue. */
  readonly exercise: Exercise | null;
}

/** How often the clinic changed its catalogue. Rows are only ever added, so the same number means the same catalogue. */
export async function catalogueVersion(db: Queryable, clinicId: string): Promise<number> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT COUNT(*) AS changes FROM catalogue_changes WHERE clinic_id = ?",
    [clinicId],
  );
  return Number(rows[0]?.["changes"] ?? 0);
}

/** Every code that the clinic touched, with its latest version and whether it is retired. */
export async function catalogueEntries(db: Queryable, clinicId: string): Promise<CatalogueEntry[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT c.code, c.action, d.body
       FROM catalogue_changes c
       LEFT JOIN definitions d ON d.clinic_id = c.clinic_id AND d.hash = c.hash
      WHERE c.clinic_id = ? ORDER BY c.seq`,
    [clinicId],
  );
  const entries = new Map<string, CatalogueEntry>();
  for (const row of rows) {
    const code = String(row["code"]);
    const before = entries.get(code) ?? { code, retired: false, exercise: null };
    const body = row["body"] === null ? before.exercise : fromDatabaseJson<Exercise>(row["body"]);
    entries.set(code, { code, retired: row["action"] === "retire", exercise: body });
  }
  return [...entries.values()];
}

/**
 * Holds the clinic's library for this transaction: whoever changes it as well waits, or, at another server, is tried again when both
 * commit. To be done before anything is read, so that what is read is what the one before left.
 */
export async function raiseCatalogueVersion(db: Queryable, clinicId: string): Promise<void> {
  await db.execute("UPDATE clinics SET catalogue_version = catalogue_version + 1 WHERE id = ?", [clinicId]);
}

/** True when a change with this client-made id stands already. */
export async function hasCatalogueChange(db: Queryable, clinicId: string, id: string): Promise<boolean> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT 1 FROM catalogue_changes WHERE clinic_id = ? AND id = ?",
    [clinicId, id],
  );
  return rows.length > 0;
}

export async function insertCatalogueChange(
  db: Queryable,
  w: { clinicId: string; staffId: string; at: string },
  change: { id: string; code: string; action: CatalogueAction; hash: string | null; reason: string | null },
): Promise<void> {
  await db.execute(
    `INSERT INTO catalogue_changes (clinic_id, id, code, action, hash, reason, changed_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      change.id,
      change.code,
      change.action,
      change.hash,
      change.reason,
      w.staffId,
      toDatabaseTime(w.at),
    ],
  );
}
