import mysql, { type Connection, type RowDataPacket } from "mysql2/promise";
import { connectionOptions } from "~/server/db/connection";
import { rulesOver } from "~/server/case/overtaken";
import { keepMissingWords } from "~/server/case/person-words";
import { demoClinic } from "~demo/clinic";
import { copied, idOf, isOfClinic, tablesOf, type Table } from "./many-tables";
import { earlierYears } from "./many-years";

/**
 * Fills a database with copies of the invented clinic: so many clinics, one of them with more people than the others. Called by the
 * command with DATABASE_OWNER_URL: `many <clinics> <people in all> <people of the big one> [<years of its records>]`.
 *
 * Whole clinics and whole people are copied by the database itself. The id of a copy is made from the id it was copied from and the
 * number of the copy (MD5, used as a number and for no secret), so that what refers to one another does so again.
 */

/** Copies everything of a clinic under new ids; another clinic, or the same one with more people. */
async function copyClinic(
  db: Connection,
  tables: readonly Table[],
  clinicId: string,
  copy: string,
  isNew: boolean,
) {
  for (const table of tables) {
    if (!isNew && isOfClinic(table)) continue;
    const { name, columns } = table;
    const values = columns.map(({ name: column, isId, ofStaff }) => {
      if (name === "staff" && column === "email") return `CONCAT('${copy}-', email)`;
      if (name === "clinics" && column === "name") return `CONCAT(LEFT(name, 100), ' ', '${copy}')`;
      if (name === "people" && column === "family_name")
        return `CONCAT(LEFT(family_name, 60), ' ', '${copy}')`;
      if (!isId) return `\`${column}\``;
      return !isNew && (column === "clinic_id" || ofStaff) ? `\`${column}\`` : copied(`\`${column}\``, copy);
    });
    const names = columns.map((column) => `\`${column.name}\``);
    const of = name === "clinics" ? "id" : "clinic_id";
    await db.query(
      `INSERT INTO ${name} (${names.join(", ")}) SELECT ${values.join(", ")} FROM ${name} WHERE ${of} = ?`,
      [clinicId],
    );
  }
}

const [clinics = 100, people = 10_000, big = 5000, years = 1] = process.argv.slice(2).map(Number);
const db = await mysql.createConnection(connectionOptions(process.env["DATABASE_OWNER_URL"] ?? ""));
const countPeople = async (clinicId: string) => {
  const [[row]] = await db.query<RowDataPacket[]>("SELECT COUNT(*) AS n FROM people WHERE clinic_id = ?", [
    clinicId,
  ]);
  return Number(row?.["n"]);
};
try {
  await db.query("SET SESSION foreign_key_checks = 0, unique_checks = 0, innodb_lock_wait_timeout = 300");
  const tables = await tablesOf(db);
  const each = Math.max(1, Math.round((people - big) / Math.max(1, clinics - 1)));
  // The others first, from the clinic as it is: a whole copy, doubled until it has its share.
  for (let n = 1; n < clinics; n += 1) {
    await copyClinic(db, tables, demoClinic.id, `c${n}`, true);
    const [[made]] = await db.query<RowDataPacket[]>(
      `SELECT CAST(${idOf(`'${demoClinic.id}'`, `c${n}`)} AS UUID) AS id`,
    );
    for (let more = 1; (await countPeople(String(made?.["id"]))) * 1.5 < each; more += 1)
      await copyClinic(db, tables, String(made?.["id"]), `c${n}m${more}`, false);
  }
  await earlierYears(db, tables, demoClinic.id, years);
  for (let more = 1; (await countPeople(demoClinic.id)) * 1.5 < big; more += 1)
    await copyClinic(db, tables, demoClinic.id, `b${more}`, false);
  await db.query("SET SESSION foreign_key_checks = 1, unique_checks = 1");
  await keepMissingWords(db);
  // Years that are over stand in no caseload and are worked out no more, as after a discharge.
  await db.query(
    `UPDATE caseload_rows c JOIN episodes e ON e.clinic_id = c.clinic_id AND e.id = c.episode_id
        SET c.resting = TRUE, c.valid_until = '9999-12-31'
      WHERE e.ended_at IS NOT NULL OR e.paused_at IS NOT NULL`,
  );
  // The copies' rows of the caseload are worked out as after a change of the rules: not all before the first page.
  await db.query("UPDATE caseload_rows SET valid_until = ? WHERE valid_until < ?", [rulesOver, rulesOver]);
  for (const { name } of tables) await db.query(`ANALYZE TABLE ${name}`);
  const [[found]] = await db.query<RowDataPacket[]>(
    `SELECT (SELECT COUNT(*) FROM clinics) AS clinics, (SELECT COUNT(*) FROM people) AS people,
            (SELECT COUNT(*) FROM episodes) AS episodes, (SELECT COUNT(*) FROM sessions) AS sessions, (SELECT COUNT(*) FROM session_sets) AS sets`,
  );
  process.stdout.write(
    `· ${String(found?.["clinics"])} clinics, ${String(found?.["people"])} people (${await countPeople(demoClinic.id)} in the biggest clinic), ` +
      `${String(found?.["episodes"])} episodes, ` +
      `${String(found?.["sessions"])} sessions of ${String(found?.["sets"])} sets\n`,
  );
} finally {
  await db.end();
}
