import { spawn } from "node:child_process";
import {
  closeSync,
  createReadStream,
  createWriteStream,
  mkdtempSync,
  openSync,
  readSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import os from "node:os";
import path from "node:path";
import { createInterface } from "node:readline";
import { Readable } from "node:stream";
import { text } from "node:stream/consumers";
import { pipeline } from "node:stream/promises";
import { createGunzip, createGzip } from "node:zlib";
import { PlainFailure } from "./say.mjs";
import { backupKey, isSealed, opening, sealing } from "./sealed-file.mjs";

/**
 * Writes everything in a database into a file, as of one instant, whoever writes meanwhile. The file holds the names of
 * patients: it can be read by its owner alone, and with BACKUP_KEY by whoever has that key. A file that is there is replaced when the
 * new one is whole.
 */
export async function backUp(ownerUrl, file) {
  const unfinished = `${file}.unfinished`;
  await withOptions(ownerUrl, async (options, database) => {
    const child = spawn(
      "mariadb-dump",
      [
        options,
        "--single-transaction",
        "--hex-blob",
        "--skip-comments",
        "--default-character-set=utf8mb4",
        ...((await keepsChanges(options)) ? ["--master-data=2"] : []),
        database,
      ],
      { stdio: ["ignore", "pipe", "pipe"] },
    );
    const ended = endOf(child);
    const key = backupKey();
    const through = key ? [createGzip(), sealing(key)] : [createGzip()];
    const written = pipeline(child.stdout, ...through, createWriteStream(unfinished, { mode: 0o600 }));
    await Promise.all([written, ended]);
  });
  renameSync(unfinished, file);
}

/**
 * Reads a file of `backUp` into a database that has nothing in it, and with `until` what was changed after it up to that moment. A
 * sealed file is opened whole before anything is read.
 *
 * @param until { at: an instant, changes: the folder with the log of changes of the server that the backup is of }
 */
export async function restore(ownerUrl, file, until = null) {
  const folder = mkdtempSync(path.join(os.tmpdir(), "stair-restore-"));
  try {
    const plain = await opened(file, path.join(folder, "backup.sql.gz"));
    const position = until ? await positionIn(plain) : null;
    await withOptions(ownerUrl, async (options, database) => {
      await intoDatabase(options, database, [createReadStream(plain), createGunzip()]);
      if (until) await replay(options, database, position, until);
      // A lease is held by a process, and ends with it.
      await intoDatabase(options, database, [Readable.from(["DELETE FROM leases;"])]);
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Whether the server keeps a log of changes that this account may know of. */
async function keepsChanges(options) {
  const child = spawn("mariadb", [options, "--batch", "--execute=SHOW BINLOG STATUS"], {
    stdio: ["ignore", "pipe", "ignore"],
  });
  return (await text(child.stdout)).trim() !== "";
}

/** Where in the log of changes a backup stands. */
async function positionIn(file) {
  const lines = createInterface({ input: createReadStream(file).pipe(createGunzip()) });
  let read = 0;
  for await (const line of lines) {
    const found = /MASTER_LOG_FILE='([^']+)', MASTER_LOG_POS=(\d+)/.exec(line);
    if (found) return { file: found[1], at: Number(found[2]) };
    if ((read += 1) > 100) break;
  }
  throw new PlainFailure(
    "This backup does not say where in the log of changes it stands; none was kept then.",
  );
}

/** Does again what was changed after a backup, up to a moment. */
async function replay(options, database, position, { at, changes }) {
  const logs = readdirSync(changes)
    .filter((name) => /\.\d+$/.test(name) && name >= position.file)
    .sort();
  if (logs[0] !== position.file)
    throw new PlainFailure(
      `${position.file} is not in ${changes}; with what is there nothing can be done again.`,
    );
  const child = spawn(
    "mariadb-binlog",
    [
      "--no-defaults",
      `--database=${database}`,
      `--start-position=${position.at}`,
      `--stop-datetime=${at.slice(0, 19).replace("T", " ")}`,
      ...logs.map((name) => path.join(changes, name)),
    ],
    { stdio: ["ignore", "pipe", "pipe"], env: { ...process.env, TZ: "UTC" } },
  );
  const ended = endOf(child);
  await Promise.all([intoDatabase(options, database, [child.stdout]), ended]);
}

/** The file itself, or what it seals, in another file. */
async function opened(file, place) {
  if (!isSealed(readHead(file))) return file;
  const key = backupKey();
  if (!key) throw new PlainFailure("This backup is sealed: set BACKUP_KEY to the key that it was made with.");
  await pipeline(createReadStream(file), opening(key), createWriteStream(place, { mode: 0o600 }));
  return place;
}

function readHead(file) {
  const head = Buffer.alloc(8);
  const opened = openSync(file, "r");
  readSync(opened, head);
  closeSync(opened);
  return head;
}

/** Hands statements to the database's own client, which stops at the first that fails. */
async function intoDatabase(options, database, streams) {
  const child = spawn("mariadb", [options, "--default-character-set=utf8mb4", database], {
    stdio: ["pipe", "pipe", "pipe"],
  });
  const ended = endOf(child);
  await Promise.all([pipeline(...streams, child.stdin), ended]);
}

/** The account goes in by a file that only this user can read: an argument could be read by everybody. */
async function withOptions(url, work) {
  const { hostname, port, username, password, pathname } = new URL(url);
  const folder = mkdtempSync(path.join(os.tmpdir(), "stair-dump-"));
  const file = path.join(folder, "options");
  const line = (name, value) => `${name}="${decodeURIComponent(value).replaceAll('"', '\\"')}"\n`;
  writeFileSync(
    file,
    `[client]\nprotocol=tcp\n${line("host", hostname)}port=${port || 3306}\n${line("user", username)}${line("password", password)}${sealedWay()}`,
    { mode: 0o600 },
  );
  try {
    await work(`--defaults-file=${file}`, pathname.slice(1));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The same terms as the application's own: with DATABASE_CA no other server is spoken to. */
const sealedWay = () =>
  process.env.DATABASE_CA ? `ssl-ca="${process.env.DATABASE_CA}"\nssl-verify-server-cert\n` : "";

function endOf(child) {
  return new Promise((resolve, reject) => {
    let said = "";
    child.stderr.on("data", (chunk) => (said += chunk));
    child.once("error", (error) =>
      reject(new PlainFailure(`${child.spawnfile} could not be run: ${error.message}`)),
    );
    child.once("close", (code) => {
      if (code === 0) resolve();
      else reject(new PlainFailure(`${child.spawnfile} failed: ${said.trim()}`));
    });
  });
}
