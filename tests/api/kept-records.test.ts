import mysql from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client } from "~tests/harness/client";
import { fencer, squeezeSession } from "~tests/harness/story";

let servers: Servers;
let one: Client;
let two: Client;

beforeAll(async () => {
  servers = await startServers(2);
  one = await signedIn(servers.urls[0] as string);
  two = one.at(servers.urls[1] as string);
});
afterAll(() => servers.stop());

const at = (id: string, what: string) => `/api/episodes/${id}/${what}`;

describe("what a process keeps of a record", () => {
  it("is never older than the record: writes in turn at two processes are seen whole at either", async () => {
    const ids: string[] = [];
    for (let n = 0; n < 8; n += 1) {
      const [writer, reader] = n % 2 === 0 ? [one, two] : [two, one];
      const before = (await reader.get(`/api/episodes/${fencer}`)).body.version;
      const session = squeezeSession("fencer", { painBefore: n % 3 }, { effort: 5 + (n % 3) });
      ids.push(session.id);
      expect((await writer.post(at(fencer, "sessions"), session)).status).toBe(201);
      expect((await writer.get(`/api/episodes/${fencer}`)).body.version).toBe(before + 1);
      const file = (await reader.get(at(fencer, "case"))).body;
      const own = (await writer.get(at(fencer, "case"))).body;
      expect(own).toEqual({ ...file, asOf: own.asOf });
      expect(file.sessions.map((s: { id: string }) => s.id)).toEqual(expect.arrayContaining(ids));
    }
  });

  it("what was recorded out of its order stands in its place, at the process that wrote it as at the other", async () => {
    for (const minute of [40, 10, 30, 10, 20]) {
      const session = squeezeSession("fencer", { occurredAt: `2026-03-09T08:${minute}:00.000Z` });
      expect((await one.post(at(fencer, "sessions"), session)).status).toBe(201);
      const own = (await one.get(at(fencer, "case"))).body;
      expect(own).toEqual({ ...(await two.get(at(fencer, "case"))).body, asOf: own.asOf });
    }
  });

  it("a write that is refused leaves no trace, there or in what is kept", async () => {
    const before = (await one.get(at(fencer, "case"))).body;
    const wrong = squeezeSession("fencer", { supersedes: uuid() });
    expect((await one.post(at(fencer, "sessions"), wrong)).status).toBe(422);
    const after = (await one.get(at(fencer, "case"))).body;
    expect(after).toEqual({ ...before, asOf: after.asOf });
  });

  it("every kind of write is read again by the process that made it", async () => {
    const school = { id: uuid(), school: "pain-free", reason: "to be careful" };
    expect((await one.post(at(fencer, "school"), school)).body.stair.school).toBe("pain-free");
    const result = {
      id: uuid(),
      measure: "squeeze-force",
      side: "none",
      trials: [200],
      occasion: "since-injury",
    };
    const visit = { id: uuid(), takenOn: "2026-03-10", results: [result] };
    const recorded = await one.post(at(fencer, "measures"), visit);
    expect(recorded.status).toBe(201);
    const mine = (await one.get(at(fencer, "case"))).body;
    const theirs = (await two.get(at(fencer, "case"))).body;
    expect(mine).toEqual({ ...theirs, asOf: mine.asOf });
    expect(mine.results.map((r: { id: string }) => r.id)).toContain(result.id);
    expect(mine.schools.at(-1)).toMatchObject({ school: "pain-free" });
  });

  it("is forgotten at SIGHUP, by whoever has put other data back under a running process", async () => {
    const { url, pid, output } = await servers.startApp();
    const client = one.at(url);
    const session = squeezeSession("fencer", { painBefore: 3 });
    expect((await client.post(at(fencer, "sessions"), session)).status).toBe(201);
    const painBefore = async () => {
      const { sessions } = (await client.get(at(fencer, "case"))).body;
      return sessions.find(({ id }: { id: string }) => id === session.id).painBefore;
    };
    expect(await painBefore()).toBe(3);
    const owner = await mysql.createConnection(servers.database.ownerUrl);
    await owner.execute("UPDATE sessions SET pain_before = 1 WHERE id = ?", [session.id]);
    await owner.end();
    // The version is what it was: nothing says that the row is another.
    expect(await painBefore()).toBe(3);
    process.kill(pid, "SIGHUP");
    await expect.poll(output).toContain("is forgotten");
    expect(await painBefore()).toBe(1);
  });
});
