import type { RowDataPacket } from "mysql2";
import { now } from "~/server/clock";
import { pool, type Queryable } from "~/server/db/connection";
import { takeLease } from "~/server/db/lease";
import { isDuplicate } from "~/server/db/away";
import { inTransaction } from "~/server/db/transaction";
import { forgottenBy } from "~/server/remembered";
import { chainKey } from "~/server/seal/seal";
import { chainBegins, chainedColumns, linkOf } from "./chain";

const leaseSeconds = 20;
const atMost = 500;
/** A line is written before its transaction is committed: none comes later than this after one with a higher number. */
const settledMs = 60_000;

/** Lines seen in the chain, and when: what is older than a minute is passed over from then on. */
let seen: { readonly seq: number; readonly at: number }[] = [];
let sealedUpTo: number | null = null;
forgottenBy(() => {
  seen = [];
  sealedUpTo = null;
});

/** Puts lines of the log that are not in their clinic's chain at its end; one process at a time. @returns how many */
export async function sealAudit(): Promise<number> {
  const release = await takeLease(pool(), "seal-audit", leaseSeconds, now());
  if (!release) return 0;
  try {
    sealedUpTo ??= await readSealed(pool());
    const lines = await unsealed(pool(), sealedUpTo);
    const clinics = new Set(lines.map((line) => String(line["clinic_id"])));
    for (const clinicId of clinics)
      await seal(
        clinicId,
        lines.filter((line) => line["clinic_id"] === clinicId),
      );
    await settle(Math.max(sealedUpTo, ...lines.map((line) => Number(line["seq"]))));
    return lines.length;
  } catch (error) {
    // Two held the lease for a moment: one has written, the other comes again.
    if (isDuplicate(error)) return 0;
    throw error;
  } finally {
    await release();
  }
}

async function unsealed(db: Queryable, upTo: number): Promise<RowDataPacket[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT ${chainedColumns.map((name) => `a.${name}`).join(", ")}
       FROM audit_log a
       LEFT JOIN audit_chain c ON c.clinic_id = a.clinic_id AND c.audit_id = a.id
      WHERE a.seq > ? AND c.audit_id IS NULL
      ORDER BY a.seq LIMIT ?`,
    [upTo, atMost],
  );
  return rows;
}

/** Links lines of one clinic to the end of its chain; all of them or none. */
function seal(clinicId: string, lines: readonly RowDataPacket[]): Promise<void> {
  const key = chainKey(clinicId);
  return inTransaction(async (db) => {
    const [[last]] = await db.query<RowDataPacket[]>(
      "SELECT link, hash FROM audit_chain WHERE clinic_id = ? ORDER BY link DESC LIMIT 1",
      [clinicId],
    );
    let link = Number(last?.["link"] ?? 0);
    let hash = (last?.["hash"] as Buffer | undefined) ?? chainBegins;
    const rows = lines.map((line) => {
      link += 1;
      hash = linkOf(key, hash, line);
      return [clinicId, link, line["id"], hash];
    });
    await db.query("INSERT INTO audit_chain (clinic_id, link, audit_id, hash) VALUES ?", [rows]);
  });
}

/** Takes down up to where every line is in the chain for good, once no earlier one can come any more. */
async function settle(seq: number): Promise<void> {
  const at = Date.now();
  if (seen.at(-1)?.seq !== seq) seen.push({ seq, at });
  const settled = seen.filter((one) => at - one.at > settledMs).at(-1);
  if (!settled || settled.seq <= (sealedUpTo ?? 0)) return;
  seen = seen.filter((one) => one.seq >= settled.seq);
  sealedUpTo = settled.seq;
  await pool().execute("UPDATE audit_sealed SET up_to = GREATEST(up_to, ?) WHERE one = 1", [settled.seq]);
}

async function readSealed(db: Queryable): Promise<number> {
  const [[row]] = await db.query<RowDataPacket[]>("SELECT up_to FROM audit_sealed WHERE one = 1");
  return Number(row?.["up_to"] ?? 0);
}
