import { spawn } from "node:child_process";
import { createReadStream, createWriteStream, mkdtempSync, renameSync, rmSync, writeFileSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { pipeline } from "node:stream/promises";
import { createGunzip, createGzip } from "node:zlib";
import { PlainFailure } from "./say.mjs";

/**
 * Writes everything in a database into a file, as of one instant, whoever writes meanwhile. The file holds the names of
 * patients: it can be read by its owner alone. A file that is there is replaced when the new one is whole.
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
    await pipeline(child.stdout, createGzip(), createWriteStream(unfinished, { mode: 0o600 }));
    await ended;
  });
  renameSync(unfinished, file);
}

/** Reads a file of `backUp` into a database that has nothing in it. */
export async function restore(ownerUrl, file) {
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
