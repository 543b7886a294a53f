import { spawn } from "node:child_process";
import {
  closeSync,
  createReadStream,
  createWriteStream,
  mkdtempSync,
  openSync,
  readSync,
  renameSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import os from "node:os";
import path from "node:path";
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
        // A lease is held by a process, and ends with it: nobody holds one in a database that was restored.
        `--ignore-table-data=${database}.leases`,
        database,
      ],
      { stdio: ["ignore", "pipe", "pipe"] },
    );
    const ended = endOf(child);
    const key = backupKey();
    const through = key ? [createGzip(), sealing(key)] : [createGzip()];
    await pipeline(child.stdout, ...through, createWriteStream(unfinished, { mode: 0o600 }));
    await ended;
  });
  renameSync(unfinished, file);
}

/** Reads a file of `backUp` into a database that has nothing in it. A sealed one is opened whole before anything is read. */
export async function restore(ownerUrl, file) {
  const folder = mkdtempSync(path.join(os.tmpdir(), "stair-restore-"));
  try {
    await restorePlain(ownerUrl, await opened(file, path.join(folder, "backup.sql.gz")));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
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

async function restorePlain(ownerUrl, file) {
  await withOptions(ownerUrl, async (options, database) => {
    const child = spawn("mariadb", [options, "--default-character-set=utf8mb4", database], {
      stdio: ["pipe", "pipe", "pipe"],
    });
    const ended = endOf(child);
    await Promise.all([pipeline(createReadStream(file), createGunzip(), child.stdin), ended]);
  });
}

/** The account goes in by a file that only this user can read: an argument could be read by everybody. */
async function withOptions(url, work) {
  const { hostname, port, username, password, pathname } = new URL(url);
  const folder = mkdtempSync(path.join(os.tmpdir(), "stair-dump-"));
  const file = path.join(folder, "options");
  const line = (name, value) => `${name}="${decodeURIComponent(value).replaceAll('"', '\\"')}"\n`;
  writeFileSync(
    file,
    `[client]\n${line("host", hostname)}port=${port || 3306}\n${line("user", username)}${line("password", password)}`,
    { mode: 0o600 },
  );
  try {
    await work(`--defaults-file=${file}`, pathname.slice(1));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

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
