import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import mysql, { type Connection } from "mysql2/promise";
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from "vitest";
import { Client, signedIn } from "~tests/harness/client";
import { startOwnServers, type Servers } from "~tests/harness/servers";
import { fencer, squeezeSession } from "~tests/harness/story";
import { backUp, restore } from "../../tools/machine/dump.mjs";
import { startMariaDb } from "../../tools/machine/mariadb.mjs";

let servers: Servers;
let root: Connection;
let clinician: Client;
let url: string;

beforeAll(async () => {
  servers = await startOwnServers(1);
  url = servers.urls[0] as string;
  root = await mysql.createConnection(servers.database.root);
  clinician = await signedIn(url);
});
afterAll(async () => {
  root.destroy();
  await servers.stop();
});

describe("a database that takes nothing", () => {
  it("is read on; every write says so and loses nothing; a banner stands on the pages until it takes things again", async () => {
    await root.query("SET GLOBAL read_only = ON");
    const session = squeezeSession("fencer");
    const refused = await clinician.post(`/api/episodes/${fencer}/sessions`, session);
    expect([refused.status, refused.body.type]).toEqual([503, "/problems/reading-only"]);
    expect(refused.body.title).toContain("Nothing was saved");
    for (const path of ["/api/caseload", `/api/episodes/${fencer}`, `/api/episodes/${fencer}/record`])
      expect([path, (await clinician.get(path)).status]).toEqual([path, 200]);
    const page = await clinician.get(`/episodes/${fencer}`);
    expect([page.status, page.body]).toEqual([200, expect.stringContaining("Only reading works just now")]);
    await root.query("SET GLOBAL read_only = OFF");
    expect((await clinician.post(`/api/episodes/${fencer}/sessions`, session)).body).toMatchObject({
      id: session.id,
      repeated: false,
    });
  });
});

describe("what is counted", () => {
  it("is told to this machine in the text format of metrics, without an id or a name in it", async () => {
    await clinician.get(`/api/episodes/${fencer}`);
    const { status, headers, body } = await new Client(url).get("/metrics");
    expect([status, headers.get("content-type")]).toEqual([200, expect.stringContaining("text/plain")]);
    expect(body).toMatch(
      /^stair_answer_seconds_count\{route="\/api\/episodes\/\[id\]",method="GET",status="2xx"\} \d+$/m,
    );
    expect(body).toMatch(/^stair_log_waiting \d+$/m);
    expect(body).toMatch(/^process_cpu_seconds_total /m);
    expect(body).not.toMatch(/[0-9a-f]{8}-[0-9a-f]{4}/);
    expect(body).not.toContain("Stanhope");
  });

  it("is nothing to whoever comes through a proxy, or by another name", async () => {
    const asked = (headers: Record<string, string>) =>
      new Client(url).send("GET", "/metrics", undefined, headers);
    expect((await asked({ "x-forwarded-for": "198.51.100.7" })).status).toBe(404);
    expect(
      (await clinician.send("GET", "/metrics?x=1", undefined, { "x-forwarded-for": "::1" })).status,
    ).toBe(404);
  });
});

describe("a backup", () => {
  const key = Buffer.alloc(32, 5).toString("base64");
  afterEach(() => vi.unstubAllEnvs());

  it("sealed with a key says nothing without it, comes back whole with it, and not at all when a byte of it was altered", async () => {
    const folder = mkdtempSync(path.join(os.tmpdir(), "stair-sealed-"));
    const file = path.join(folder, "clinic.backup");
    vi.stubEnv("BACKUP_KEY", key);
    await backUp(servers.database.ownerUrl, file);
    const bytes = readFileSync(file);
    expect(bytes.subarray(0, 8).toString()).toBe("STAIRBK1");
    const other = await startMariaDb(path.join(folder, "db"), { keepRunning: false, quiet: true });
    const tables = async () => {
      const copy = await mysql.createConnection({ uri: other.ownerUrl });
      const [rows] = await copy.query<mysql.RowDataPacket[]>("SHOW TABLES");
      copy.destroy();
      return rows.length;
    };
    try {
      for (const wrong of ["", Buffer.alloc(32, 6).toString("base64")]) {
        vi.stubEnv("BACKUP_KEY", wrong);
        await expect(restore(other.ownerUrl, file)).rejects.toThrow(/BACKUP_KEY/);
      }
      vi.stubEnv("BACKUP_KEY", key);
      const altered = Buffer.from(bytes);
      altered[5000] = (altered[5000] ?? 0) ^ 1;
      writeFileSync(path.join(folder, "altered"), altered);
      await expect(restore(other.ownerUrl, path.join(folder, "altered"))).rejects.toThrow(/altered/);
      writeFileSync(path.join(folder, "cut"), bytes.subarray(0, bytes.length - 100));
      await expect(restore(other.ownerUrl, path.join(folder, "cut"))).rejects.toThrow(/cut off/);
      expect(await tables()).toBe(0);
      await restore(other.ownerUrl, file);
      expect(await tables()).toBeGreaterThan(40);
    } finally {
      await other.stop();
      rmSync(folder, { recursive: true, force: true });
    }
  });
});
