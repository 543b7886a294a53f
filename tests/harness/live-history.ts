import { performance } from "node:perf_hooks";
import type { CaseFile } from "~/core/case/case-file";
import type { Client } from "./client";
import type { ReadSeen, WriteSeen } from "./history";
import { wait } from "./phone-load";
import { squeezeSession } from "./story";

/** Who takes part in a history, for how long, and what happens to the servers meanwhile. */
export interface LiveHistory {
  readonly clients: readonly Client[];
  /** The record that is written and read, and the person of the demo whose it is. */
  readonly episode: string;
  readonly key: string;
  readonly writers: number;
  readonly readers: number;
  readonly seconds: number;
  readonly meanwhile: readonly (readonly [second: number, act: () => unknown])[];
}

/** Sessions that stand in a record before anything is written. */
export const sessionsOf = async (client: Client, episode: string): Promise<string[] | null> => {
  const reply = await client.get(`/api/episodes/${episode}/case`).catch(() => null);
  return reply?.status === 200 ? (reply.body as CaseFile).sessions.map(({ id }) => id) : null;
};

/**
 * Writers write sessions into one record and readers read it, all at once, each at every process by turns, while things happen. A write
 * that was not answered is sent again with its id until it is; a reading that was not answered is none. The record's version is how much
 * stands in it, for nothing else is written there.
 */
export async function liveHistory(live: LiveHistory): Promise<{ writes: WriteSeen[]; reads: ReadSeen[] }> {
  const { clients, episode, key, writers, readers, seconds, meanwhile } = live;
  const before = new Set(await sessionsOf(clients[0] as Client, episode));
  const writes: WriteSeen[] = [];
  const reads: ReadSeen[] = [];
  const end = performance.now() + seconds * 1000;
  const at = (n: number) => clients[n % clients.length] as Client;
  let minute = 0;

  const write = async (writer: number) => {
    for (let n = writer; performance.now() < end; n += 1) {
      minute += 1;
      const occurredAt = new Date(Date.parse("2026-03-10T08:50:00.000Z") - minute * 1000).toISOString();
      const body = squeezeSession(key, { occurredAt });
      const place = writes.push({ id: body.id, sentAt: performance.now(), answeredAt: null }) - 1;
      for (let turn = n; performance.now() < end + 30_000; turn += 1) {
        const reply = await at(turn)
          .post(`/api/episodes/${episode}/sessions`, body)
          .catch(() => null);
        if (reply && reply.status < 500) {
          if (reply.status !== 201) throw new Error(`a session was answered with ${reply.status}`);
          writes[place] = { ...(writes[place] as WriteSeen), answeredAt: performance.now() };
          break;
        }
        await wait(100);
      }
    }
  };
  /** One reading; false where it was not answered, which is none. */
  const readOnce = async (client: Client) => {
    const askedAt = performance.now();
    const all = await sessionsOf(client, episode);
    if (!all) return false;
    const ids = all.filter((id) => !before.has(id));
    reads.push({ askedAt, answeredAt: performance.now(), version: ids.length, ids });
    return true;
  };
  const read = async (reader: number) => {
    for (let n = reader; performance.now() < end; n += 1) if (!(await readOnce(at(n)))) await wait(100);
  };
  const act = async ([second, what]: (typeof meanwhile)[number]) => {
    await wait(second * 1000);
    await what();
  };
  await Promise.all([
    ...Array.from({ length: writers }, (_, n) => write(n)),
    ...Array.from({ length: readers }, (_, n) => read(n)),
    ...meanwhile.map(act),
  ]);
  for (const client of clients) await readOnce(client);
  return { writes, reads };
}
