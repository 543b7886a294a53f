import { insertShelf } from "~/server/clinic/shelf-repository";
import { insertCalls } from "~/server/clinic/calls-repository";
import mysql from "mysql2/promise";
import type { RowDataPacket } from "mysql2";
import { hashPassword } from "~/server/auth/password";
import { now } from "~/server/clock";
import { connectionOptions, toDatabaseTime } from "~/server/db/connection";
import { storeCase } from "~/server/case/store-case";
import { addDays, localDay } from "~/core/schedule/local-day";
import { demoClinic, demoPassword, demoStaff, demoStaffId } from "./clinic";
import { demoId } from "./identity";
import { demoPeople } from "./people";
import { demoShelf } from "./shelf";
import { simulate } from "./simulate";

/**
 * Puts the invented clinic into an empty database, in one transaction. Dates are relative to today.
 *
 * @param ownerUrl account that may write everything
 * @returns false when there already is a clinic
 */
export async function seedDemo(ownerUrl: string): Promise<boolean> {
  const pool = mysql.createPool({ ...connectionOptions(ownerUrl), connectionLimit: 1 });
  const db = await pool.getConnection();
  try {
    await db.beginTransaction();
    const [rows] = await db.query<RowDataPacket[]>("SELECT COUNT(*) AS n FROM clinics FOR UPDATE");
    if (Number(rows[0]?.["n"]) > 0) {
      await db.rollback();
      return false;
    }
    const at = now();
    const { id: clinicId, name, zone, calls } = demoClinic;
    await db.execute("INSERT INTO clinics (id, name, zone, call_whom, created_at) VALUES (?, ?, ?, ?, ?)", [
      clinicId,
      name,
      zone,
      calls.review,
      toDatabaseTime(at),
    ]);
    const password = await hashPassword(demoPassword);
    for (const member of demoStaff) {
      await db.execute(
        `INSERT INTO staff (clinic_id, id, email, name, role, password_hash, created_at)
         VALUES (?, ?, ?, ?, ?, ?, ?)`,
        [
          clinicId,
          demoStaffId(member.key),
          member.email,
          member.name,
          member.role,
          password,
          toDatabaseTime(at),
        ],
      );
    }
    const lead = { clinicId, staffId: demoStaffId("lead") };
    const today = localDay(at, zone);
    await insertCalls(db, lead, { id: demoId("calls"), calls }, `${addDays(today, -200)}T09:00:00.000Z`);
    await insertShelf(db, lead, {
      id: demoId("shelf"),
      shelf: demoShelf,
      at: `${addDays(today, -200)}T09:10:00.000Z`,
    });
    for (const person of demoPeople) {
      const file = simulate(person.profile, today);
      await storeCase(
        db,
        { clinicId, staffId: demoStaffId("clinician") },
        {
          id: demoId(person.profile.key, "person"),
          givenName: person.givenName,
          familyName: person.familyName,
          bornOn: addDays(today, -Math.round(person.bornYearsAgo * 365.25 + 40)),
          activity: person.activity,
        },
        file,
        {
          region: file.pathway.region ?? "groin",
          diagnosis: person.diagnosis,
          ...(person.profile.targetInDays === undefined
            ? {}
            : { targetOn: addDays(today, person.profile.targetInDays) }),
        },
      );
    }
    await db.commit();
    // Until the server has counted a table that was just filled, it may take any index for the best.
    const [tables] = await db.query<RowDataPacket[]>("SHOW TABLES");
    await db.query("ANALYZE TABLE ??", [tables.map((table) => String(Object.values(table)[0]))]);
    return true;
  } catch (error) {
    await db.rollback().catch(() => undefined);
    throw error;
  } finally {
    db.release();
    await pool.end();
  }
}
