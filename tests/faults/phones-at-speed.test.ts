import mysql, { type RowDataPacket } from "mysql2/promise";
import { afterAll, beforeAll, expect, it } from "vitest";
import { signedIn } from "~tests/harness/client";
import { lying, tellAtSpeed } from "~tests/harness/phone-load";
import { startOwnServers, type Servers } from "~tests/harness/servers";

let servers: Servers;
let doomed: { url: string; pid: number };

beforeAll(async () => {
  servers = await startOwnServers(1);
  doomed = await servers.startApp();
});
afterAll(() => servers.stop());

it("sixty phone writes a second for a minute, one in twenty sent again, a process killed on the way: nothing lost, nothing doubled", async () => {
  const staff = await signedIn(servers.urls[0] as string);
  const told = await tellAtSpeed(staff, {
    urls: [servers.urls[0] as string, doomed.url],
    people: 40,
    aSecond: 60,
    forSeconds: 60,
    replayEvery: 20,
    meanwhile: [[20, () => process.kill(doomed.pid, "SIGKILL")]],
  });
  const { ids, took, resent, replayed, seconds } = told;

  const owner = await mysql.createConnection({ uri: servers.database.ownerUrl, dateStrings: true });
  const [rows] = await owner.query<RowDataPacket[]>("SELECT id FROM sessions WHERE id IN (?)", [ids]);
  const [[all]] = await owner.query<RowDataPacket[]>(
    "SELECT COUNT(*) AS n FROM sessions s JOIN episodes e ON e.id = s.episode_id JOIN people p ON p.id = e.person_id WHERE p.given_name = 'Runa'",
  );
  await owner.end();
  process.stdout.write(
    `${ids.length} told in ${seconds.toFixed(0)} s, ${replayed} sent again, ${resent} tried anew; the middle one took ${lying(took)} ms\n`,
  );
  expect(new Set(rows.map(({ id }) => String(id)))).toEqual(new Set(ids));
  expect(Number(all?.["n"])).toBe(ids.length);
  expect(resent).toBeGreaterThan(0);
  expect((await staff.get("/api/caseload")).status).toBe(200);
});
