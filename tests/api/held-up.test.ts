import { setTimeout as sleep } from "node:timers/promises";
import type { RowDataPacket } from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { makeDatabase, type Database } from "~/server/db/database";
import { nodesOf } from "~/server/db/nodes";
import type { CaseloadRow } from "~/contract/clinic";
import { signedIn } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";

let servers: Servers;

beforeAll(async () => {
  servers = await startServers(1);
});
afterAll(() => servers.stop());

describe("a process that stood still for longer than it waits for a connection", () => {
  const waits = 500;
  /** The process does nothing at all for a while: the answers lie there, and the time is up when it looks. */
  const standStill = () => Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 2 * waits);
  const open = () => {
    const uri = servers.database.appUrl;
    return makeDatabase({ uri, connectTimeout: waits }, nodesOf(uri));
  };

  it.each([
    [
      "writes: nothing was sent yet",
      (db: Database) =>
        db.execute("INSERT INTO leases (name, holder, expires_at) VALUES (?, ?, ?)", [
          "held-up",
          uuid(),
          "2026-03-10 09:00:00",
        ]),
    ],
    ["reads", (db: Database) => db.query<RowDataPacket[]>("SELECT 1")],
    [
      "counts, for a library that wants to be called back",
      (db: Database) =>
        new Promise((resolve, reject) =>
          db.store.getConnection((error, connection) => {
            connection?.release();
            if (error) reject(error as Error);
            else resolve(connection);
          }),
        ),
    ],
  ])("%s", async (_what, work) => {
    const database = open();
    const working = work(database);
    working.catch(() => undefined);
    // The name of the server is looked up first, and the connection begun.
    await sleep(1);
    standStill();
    await expect(working).resolves.toBeDefined();
    await database.end();
  });
});

it("while a record is judged by every school, day by day, everybody else is answered", async () => {
  const one = await signedIn(servers.urls[0] as string);
  const { rows } = (await one.get("/api/caseload")).body as { rows: CaseloadRow[] };
  const id = rows.find(({ person }) => person.familyName === "Marchbanks")?.episodeId ?? "";
  const { items } = (await one.get(`/api/episodes/${id}`)).body as { items: { itemId: string }[] };
  let isDone = false;
  const asked = items.map(({ itemId }) => one.get(`/api/episodes/${id}/schools?item=${itemId}`));
  const long = Promise.all(asked).finally(() => (isDone = true));
  let answered = 0;
  for (; !isDone; answered += 1) expect((await fetch(`${servers.urls[0]}/health`)).status).toBe(200);
  expect((await long).map(({ status }) => status)).toEqual(items.map(() => 200));
  // Done in one go instead it is eight: those answered while the process asks its database.
  expect(answered).toBeGreaterThan(60);
});
