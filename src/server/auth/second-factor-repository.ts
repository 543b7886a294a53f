import type { ResultSetHeader, RowDataPacket } from "mysql2";
import { seal, unseal } from "~/server/seal/seal";
import { toDatabaseTime, type Queryable } from "~/server/db/connection";

/** Whose second factor it is. */
interface Holder {
  readonly clinicId: string;
  readonly staffId: string;
}

export interface SecondFactor {
  /** Null where it was sealed with a key that is not here any more: no code of the app fits then. */
  readonly secret: string | null;
  readonly confirmed: boolean;
  /** The last step of time whose code was taken. */
  readonly lastStep: number;
}

export async function findSecondFactor(db: Queryable, who: Holder): Promise<SecondFactor | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT secret, confirmed_at, last_step FROM second_factors WHERE clinic_id = ? AND staff_id = ?",
    [who.clinicId, who.staffId],
  );
  const row = rows[0];
  if (!row) return null;
  return {
    secret: opened(who, String(row["secret"])),
    confirmed: row["confirmed_at"] !== null,
    lastStep: Number(row["last_step"]),
  };
}

const mark = "sealed:";

/** A secret as it is stored: sealed for this one person where there is a key. */
function closed({ clinicId, staffId }: Holder, secret: string): string {
  const sealed = seal(clinicId, staffId, Buffer.from(secret).toString("base64"));
  return sealed === null ? secret : mark + sealed;
}

/** A secret as it is used; one from before there was a key stands as it is. */
function opened({ clinicId, staffId }: Holder, stored: string): string | null {
  if (!stored.startsWith(mark)) return stored;
  const open = unseal(clinicId, staffId, stored.slice(mark.length));
  return open === null ? null : Buffer.from(open, "base64").toString();
}

/** Keeps a secret that does not count yet, in place of one that does not either. */
export async function keepSecret(db: Queryable, who: Holder, secret: string): Promise<void> {
  await db.execute(
    `INSERT INTO second_factors (clinic_id, staff_id, secret) VALUES (?, ?, ?)
     ON DUPLICATE KEY UPDATE secret = IF(confirmed_at IS NULL, VALUES(secret), secret)`,
    [who.clinicId, who.staffId, closed(who, secret)],
  );
}

/** Takes a step of time, once. @returns false when it, or a later one, was taken by somebody else meanwhile */
export async function takeStep(db: Queryable, who: Holder, step: number): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>(
    "UPDATE second_factors SET last_step = ? WHERE clinic_id = ? AND staff_id = ? AND last_step < ?",
    [step, who.clinicId, who.staffId, step],
  );
  return result.affectedRows === 1;
}

export async function confirmSecret(db: Queryable, who: Holder, at: string): Promise<void> {
  await db.execute("UPDATE second_factors SET confirmed_at = ? WHERE clinic_id = ? AND staff_id = ?", [
    toDatabaseTime(at),
    who.clinicId,
    who.staffId,
  ]);
}

/** Takes the second factor away, with its recovery codes. */
export async function dropFactor(db: Queryable, who: Holder): Promise<void> {
  for (const table of ["recovery_codes", "second_factors"])
    await db.execute(`DELETE FROM ${table} WHERE clinic_id = ? AND staff_id = ?`, [
      who.clinicId,
      who.staffId,
    ]);
}

export async function insertRecoveryCodes(
  db: Queryable,
  who: Holder,
  hashes: readonly Buffer[],
): Promise<void> {
  await db.query("INSERT INTO recovery_codes (clinic_id, staff_id, code_hash) VALUES ?", [
    hashes.map((hash) => [who.clinicId, who.staffId, hash]),
  ]);
}

/** Uses a recovery code up. @returns false when it is none, or was used before */
export async function takeRecoveryCode(
  db: Queryable,
  who: Holder,
  hash: Buffer,
  at: string,
): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>(
    `UPDATE recovery_codes SET used_at = ?
      WHERE clinic_id = ? AND staff_id = ? AND code_hash = ? AND used_at IS NULL`,
    [toDatabaseTime(at), who.clinicId, who.staffId, hash],
  );
  return result.affectedRows === 1;
}

export async function countRecoveryCodes(db: Queryable, who: Holder): Promise<number> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT COUNT(*) AS n FROM recovery_codes WHERE clinic_id = ? AND staff_id = ? AND used_at IS NULL",
    [who.clinicId, who.staffId],
  );
  return Number(rows[0]?.["n"] ?? 0);
}
