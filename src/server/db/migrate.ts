import { createHash, randomUUID } from "node:crypto";
import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import mysql, { type Connection } from "mysql2/promise";
import type { RowDataPacket } from "mysql2";
import { connectionOptions } from "./connection";
import { isOfRows, migrationSteps } from "./migration-steps";

/** A migration whose file no longer is what was applied, or that is missing. */
export class MigrationRefused extends Error {}

interface MigrationFile {
  readonly name: string;
  readonly sql: string;
  readonly checksum: string;
}

/**
 * Brings the schema up to date with the files of `folder` in the order of their names, then sets the privileges of
 * the application's account. Safe to run from several processes at once; one that was interrupted is taken up by the next run where it
 * stopped, as soon as nobody holds it any more.
 *
 * @param appUser account as it stands in GRANT, such as 'stair_app'@'127.0.0.1'; null leaves privileges alone
 * @param holdMs how long a run that says nothing any more holds a migration
 * @returns names of the migrations applied now
 * @throws MigrationRefused when an applied file was edited or removed
 */
export async function migrate(
  ownerUrl: string,
  folder: string,
  appUser: string | null,
  holdMs = 20_000,
): Promise<string[]> {
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
    await connection.query(
      `ALTER TABLE schema_migrations
         ADD COLUMN IF NOT EXISTS steps_done SMALLINT UNSIGNED NULL,
         ADD COLUMN IF NOT EXISTS held_until DATETIME(3) NULL,
         ADD COLUMN IF NOT EXISTS held_by UUID NULL`,
    );
    const holder = await mysql.createConnection(connectionOptions(ownerUrl));
    const work = { connection, holder, holdMs, by: randomUUID() };
    const applied = await applyMissing(work, filesIn(path.join(folder, "migrations"))).finally(() =>
      holder.end(),
    );
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

/** The connection that works, one that says meanwhile that somebody is at it, and for how long that counts. */
interface Work {
  readonly connection: Connection;
  readonly holder: Connection;
  readonly holdMs: number;
  /** Who works: what they hold somebody else may have taken up, had they said nothing for too long. */
  readonly by: string;
}

/** Somebody else has taken up what this run was at: it goes on there. */
class TakenUp extends Error {}

async function applyMissing(work: Work, files: readonly MigrationFile[]): Promise<string[]> {
  const done = await appliedRows(work.connection);
  for (const name of done.keys()) {
    if (!files.some((file) => file.name === name)) {
      throw new MigrationRefused(
        `Migration ${name} was applied to this database but its file is gone; restore it.`,
      );
    }
  }
  const applied: string[] = [];
  for (const file of files) {
    if (await applyOne(work, file)) applied.push(file.name);
  }
  return applied;
}

/**
 * The row is written first and without a time: whoever writes it, or takes it over from somebody who says nothing any more, applies
 * the file, anybody else waits for the time. Data definition commits by itself in MariaDB, so a lock held by a transaction would not
 * last; how many statements are done stands in the row.
 */
async function applyOne(work: Work, file: MigrationFile): Promise<boolean> {
  const { connection, holdMs, by } = work;
  const [claim] = await connection.query<mysql.ResultSetHeader>(
    `INSERT IGNORE INTO schema_migrations (name, checksum, steps_done, held_until, held_by)
     VALUES (?, ?, 0, UTC_TIMESTAMP(3) + INTERVAL ? MICROSECOND, ?)`,
    [file.name, file.checksum, holdMs * 1000, by],
  );
  if (claim.affectedRows === 1 && (await applyFrom(work, file, 0, false))) return true;
  for (;;) {
    const row = (await appliedRows(connection)).get(file.name);
    if (!row) return applyOne(work, file);
    if (row.checksum !== file.checksum) {
      throw new MigrationRefused(
        `Migration ${file.name} was edited after it had been applied. Put it back and write a new one instead.`,
      );
    }
    if (row.finished) return false;
    if (row.stepsDone === null)
      throw new MigrationRefused(
        `Migration ${file.name} was begun and never finished; look at the schema, then remove its row from schema_migrations.`,
      );
    const [taken] = await connection.query<mysql.ResultSetHeader>(
      `UPDATE schema_migrations SET held_until = UTC_TIMESTAMP(3) + INTERVAL ? MICROSECOND, held_by = ?
        WHERE name = ? AND applied_at IS NULL AND (held_until IS NULL OR held_until < UTC_TIMESTAMP(3))`,
      [holdMs * 1000, by, file.name],
    );
    if (taken.affectedRows === 1) {
      // Read again: until it was taken, one more statement may have been done and noted.
      const from = (await appliedRows(connection)).get(file.name)?.stepsDone ?? row.stepsDone;
      if (await applyFrom(work, file, from, row.wasHeld)) return true;
    }
    await sleep(200);
  }
}

/** What says that a definition is there already, or was taken away already: tables, column, key, foreign key. */
const doneBefore = new Set([1050, 1051, 1060, 1061, 1091, 1826]);

/**
 * Applies the statements that are not done yet. One that fails is given back where it stopped.
 *
 * @param isUncertain the one before ended without a word: its next statement may have been done without a note of it
 * @returns false where somebody else has taken it up meanwhile: at most one statement was done here without a note of it
 */
async function applyFrom(
  work: Work,
  file: MigrationFile,
  from: number,
  isUncertain: boolean,
): Promise<boolean> {
  const { connection, holder, holdMs, by } = work;
  const hold = setInterval(() => {
    holder
      .query(
        "UPDATE schema_migrations SET held_until = UTC_TIMESTAMP(3) + INTERVAL ? MICROSECOND WHERE name = ? AND applied_at IS NULL AND held_by = ?",
        [holdMs * 1000, file.name, by],
      )
      .catch(() => undefined); // said again in a moment; if never again, somebody else takes it up
  }, holdMs / 4);
  const note = async (what: string, ...values: number[]) => {
    const [noted] = await connection.query<mysql.ResultSetHeader>(
      `UPDATE schema_migrations SET ${what} WHERE name = ? AND held_by = ?`,
      [...values, file.name, by],
    );
    if (noted.affectedRows === 0) throw new TakenUp();
  };
  try {
    const steps = migrationSteps(file.sql);
    for (let n = from; n < steps.length; n += 1) {
      const step = steps[n] as string;
      if (isOfRows(step)) await connection.query("START TRANSACTION");
      await connection.query(step).catch((error: { errno?: number }) => {
        if (!(isUncertain && n === from && doneBefore.has(Number(error.errno)))) throw error;
      });
      await note("steps_done = ?", n + 1);
      if (isOfRows(step)) await connection.query("COMMIT");
    }
    await note("applied_at = UTC_TIMESTAMP(3)");
    return true;
  } catch (error) {
    await connection.query("ROLLBACK").catch(() => undefined);
    if (error instanceof TakenUp) return false;
    // Of one that did nothing yet no trace is left, so that its file may be mended.
    await connection
      .query(
        "DELETE FROM schema_migrations WHERE name = ? AND applied_at IS NULL AND steps_done = 0 AND held_by = ?",
        [file.name, by],
      )
      .then(() =>
        connection.query("UPDATE schema_migrations SET held_until = NULL WHERE name = ? AND held_by = ?", [
          file.name,
          by,
        ]),
      )
      .catch(() => undefined);
    throw error;
  } finally {
    clearInterval(hold);
  }
}

async function appliedRows(connection: Connection) {
  const [rows] = await connection.query<RowDataPacket[]>(
    "SELECT name, checksum, applied_at, steps_done, held_until FROM schema_migrations",
  );
  return new Map(
    rows.map((row) => [
      String(row["name"]),
      {
        checksum: String(row["checksum"]),
        finished: row["applied_at"] !== null,
        stepsDone: row["steps_done"] === null ? null : Number(row["steps_done"]),
        wasHeld: row["held_until"] !== null,
      },
    ]),
  );
}
