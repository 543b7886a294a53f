import { mkdtempSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import mysql, { type RowDataPacket } from "mysql2/promise";
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from "vitest";
import { connectionOptions } from "~/server/db/connection";
import { makeCertificate } from "~tests/harness/certificate";
import { Client, signedIn } from "~tests/harness/client";
import { startOwnServers, type Servers } from "~tests/harness/servers";
import { backUp } from "../../tools/machine/dump.mjs";
import { endProcess } from "../../tools/machine/processes.mjs";

/** The way to a database elsewhere (OWASP ASVS 5, V12.3: internal services by TLS, certificates checked). */
let servers: Servers;
let folder: string;
let own: { cert: string; key: string };
let other: { cert: string; key: string };

const underTls = ({ cert, key }: typeof own) => [
  `--ssl-cert=${cert}`,
  `--ssl-key=${key}`,
  "--require-secure-transport=ON",
];
const unavailable = [503, "/problems/database-unavailable"];

beforeAll(async () => {
  folder = mkdtempSync(path.join(os.tmpdir(), "stair-way-"));
  own = await makeCertificate(folder, "localhost");
  other = await makeCertificate(folder, "elsewhere.example");
  servers = await startOwnServers(0, {
    arguments: underTls(own),
  });
});
afterEach(() => vi.unstubAllEnvs());
afterAll(async () => {
  await servers.stop();
  rmSync(folder, { recursive: true, force: true });
});

const byName = (url: string) => url.replace("@127.0.0.1:", "@localhost:");
const readyAt = async (env: Record<string, string>) => {
  const { url } = await servers.startApp(env);
  return { url, reply: await new Client(url).get("/ready") };
};

describe("a database that is spoken to by TLS alone", () => {
  it("serves a process that knows by whom its certificate is signed, and by the name in it", async () => {
    const env = { DATABASE_CA: own.cert, DATABASE_URL: byName(servers.database.appUrl) };
    const { url, reply } = await readyAt(env);
    expect(reply.status).toBe(200);
    expect((await (await signedIn(url)).get("/api/caseload")).status).toBe(200);
    vi.stubEnv("DATABASE_CA", own.cert);
    const db = await mysql.createConnection(connectionOptions(byName(servers.database.ownerUrl)));
    const [[row]] = await db.query<RowDataPacket[]>("SHOW STATUS LIKE 'Ssl_version'");
    await db.end();
    expect(row?.["Value"]).toMatch(/^TLSv1\.[23]$/);
  });

  it("is backed up by the same way", async () => {
    vi.stubEnv("DATABASE_CA", own.cert);
    await backUp(byName(servers.database.ownerUrl), path.join(folder, "clinic.sql.gz"));
    vi.stubEnv("DATABASE_CA", other.cert);
    await expect(backUp(byName(servers.database.ownerUrl), path.join(folder, "no.sql.gz"))).rejects.toThrow(
      /SSL|TLS|certificate/i,
    );
  });

  it.each([
    [
      "signed by somebody else",
      () => ({ DATABASE_CA: other.cert, DATABASE_URL: byName(servers.database.appUrl) }),
    ],
    ["named by a number", () => ({ DATABASE_CA: own.cert })],
    ["not asked for at all", () => ({ DATABASE_URL: byName(servers.database.appUrl) })],
  ])("is not spoken to where its certificate is %s: 503, nothing told", async (_, env) => {
    const { reply } = await readyAt(env());
    expect([reply.status, reply.body.type]).toEqual(unavailable);
  });

  it("is not spoken to either where the certificate is known and of another name", async () => {
    await endProcess(servers.database.pid() as number);
    await servers.database.restart({ arguments: underTls(other) });
    const { reply } = await readyAt({
      DATABASE_CA: other.cert,
      DATABASE_URL: byName(servers.database.appUrl),
    });
    expect([reply.status, reply.body.type]).toEqual(unavailable);
  });
});
