import type { RowDataPacket } from "mysql2";
import { fromDatabaseJson, toDatabaseTime, type Queryable } from "~/server/db/connection";

/** What was sent under an id, word for word. */
export interface Receipt {
  readonly kind: string;
  readonly episodeId: string | null;
  readonly body: unknown;
}

/** What the clinic's clients have sent under this id, or null. */
export async function findReceipt(db: Queryable, clinicId: string, id: string): Promise<Receipt | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT kind, episode_id, body FROM receipts WHERE clinic_id = ? AND id = ?",
    [clinicId, id],
  );
  const row = rows[0];
  if (!row) return null;
  return {
    kind: String(row["kind"]),
    episodeId: row["episode_id"] === null ? null : String(row["episode_id"]),
    body: fromDatabaseJson(row["body"]),
  };
}

export async function keepReceipt(
  db: Queryable,
  who: { clinicId: string; staffId: string | null },
  receipt: Receipt & { readonly id: string },
  at: string,
): Promise<void> {
  await db.execute(
    "INSERT INTO receipts (clinic_id, id, episode_id, kind, body, received_by, at) VALUES (?, ?, ?, ?, ?, ?, ?)",
    [
      who.clinicId,
      receipt.id,
      receipt.episodeId,
      receipt.kind,
      JSON.stringify(receipt.body),
      who.staffId,
      toDatabaseTime(at),
    ],
  );
}
