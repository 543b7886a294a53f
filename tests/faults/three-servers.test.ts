import { readFileSync } from "node:fs";
import { connect, type ConnectionOptions } from "node:tls";
import mysql, { type RowDataPacket } from "mysql2/promise";
import { afterAll, beforeAll, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { checksums } from "~tests/harness/checksums";
import { signedIn, type Client } from "~tests/harness/client";
import { faultsIn } from "~tests/harness/history";
import { liveHistory } from "~tests/harness/live-history";
import { lying, tellAtSpeed } from "~tests/harness/phone-load";
import { fencer, skater } from "~tests/harness/story";
import { startThreeServers, type ThreeServers } from "~tests/harness/three-servers";
import { endProcess } from "../../tools/machine/processes.mjs";

let three: ThreeServers;
let urls: string[];
let staff: Client;

beforeAll(async () => {
  three = await startThreeServers();
  urls = [(await three.startApp(0)).url, (await three.startApp(1)).url];
  staff = await signedIn(urls[0] as string);
});
afterAll(() => three.stop());

const ownerAt = (n: number) =>
  mysql.createConnection({
    uri: three.cluster.ownerUrl,
    port: three.cluster.servers[n]?.port as number,
    dateStrings: true,
  });

/** Kills a server and starts it again: it takes what it missed from the others. */
async function killServer(n: number) {
  const pid = three.cluster.pid(n) as number;
  process.kill(pid, "SIGKILL");
  await endProcess(pid);
  await three.cluster.restart(n);
}

/** Holds a server still for some seconds: it answers nothing, and its connections stay open. */
async function holdStill(n: number, ms: number) {
  const pid = three.cluster.pid(n) as number;
  process.kill(pid, "SIGSTOP");
  await new Promise((resolve) => setTimeout(resolve, ms));
  process.kill(pid, "SIGCONT");
}

const sumsAt = (n: number) => checksums(three.cluster.ownerUrl, three.cluster.servers[n]?.port);

/** What was due in each ten seconds. */
const tens = (took: readonly number[]) =>
  Array.from({ length: 9 }, (_, n) => took.slice(n * 600, (n + 1) * 600));

/** What becomes of somebody who comes to where the servers speak to one another: why it ended, or that it did not. */
const asNeighbour = (options: Partial<ConnectionOptions>) =>
  new Promise<string>((resolve) => {
    const { port, certificate } = three.cluster.between(0);
    const own = { ca: readFileSync(certificate), checkServerIdentity: () => undefined, ...options };
    const socket = connect({ host: "127.0.0.1", port, ...own });
    socket.once("error", (error: NodeJS.ErrnoException) => resolve(error.code ?? error.message));
    socket.once("data", () => {
      resolve(`spoken to, ${socket.getProtocol() ?? "open"}`);
      socket.destroy();
    });
  });

it("what the servers say to one another is sealed, and said to who has their certificate alone", async () => {
  const { certificate, key } = three.cluster.between(0);
  const own = { cert: readFileSync(certificate), key: readFileSync(key) };
  expect(await asNeighbour(own)).toBe("spoken to, TLSv1.3");
  expect(await asNeighbour({})).toMatch(/^(ERR_SSL|ECONNRESET)/);
});

it("every table has a key of its own, which servers that hold the same need", async () => {
  const db = await ownerAt(0);
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT t.TABLE_NAME AS name, t.ENGINE AS engine FROM information_schema.TABLES t
      WHERE t.TABLE_SCHEMA = DATABASE() AND (t.ENGINE <> 'InnoDB' OR NOT EXISTS (
        SELECT 1 FROM information_schema.TABLE_CONSTRAINTS c
         WHERE c.TABLE_SCHEMA = t.TABLE_SCHEMA AND c.TABLE_NAME = t.TABLE_NAME AND c.CONSTRAINT_TYPE = 'PRIMARY KEY'))`,
  );
  await db.end();
  expect(rows).toEqual([]);
});

it("a stop signal taken at one process stands at the other at once", async () => {
  const other = staff.at(urls[1] as string);
  await other.get(`/api/episodes/${skater}`);
  const reply = await staff.post(`/api/episodes/${skater}/signals`, {
    id: uuid(),
    code: "calf-hot",
  });
  expect(reply.status).toBe(201);
  const seen = await other.get(`/api/episodes/${skater}`);
  expect(JSON.stringify(seen.body)).toContain("calf-hot");
});

it("sixty writes a second while each server is killed in turn, one is held still, and a process is killed: 0 lost, 0 doubled", async () => {
  const doomed = await three.startApp(2);
  const told = await tellAtSpeed(staff, {
    urls: [...urls, doomed.url],
    people: 40,
    aSecond: 60,
    forSeconds: 90,
    replayEvery: 20,
    meanwhile: [
      [10, () => killServer(0)],
      [30, () => killServer(1)],
      [45, () => process.kill(doomed.pid, "SIGKILL")],
      [50, () => killServer(2)],
      [70, () => holdStill(0, 8_000)],
    ],
  });
  const { ids, took, resent, replayed, seconds } = told;
  process.stdout.write(
    `three servers: ${ids.length} told in ${seconds.toFixed(0)} s, ${replayed} sent again, ${resent} tried anew; ` +
      `the middle one took ${lying(took)} ms, one in a hundred more than ${lying(took, 0.99)} ms, the slowest ${Math.max(...took)} ms\n` +
      `the middle one of every ten seconds, in ms: ${tens(took)
        .map((part) => lying(part))
        .join(", ")}\n`,
  );
  const db = await ownerAt(1);
  const [rows] = await db.query<RowDataPacket[]>("SELECT id FROM sessions WHERE id IN (?)", [ids]);
  const [[all]] = await db.query<RowDataPacket[]>(
    "SELECT COUNT(*) AS n FROM sessions s JOIN episodes e ON e.id = s.episode_id JOIN people p ON p.id = e.person_id WHERE p.given_name = 'Runa'",
  );
  await db.end();
  expect(new Set(rows.map(({ id }) => String(id)))).toEqual(new Set(ids));
  expect(Number(all?.["n"])).toBe(ids.length);
});

it("the caseload is right afterwards: the same at both processes, and the same worked out from nothing", async () => {
  const other = staff.at(urls[1] as string);
  const rowsAt = async (client: Client) => (await client.get("/api/caseload")).body.rows as unknown;
  const kept = await rowsAt(staff);
  expect(await rowsAt(other)).toEqual(kept);
  const db = await ownerAt(0);
  await db.query("UPDATE caseload_rows SET valid_until = '2000-01-01', engine_version = ''");
  await db.end();
  expect(await rowsAt(other)).toEqual(kept);
});

it("one record written and read at both processes while servers are killed: one order, seen by everybody", async () => {
  const { writes, reads } = await liveHistory({
    clients: urls.map((url) => staff.at(url)),
    episode: fencer,
    key: "fencer",
    writers: 4,
    readers: 4,
    seconds: 40,
    meanwhile: [
      [6, () => killServer(0)],
      [24, () => killServer(1)],
    ],
  });
  process.stdout.write(`three servers: ${writes.length} writes, ${reads.length} readings of one record\n`);
  expect(writes.filter(({ answeredAt }) => answeredAt === null)).toEqual([]);
  expect(writes.length).toBeGreaterThan(40);
  expect(reads.at(-1)?.ids).toHaveLength(writes.length);
  expect(faultsIn(writes, reads)).toEqual([]);
});

it("all three hold the same in the end, by checksums of every table", async () => {
  await expect
    .poll(
      async () => {
        const [one, two, last] = [await sumsAt(0), await sumsAt(1), await sumsAt(2)];
        return JSON.stringify(one) === JSON.stringify(two) && JSON.stringify(one) === JSON.stringify(last);
      },
      { timeout: 30_000, interval: 1000 },
    )
    .toBe(true);
});
