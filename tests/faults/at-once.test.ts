import { afterAll, beforeAll, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { CaseFile } from "~/core/case/case-file";
import type { CaseloadRow } from "~/contract/clinic";
import type { GateView } from "~/contract/gate";
import { addDays } from "~/core/schedule/local-day";
import { startOwnServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client, type Reply } from "~tests/harness/client";
import { fencer, squeezeSession } from "~tests/harness/story";

let servers: Servers;

beforeAll(async () => {
  servers = await startOwnServers(2);
});
afterAll(() => servers.stop());

const failed = (replies: readonly Reply[]) =>
  replies.filter(({ status }) => status >= 500).map(({ status, body }) => [status, body.title]);

/** Signs a move past the gate, or back again: whichever the record allows. */
async function moveStage(client: Client, id: string): Promise<Reply[]> {
  const seen = await client.get(`/api/episodes/${id}/gate`);
  const view = seen.body as GateView;
  const place = view.stages?.findIndex((stage) => stage.code === view.stage) ?? 0;
  const back = place > 0;
  const signed = await client.post(`/api/episodes/${id}/gate`, {
    id: uuid(),
    expectedVersion: view.version,
    action: back ? "back" : "override",
    stage: view.stages?.[back ? place - 1 : place + 1]?.code,
    reason: "Tried beside everything else",
  });
  return [seen, signed];
}

it("whole mornings at two processes at once: every row overtaken, everybody reads and signs, nothing fails", async () => {
  const replies: Reply[] = [];
  for (let day = 1; day <= 2; day += 1) {
    servers.setClock(`${addDays("2026-03-10", day)}T09:00:00.000Z`);
    const here = await signedIn(servers.urls[0] as string);
    const clients = [here, here.at(servers.urls[1] as string)];
    const rows = (await here.get("/api/caseload")).body.rows as CaseloadRow[];
    servers.setClock(`${addDays("2026-03-10", day)}T09:30:00.000Z`);
    const work = rows.map((row, n) => moveStage(clients[n % 2] as Client, row.episodeId));
    const reads = Array.from({ length: 16 }, (_, n) => (clients[n % 2] as Client).get("/api/caseload"));
    const done = await Promise.all([...work, ...reads.map(async (read) => [await read])]);
    replies.push(...done.flat());
  }
  expect(failed(replies)).toEqual([]);
  expect(replies.filter(({ status }) => status === 201).length).toBeGreaterThan(30);
});

it("one record written at both processes while everybody reads it: every write once, in order, no read torn", async () => {
  servers.setClock("2026-03-10T09:00:00.000Z");
  const here = await signedIn(servers.urls[0] as string);
  const clients = [here, here.at(servers.urls[1] as string)];
  const at = (n: number) => clients[n % 2] as Client;
  const before = (await here.get(`/api/episodes/${fencer}`)).body.version as number;
  const sessions = Array.from({ length: 16 }, (_, n) =>
    squeezeSession("fencer", { occurredAt: `2026-03-10T08:${String(10 + n)}:00.000Z` }),
  );
  const writes = sessions.map((session, n) => at(n).post(`/api/episodes/${fencer}/sessions`, session));
  const reads = Array.from({ length: 24 }, (_, n) =>
    at(n).get(`/api/episodes/${fencer}${["", "/case", "/record", "/gate"][n % 4]}`),
  );
  const drafts = Array.from({ length: 8 }, (_, n) => {
    const id = uuid();
    return at(n).post(`/api/episodes/${fencer}/session-draft`, {
      id,
      body: { id, painBefore: 1, items: [] },
    });
  });
  const replies = await Promise.all([...writes, ...reads, ...drafts]);
  expect(failed(replies)).toEqual([]);
  const written = replies.slice(0, sessions.length);
  expect(written.map(({ status }) => status)).toEqual(sessions.map(() => 201));
  expect((await here.get(`/api/episodes/${fencer}`)).body.version).toBe(before + sessions.length);
  for (const client of clients) {
    const file = (await client.get(`/api/episodes/${fencer}/case`)).body as CaseFile;
    const kept = file.sessions.map(({ id }) => id);
    for (const { id } of sessions) expect(kept.filter((one) => one === id)).toHaveLength(1);
    for (const { items } of file.sessions) expect(items[0]?.sets.length).toBeGreaterThan(0);
  }
});
