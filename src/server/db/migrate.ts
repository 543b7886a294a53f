import { createHash } from "node:crypto";
import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import mysql, { type Connection } from "mysql2/promise";
import type { RowDataPacket } from "mysql2";
import { connectionOptions } from "./connection";

/** A migration whose file no longer is what was applied, or that is missing. */
export class MigrationRefused extends Error {}

interface MigrationFile {
  readonly name: string;
  readonly sql: string;
  readonly checksum: string;
}

/**
 * Brings the schema up to date with the files of `folder` in the order of their names, then sets the privileges of
 * the application's account. Safe to run from several processes at once.
 *
 * @param appUser account as it stands in GRANT, such as 'stair_app'@'127.0.0.1'; null leaves privileges alone
 * @returns names of the migrations applied now
 * @throws MigrationRefused when an applied file was edited or removed
 */
export async function migrate(ownerUrl: string, folder: string, appUser: string | null): Promise<string[]> {
  const connection = await mysql.createConnection({
    ...connectionOptions(ownerUrl),
    multipleStatements: true,
  });
  try {
    await connection.query(
      `CREATE TABLE IF NOT EXISTS schema_migrations (
         name VARCHAR(120) NOT NULL PRIMARY KEY,
         checksum CHAR(64) NOT NULL,
         applied_at DATETIME(3) NULL
       ) ENGINE = InnoDB`,
    );
    const applied = await applyMissing(connection, filesIn(path.join(folder, "migrations")));
    if (appUser !== null) {
      const grants = readFileSync(path.join(folder, "privileges.sql"), "utf8").replaceAll("{{app}}", appUser);
      await connection.query(grants);
    }
    return applied;
  } finally {
    await connection.end();
  }
}

/** Reads the migration files and their checksums. */
function filesIn(folder: string): MigrationFile[] {
  return readdirSync(folder)
    .filter((name) => name.endsWith(".sql"))
    .sort()
    .map((name) => {
      const sql = readFileSync(path.join(folder, name), "utf8");
      return { name, sql, checksum: createHash("sha256").update(sql).digest("hex") };
    });
}

async function applyMissing(connection: Connection, files: readonly MigrationFile[]): Promise<string[]> {
  const done = await appliedRows(connection);
  for (const name of done.keys()) {
    if (!files.some((file) => file.name === name)) {
      throw new MigrationRefused(
        `Migration ${name} was applied to this database but its file is gone; restore it.`,
      );
    }
  }
  const applied: string[] = [];
  for (const file of files) {
    if (await applyOne(connection, file)) applied.push(file.name);
  }
  return applied;
}

/**
 * The row is written first and without a time: whoever writes it applies the file, anybody else waits for the time.
 * Data definition commits by itself in MariaDB, so a lock held by a transaction would not last.
 */
async function applyOne(connection: Connection, file: MigrationFile): Promise<boolean> {
  const [claim] = await connection.query<mysql.ResultSetHeader>(
    "INSERT IGNORE INTO schema_migrations (name, checksum) VALUES (?, ?)",
    [file.name, file.checksum],
  );
  if (claim.affectedRows === 1) {
    try {
      await connection.query(file.sql);
    } catch (error) {
      await connection.query("DELETE FROM schema_migrations WHERE name = ? AND applied_at IS NULL", [
        file.name,
      ]);
      throw error;
    }
    await connection.query("UPDATE schema_migrations SET applied_at = UTC_TIMESTAMP(3) WHERE name = ?", [
      file.name,
    ]);
    return true;
  }
  for (let waited = 0; waited < 60_000; waited += 200) {
    const row = (await appliedRows(connection)).get(file.name);
    if (row && row.checksum !== file.checksum) {
      throw new MigrationRefused(
        `Migration ${file.name} was edited after it had been applied. Put it back and write a new one instead.`,
      );
    }
    if (row?.finished) return false;
    await sleep(200);
  }
  throw new MigrationRefused(
    `Migration ${file.name} was begun and never finished; look at the schema, then remove its row from schema_migrations.`,
  );
}

async function appliedRows(connection: Connection) {
  const [rows] = await connection.query<RowDataPacket[]>(
    "SELECT name, checksum, applied_at FROM schema_migrations",
  );
  return new Map(
    rows.map((row) => [
      String(row["name"]),
      { checksum: String(row["checksum"]), finished: row["applied_at"] !== null },
    ]),
  );
}
