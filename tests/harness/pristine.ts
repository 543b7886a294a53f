import { setTimeout as sleep } from "node:timers/promises";
import { createConnection, type Connection, type ResultSetHeader, type RowDataPacket } from "mysql2/promise";

/** Where a server keeps its tables as they were at first. */
const kept = "pristine";
/** What a process does by itself and writes; nobody begins with it while we hold its lease. */
const duties = ["sweep-caseload", "seal-audit"];

/** The processes that work with a database. */
interface Processes {
  /** Has each answer something that asks nothing of the database: it is not working just then. */
  readonly answer: () => Promise<void>;
  /** Has each forget what it remembers of the database. */
  readonly forget: () => Promise<void>;
}

/** Tables of a database and their columns that are written, not computed. */
async function columnsOf(db: Connection): Promise<ReadonlyMap<string, string>> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT c.table_name AS name, GROUP_CONCAT(CONCAT('\`', c.column_name, '\`') ORDER BY c.ordinal_position) AS columns
       FROM information_schema.columns c JOIN information_schema.tables t USING (table_schema, table_name)
      WHERE c.table_schema = DATABASE() AND t.table_type = 'BASE TABLE' AND c.is_generated = 'NEVER'
      GROUP BY c.table_name`,
  );
  return new Map(rows.map((row) => [String(row["name"]), String(row["columns"])]));
}

/**
 * Remembers what is in a database, so that it can be put back: some hundred milliseconds, where a new server with new processes
 * takes seconds.
 *
 * @param root account that may make a database beside it
 * @returns what puts everything back, once nobody writes any more; it is given what tells the processes
 */
export async function keepPristine(
  root: { socketPath: string; user: string; password: string },
  name: string,
): Promise<(processes: Processes) => Promise<void>> {
  const connect = async () => {
    const db = await createConnection({ ...root, database: name });
    await db.query("SET SESSION group_concat_max_len = 100000, foreign_key_checks = 0");
    return db;
  };
  const first = await connect();
  const tables = await columnsOf(first);
  await first.query(`CREATE DATABASE ${kept}`);
  for (const table of tables.keys()) {
    await first.query(`CREATE TABLE ${kept}.${table} LIKE ${name}.${table}`);
    await first.query(copy(table, tables.get(table) ?? "", name, kept));
  }
  await first.end();

  return async ({ answer, forget }) => {
    const db = await connect();
    await hush(db, answer);
    for (const duty of duties) await hold(db, duty);
    await db.beginTransaction();
    for (const [table, columns] of tables) {
      if (table === "leases") continue;
      await db.query(`DELETE FROM ${name}.${table}`);
      await db.query(copy(table, columns, kept, name));
    }
    await db.commit();
    await forget();
    await db.query("DELETE FROM leases");
    await db.end();
  };
}

const copy = (table: string, columns: string, from: string, to: string) =>
  `INSERT INTO ${to}.${table} (${columns}) SELECT ${columns} FROM ${from}.${table}`;

/** Waits until what a page asked for that was closed meanwhile has been done: no process works, and none waits for the database. */
async function hush(db: Connection, answer: () => Promise<void>): Promise<void> {
  for (let quiet = 0; quiet < 3;) {
    await answer();
    const [[row]] = await db.query<RowDataPacket[]>(
      `SELECT (SELECT COUNT(*) FROM information_schema.processlist WHERE user = 'stair_app' AND command <> 'Sleep')
            + (SELECT COUNT(*) FROM information_schema.innodb_trx) AS busy`,
    );
    quiet = Number(row?.["busy"]) === 0 ? quiet + 1 : 0;
    await sleep(10);
  }
}

/** Takes a lease for good, once whoever has it gives it back; from one who was ended with it, after as long as it would hold. */
async function hold(db: Connection, duty: string): Promise<void> {
  const lease = [duty, "00000000-0000-0000-0000-000000000000", "9999-01-01"];
  for (let tries = 0; tries < 400; tries += 1) {
    const [{ affectedRows }] = await db.query<ResultSetHeader>(
      "INSERT IGNORE INTO leases (name, holder, expires_at) VALUES (?)",
      [lease],
    );
    if (affectedRows === 1) return;
    await sleep(50);
  }
  await db.query("REPLACE INTO leases (name, holder, expires_at) VALUES (?)", [lease]);
}
