import http from "node:http";
import type { RowDataPacket } from "mysql2";
import { v7 as uuid } from "uuid";
import type { SessionBody } from "~/contract/daily";
import type { StairView } from "~/contract/episode";
import { sidesOf } from "~/core/exercise/sides-of";
import { pool } from "~/server/db/connection";
import { inTransaction } from "~/server/db/transaction";
import { sessions } from "~/server/facts/sessions";
import { sets, setsOf as setsOfSession } from "~/server/facts/sets";
import { appendFact, appendFacts } from "~/server/facts/sql";
import { demoClinic, demoStaffId } from "~demo/clinic";
import type { Row } from "./bench-compare";

const perSecond = 60;
const seconds = 60;
const replayShare = 0.05;
const people = 100;

export interface WriteReport {
  readonly rows: readonly Row[];
  /** What became of the writes: each must stand in the record once. */
  readonly said: string;
}

export interface Target {
  readonly episodeId: string;
  readonly items: StairView["items"];
}

const mostAttempts = 5;

/**
 * Sends 60 sessions a second for a minute to two processes, one in twenty a second time, kills one process half-way,
 * and sends what was not acknowledged to the other. Then counts what stands in the record.
 *
 * @param victim id of the process behind the first address
 */
export async function sessionWrites(
  urls: readonly [string, string],
  victim: number,
  cookie: string,
  ids: readonly string[],
): Promise<WriteReport> {
  const targets = await findTargets(urls[0], cookie, ids);
  const calm = await calmWrites(urls[1], cookie, targets);
  const took: number[] = [];
  const acknowledged = new Set<string>();
  let replays = 0;
  let alive = true;
  const send = async (url: string, episodeId: string, body: SessionBody) => {
    const started = performance.now();
    const reply = await fetch(`${url}/api/episodes/${episodeId}/sessions`, {
      method: "POST",
      headers: { "content-type": "application/json", origin: url, cookie },
      body: JSON.stringify(body),
    });
    if (reply.status !== 201) throw new Error(`${reply.status} ${await reply.text()}`);
    await reply.arrayBuffer();
    took.push(performance.now() - started);
    acknowledged.add(body.id);
  };
  const untilRecorded = async (n: number, episodeId: string, body: SessionBody) => {
    const first = alive ? urls[n % 2] : urls[1];
    // As a phone does: what was not acknowledged is sent again, with the same id, until it is.
    for (let attempt = 0; ; attempt += 1) {
      try {
        return await send((attempt === 0 && first) || urls[1], episodeId, body);
      } catch (error) {
        if (attempt === mostAttempts) throw error;
      }
    }
  };
  const sent: Promise<unknown>[] = [];
  const started = performance.now();
  for (let n = 0; n < perSecond * seconds; n += 1) {
    const due = started + (n * 1000) / perSecond;
    const early = due - performance.now();
    if (early > 0) await new Promise((resolve) => setTimeout(resolve, early));
    if (alive && n >= (perSecond * seconds) / 2) {
      alive = false;
      process.kill(victim, "SIGKILL");
    }
    const target = targets[n % targets.length];
    if (!target) throw new Error("nobody to write for");
    const body = sessionOf(target, n);
    const again = Math.random() < replayShare;
    if (again) replays += 1;
    const write = untilRecorded(n, target.episodeId, body);
    sent.push(again ? Promise.all([write, untilRecorded(n + 1, target.episodeId, body)]) : write);
  }
  const results = await Promise.allSettled(sent);
  const wall = (performance.now() - started) / 1000;
  const refused = results.filter(({ status }) => status === "rejected").length;
  const [rows] = await pool().query<RowDataPacket[]>(
    `SELECT COUNT(DISTINCT s.id) AS stored, COUNT(*) AS sets
       FROM sessions s JOIN session_sets t ON t.clinic_id = s.clinic_id AND t.session_id = s.id
      WHERE s.clinic_id = ? AND s.id IN (?)`,
    [demoClinic.id, [...acknowledged]],
  );
  const stored = Number(rows[0]?.["stored"]);
  const sets = Number(rows[0]?.["sets"]);
  const lost = acknowledged.size - stored;
  const doubled = sets - setsOf(targets) * stored;
  const sorted = [...took].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.floor(share * (sorted.length - 1))] ?? 0;
  const said =
    `${perSecond * seconds} sessions in ${wall.toFixed(1)} s (${perSecond} a second), ${replays} sent twice, one of two ` +
    `processes killed half-way: ${stored} stored, ${lost} lost, ${doubled} sets doubled, ${refused} unanswered; ` +
    `median ${at(0.5).toFixed(0)} ms, 95 % within ${at(0.95).toFixed(0)} ms.`;
  return {
    rows: [
      calm,
      {
        what: "a session recorded (median under 60 a second)",
        baseline: "as above",
        target: "≤ 150 ms",
        oursMs: at(0.5),
        baselineMs: calm.baselineMs,
      },
    ],
    said,
  };
}

const calmPerSecond = 20;
const calmWritesEach = 200;

/** Twenty sessions a second at one process, and the same rows written by SQL alone at the same pace. */
async function calmWrites(url: string, cookie: string, targets: readonly Target[]): Promise<Row> {
  // Once before, not looked at: code that has just been loaded is not what a morning is worked with.
  await pacedWrites(url, cookie, targets);
  return {
    what: "a session recorded (median at 20 a second)",
    baseline: "inserting the same rows in a transaction, bare, at the same pace",
    target: "≤ 5 ×",
    oursMs: await pacedWrites(url, cookie, targets),
    baselineMs: await medianPaced((n) => bareWrite(targets, n)),
  };
}

/** The median time of sessions recorded at a process, twenty a second, in milliseconds. */
export const pacedWrites = (url: string, cookie: string, targets: readonly Target[]): Promise<number> =>
  medianPaced(async (n) => {
    const target = targets[n % targets.length];
    if (!target) throw new Error("nobody to write for");
    await sendPlainly(url, `/api/episodes/${target.episodeId}/sessions`, cookie, sessionOf(target, n));
  });

const oneConnection = new http.Agent({ keepAlive: true, maxSockets: 1 });

/**
 * Sends a body over a connection that stays, by the plainest client there is: it shares the processors with what is measured, and
 * `fetch` alone works for as long as two bare inserts.
 */
function sendPlainly(url: string, path: string, cookie: string, body: unknown): Promise<void> {
  const text = JSON.stringify(body);
  const headers = {
    "content-type": "application/json",
    "content-length": Buffer.byteLength(text),
    origin: url,
    cookie,
  };
  return new Promise((resolve, reject) => {
    const request = http.request(
      `${url}${path}`,
      { method: "POST", agent: oneConnection, headers },
      (reply) => {
        reply.resume();
        reply.once("error", reject);
        reply.once("end", () =>
          reply.statusCode === 201 ? resolve() : reject(new Error(`answered ${reply.statusCode}`)),
        );
      },
    );
    request.once("error", reject);
    request.end(text);
  });
}

async function medianPaced(work: (n: number) => Promise<void>): Promise<number> {
  const took: number[] = [];
  const started = performance.now();
  for (let n = 0; n < calmWritesEach; n += 1) {
    const early = started + (n * 1000) / calmPerSecond - performance.now();
    if (early > 0) await new Promise((resolve) => setTimeout(resolve, early));
    const begun = performance.now();
    await work(n);
    took.push(performance.now() - begun);
  }
  return took.sort((a, b) => a - b)[Math.floor(took.length / 2)] ?? 0;
}

/** Episodes with something to do, and what their plans ask. */
export async function findTargets(url: string, cookie: string, ids: readonly string[]): Promise<Target[]> {
  const found: Target[] = [];
  for (const episodeId of ids) {
    const reply = await fetch(`${url}/api/episodes/${episodeId}`, { headers: { cookie } });
    const { items } = (await reply.json()) as StairView;
    const plain = items.filter(({ prescription: { dose } }) => dose.reps && !dose.hold).slice(0, 1);
    if (plain.length > 0) found.push({ episodeId, items: plain });
    if (found.length === people) break;
  }
  return found;
}

const setsEach = 2;
const setsOf = (targets: readonly Target[]) => setsEach * (targets[0]?.items.length ?? 0);

function sessionOf({ items }: Target, n: number): SessionBody {
  return {
    id: uuid(),
    occurredAt: new Date(Date.now() - 1000).toISOString(),
    painBefore: n % 3,
    items: items.map(({ itemId, exercise, prescription }) => ({
      itemId,
      sets: Array.from({ length: setsEach }, (_, i) => ({
        side:
          sidesOf(exercise, prescription) === "each-side"
            ? ((["left", "right"] as const)[i % 2] ?? ("left" as const))
            : ("both" as const),
        reps: prescription.dose.reps?.top ?? 8,
        ...(prescription.dose.loadKg === undefined ? {} : { loadKg: prescription.dose.loadKg }),
        painDuring: n % 4,
        painSite: "episode" as const,
        effort: 6,
        faults: [],
      })),
    })),
  };
}

/** Writes such a session by SQL alone. */
async function bareWrite(targets: readonly Target[], n: number): Promise<void> {
  const target = targets[n % targets.length];
  if (!target) throw new Error("nobody to write for");
  const at = new Date().toISOString();
  const writing = {
    clinicId: demoClinic.id,
    staffId: demoStaffId("clinician"),
    episodeId: target.episodeId,
    at,
    trail: [],
  };
  await inTransaction(async (db) => {
    const { items, occurredAt, ...session } = sessionOf(target, n);
    await appendFact(db, writing, sessions, { ...session, at: occurredAt, receivedAt: at });
    await appendFacts(db, writing, sets, setsOfSession({ id: session.id, items }));
  });
}
