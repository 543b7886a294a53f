import mysql from "mysql2/promise";
import { v7 as uuid } from "uuid";
import { isZone } from "~/core/schedule/local-time";
import { hashToken, newToken } from "~/server/auth/token";
import { now } from "~/server/clock";
import { connectionOptions, toDatabaseTime } from "~/server/db/connection";
import { insertColleague, isAddressTaken } from "~/server/staff/colleague-repository";
import { insertLink } from "~/server/staff/link-repository";

/**
 * Makes a clinic and its first lead; called by the command of that name: `new-clinic <clinic> <zone> <name> <address>`.
 * Prints the token with which the lead sets a password within a day.
 */
const [clinic = "", zone = "", name = "", address = ""] = process.argv.slice(2);
const pool = mysql.createPool({
  ...connectionOptions(process.env["DATABASE_OWNER_URL"] ?? ""),
  connectionLimit: 1,
});
try {
  const email = address.trim().toLowerCase();
  const at = now();
  if (clinic.trim().length < 2 || name.trim().length < 2)
    throw new Error("The clinic and its lead need a name.");
  if (!isZone(zone)) throw new Error(`${zone} is not a time zone; such as Europe/Vienna.`);
  if (!/^\S+@\S+\.\S+$/.test(email)) throw new Error(`${address} does not look like an e-mail address.`);
  const db = await pool.getConnection();
  await db.beginTransaction();
  if (await isAddressTaken(db, email)) throw new Error(`${email} belongs to another account.`);
  const [clinicId, staffId, token] = [uuid(), uuid(), newToken()];
  await db.execute("INSERT INTO clinics (id, name, zone, call_whom, created_at) VALUES (?, ?, ?, ?, ?)", [
    clinicId,
    clinic.trim(),
    zone,
    "Not set yet: ask the clinic's lead",
    toDatabaseTime(at),
  ]);
  await insertColleague(db, clinicId, { id: staffId, email, name: name.trim(), role: "lead" }, at);
  const expiresAt = new Date(Date.parse(at) + 24 * 3_600_000).toISOString();
  await insertLink(db, { clinicId, staffId }, { hash: hashToken(token), staffId, expiresAt }, at);
  await db.commit();
  db.release();
  process.stdout.write(`${token}\n`);
} catch (error) {
  process.stderr.write(`${(error as Error).message}\n`);
  process.exitCode = 1;
} finally {
  await pool.end();
}
