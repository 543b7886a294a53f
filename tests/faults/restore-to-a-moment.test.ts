import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import mysql, { type RowDataPacket } from "mysql2/promise";
import { afterAll, beforeAll, expect, it } from "vitest";
import { checksums } from "~tests/harness/checksums";
import { signedIn, type Client } from "~tests/harness/client";
import { startOwnServers, type Servers } from "~tests/harness/servers";
import { fencer, squeezeSession } from "~tests/harness/story";
import { backUp, restore } from "../../tools/machine/dump.mjs";
import { startMariaDb } from "../../tools/machine/mariadb.mjs";
import { endProcess } from "../../tools/machine/processes.mjs";

let servers: Servers;
let staff: Client;
let folder: string;

beforeAll(async () => {
  servers = await startOwnServers(1, { changeLog: true });
  staff = await signedIn(servers.urls[0] as string);
  folder = mkdtempSync(path.join(os.tmpdir(), "stair-moment-"));
});
afterAll(async () => {
  await servers.stop();
  rmSync(folder, { recursive: true, force: true });
});

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

async function record(): Promise<string> {
  const session = squeezeSession("fencer");
  expect((await staff.post(`/api/episodes/${fencer}/sessions`, session)).status).toBe(201);
  return session.id;
}

async function inCopy<T>(work: (copy: Awaited<ReturnType<typeof startMariaDb>>) => Promise<T>): Promise<T> {
  const copy = await startMariaDb(mkdtempSync(path.join(folder, "db-")), { keepRunning: false, quiet: true });
  try {
    return await work(copy);
  } finally {
    await copy.stop();
  }
}

it("what was recorded after the backup and before the moment is back, all of it; what came after it is not", async () => {
  const file = path.join(folder, "clinic.sql.gz");
  const changes = servers.database.changes;
  const before = await record();
  await backUp(servers.database.ownerUrl, file);
  // A server that is started again goes on in another file of its log.
  await endProcess(servers.database.pid() as number);
  await servers.database.restart();
  const between = await record();
  await wait(2_500); // the log of reads and writes is chained within a second or two
  const wanted = await checksums(servers.database.ownerUrl);
  await wait(1_100);
  const at = `${new Date().toISOString().slice(0, 19)}Z`;
  await wait(1_100);
  const after = await record();
  expect(readdirSync(changes).filter((name) => /\.\d+$/.test(name)).length).toBeGreaterThan(1);

  await inCopy(async (copy) => {
    await restore(copy.ownerUrl, file, { at, changes });
    expect(await checksums(copy.ownerUrl)).toEqual(wanted);
    const db = await mysql.createConnection({ uri: copy.ownerUrl });
    const [rows] = await db.query<RowDataPacket[]>("SELECT id FROM sessions WHERE id IN (?)", [
      [before, between, after],
    ]);
    const [[leases]] = await db.query<RowDataPacket[]>("SELECT COUNT(*) AS n FROM leases");
    await db.end();
    expect(rows.map(({ id }) => String(id)).sort()).toEqual([before, between].sort());
    expect(Number(leases?.["n"])).toBe(0);
  });
});

it("a log that does not reach back to the backup is refused, and nothing is taken for whole", async () => {
  const file = path.join(folder, "clinic.sql.gz");
  const empty = mkdtempSync(path.join(folder, "changes-"));
  await inCopy(async (copy) => {
    const until = { at: "2026-12-01T10:00:00Z", changes: empty };
    await expect(restore(copy.ownerUrl, file, until)).rejects.toThrow(/stair\.\d+ is not in/);
  });
});
