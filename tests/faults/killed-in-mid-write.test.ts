import mysql, { type Connection, type RowDataPacket } from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { startOwnServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client } from "~tests/harness/client";
import { fencer, squeezeSession } from "~tests/harness/story";
import { endProcess } from "../../tools/machine/processes.mjs";

let servers: Servers;
let owner: Connection;
let app: Connection;

const connect = (uri: string) => mysql.createConnection({ uri, timezone: "Z", dateStrings: true });

beforeAll(async () => {
  servers = await startOwnServers(1);
  owner = await connect(servers.database.ownerUrl);
  app = await connect(servers.database.appUrl);
});
afterAll(async () => {
  owner.destroy();
  app.destroy();
  await servers.stop();
});

describe("nothing acknowledged is lost", () => {
  const count = async () => {
    const [rows] = await owner.query<RowDataPacket[]>("SELECT id FROM sessions WHERE episode_id = ?", [
      fencer,
    ]);
    return new Set(rows.map((row) => String(row["id"])));
  };
  /** Writes sessions one after the other and kills `pid` after a few; returns the acknowledged ids. */
  const sent: ReturnType<typeof squeezeSession>[] = [];
  const writeUntilDead = async (client: Client, pid: number) => {
    const acknowledged: string[] = [];
    for (let n = 0; n < 400; n += 1) {
      const minute = String(n % 60).padStart(2, "0");
      const body = squeezeSession("fencer", {
        occurredAt: `2026-03-10T0${Math.floor(n / 60)}:${minute}:00Z`,
      });
      const reply = await client.post(`/api/episodes/${fencer}/sessions`, body).catch(() => null);
      if (reply?.status !== 201) return acknowledged;
      acknowledged.push(body.id);
      sent.push(body);
      if (acknowledged.length === 4) setTimeout(() => process.kill(pid, "SIGKILL"), 15);
    }
    return acknowledged;
  };

  it("when the application is killed in mid-write", async () => {
    const doomed = await servers.startApp();
    const client = (await signedIn(servers.urls[0] as string)).at(doomed.url);
    const acknowledged = await writeUntilDead(client, doomed.pid);
    expect(acknowledged.length).toBeGreaterThan(3);
    const kept = await count();
    for (const id of acknowledged) expect(kept).toContain(id);
  });

  it("when MariaDB is killed in mid-write; the same processes go on by themselves when it is back", async () => {
    const client = await signedIn(servers.urls[0] as string);
    const pid = servers.database.pid() as number;
    const acknowledged = await writeUntilDead(client, pid);
    expect(acknowledged.length).toBeGreaterThan(3);

    const api = await client.get("/api/caseload");
    expect([api.status, api.body.type]).toEqual([503, "/problems/database-unavailable"]);
    const page = await client.get("/");
    expect([page.status, page.headers.get("refresh")]).toEqual([503, "5"]);
    expect((await client.get("/ready")).status).toBe(503);
    expect((await client.get("/health")).status).toBe(200);

    await endProcess(pid);
    await servers.database.restart();
    owner.destroy();
    owner = await connect(servers.database.ownerUrl);
    const kept = await count();
    for (const id of acknowledged) expect(kept).toContain(id);
    expect((await client.get("/ready")).status).toBe(200);
    expect((await client.get("/")).status).toBe(200);
    const first = sent.find((body) => body.id === acknowledged[0]);
    const again = await client.post(`/api/episodes/${fencer}/sessions`, first);
    expect(again.body.repeated).toBe(true);
    expect((await count()).size).toBe(kept.size);
  });
});
