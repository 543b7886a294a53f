import mysql from "mysql2/promise";
import { v7 as uuid } from "uuid";
import { hashPassword } from "~/server/auth/password";
import { demoPassword } from "~demo/clinic";

/** Who works in the clinic that is not this one; the password is the demo's. */
export const foreignEmail = "somebody@elsewhere.example";

/** A second clinic with one clinician, put there as an operator would. */
export async function addForeignClinic(ownerUrl: string): Promise<void> {
  const db = await mysql.createConnection({ uri: ownerUrl, timezone: "Z" });
  const [clinic, staff] = [uuid(), uuid()];
  const at = "2026-03-01 08:00:00";
  await db.execute("INSERT INTO clinics (id, name, zone, call_whom, created_at) VALUES (?, ?, ?, ?, ?)", [
    clinic,
    "Elsewhere",
    "Europe/Vienna",
    "-",
    at,
  ]);
  await db.execute(
    "INSERT INTO staff (clinic_id, id, email, name, role, password_hash, created_at) VALUES (?, ?, ?, ?, 'lead', ?, ?)",
    [clinic, staff, foreignEmail, "Somebody", await hashPassword(demoPassword), at],
  );
  await db.end();
}
