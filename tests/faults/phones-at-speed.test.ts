import mysql, { type RowDataPacket } from "mysql2/promise";
import { afterAll, beforeAll, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { PhoneView } from "~/contract/phone";
import { someIntake } from "~tests/builders/intake";
import { begin, item } from "~tests/harness/at-clinic";
import { Client, signedIn, type Reply } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";

const people = 40;
const aSecond = 60;
const forSeconds = 60;
/** One in so many is sent once more after it was answered, as a phone does that lost the answer. */
const replayEvery = 20;
const killAtSecond = 20;
const patienceMs = 120_000;

let servers: Servers;
let doomed: { url: string; pid: number };

beforeAll(async () => {
  servers = await startServers(1);
  doomed = await servers.startApp();
});
afterAll(() => servers.stop());

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const middle = (numbers: number[]) => numbers.sort((a, b) => a - b)[Math.floor(numbers.length / 2)] ?? NaN;

/** Somebody new with one exercise, and a phone on which their plan is open. */
async function somebody(staff: Client): Promise<{ phone: Client; itemId: string }> {
  const itemId = uuid();
  const id = await begin(
    { client: staff },
    ["kneecap-pain", "capacity", "squat-free"],
    { person: { ...someIntake("kneecap-pain").person, familyName: itemId } },
    { items: [{ ...item("squat-free"), id: itemId }] },
  );
  const { token } = (await staff.post(`/api/episodes/${id}/phones`, undefined)).body as { token: string };
  const phone = new Client(servers.urls[0] as string);
  expect((await phone.post("/api/phone/openings", { token })).status).toBe(200);
  return { phone, itemId };
}

it("sixty phone writes a second for a minute, one in twenty sent again, a process killed on the way: nothing lost, nothing doubled", async () => {
  const staff = await signedIn(servers.urls[0] as string);
  const sources: Awaited<ReturnType<typeof somebody>>[] = [];
  for (let n = 0; n < people; n += 1) sources.push(await somebody(staff));
  const { asOf } = (await sources[0]?.phone.get("/api/phone"))?.body as PhoneView;
  const took: number[] = [];
  let [resent, replayed] = [0, 0];

  /** Sends a piece until it is answered, as a phone's queue does; a process that is gone is left for the other. */
  async function deliver(phone: Client, body: object, first: string): Promise<Reply> {
    const until = Date.now() + patienceMs;
    for (let url = first; Date.now() < until; url = servers.urls[0] as string) {
      const reply = await phone
        .at(url)
        .post("/api/phone/sessions", body)
        .catch(() => null);
      if (reply && reply.status < 500) return reply;
      resent += 1;
      await wait(250);
    }
    throw new Error("nobody answered");
  }

  async function tell(n: number): Promise<string> {
    const { phone, itemId } = sources[n % people] as (typeof sources)[number];
    const id = uuid();
    const sets = [12, 12].map((reps) => ({
      side: "both",
      reps,
      painDuring: 1,
      painSite: "episode",
      effort: 5,
      faults: [],
    }));
    const occurredAt = new Date(Date.parse(asOf) - 1000 * (n + 1)).toISOString();
    const body = { id, occurredAt, sentAt: asOf, painBefore: 1, items: [{ itemId, sets }] };
    const began = Date.now();
    const reply = await deliver(phone, body, n % 2 ? doomed.url : (servers.urls[0] as string));
    took.push(Date.now() - began);
    expect([201, reply.body.id ?? id]).toEqual([reply.status, id]);
    if (n % replayEvery === 0) {
      replayed += 1;
      expect((await deliver(phone, body, servers.urls[0] as string)).body).toMatchObject({ repeated: true });
    }
    return id;
  }

  const begun = Date.now();
  const sent: Promise<string>[] = [];
  for (let n = 0; n < aSecond * forSeconds; n += 1) {
    const due = begun + (1000 * n) / aSecond;
    if (due > Date.now()) await wait(due - Date.now());
    if (n === killAtSecond * aSecond) process.kill(doomed.pid, "SIGKILL");
    sent.push(tell(n));
  }
  const ids = await Promise.all(sent);
  const seconds = (Date.now() - begun) / 1000;

  const owner = await mysql.createConnection({ uri: servers.database.ownerUrl, dateStrings: true });
  const [rows] = await owner.query<RowDataPacket[]>("SELECT id FROM sessions WHERE id IN (?)", [ids]);
  const [[all]] = await owner.query<RowDataPacket[]>(
    "SELECT COUNT(*) AS n FROM sessions s JOIN episodes e ON e.id = s.episode_id JOIN people p ON p.id = e.person_id WHERE p.given_name = 'Runa'",
  );
  await owner.end();
  process.stdout.write(
    `${ids.length} told in ${seconds.toFixed(0)} s, ${replayed} sent again, ${resent} tried anew; the middle one took ${middle(took)} ms\n`,
  );
  expect(new Set(rows.map(({ id }) => String(id)))).toEqual(new Set(ids));
  expect(Number(all?.["n"])).toBe(ids.length);
  expect(resent).toBeGreaterThan(0);
  expect((await staff.get("/api/caseload")).status).toBe(200);
});
