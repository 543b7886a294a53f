import type { RowDataPacket } from "mysql2";
import { setTimeout } from "node:timers/promises";
import { demoStaff } from "~demo/clinic";
import { sweepCaseload } from "~/server/caseload/sweep-caseload";
import { now } from "~/server/clock";
import { closePool, pool, toDatabaseTime } from "~/server/db/connection";
import { tableOf } from "./bench-compare";
import { largeRows, type Clinic } from "./bench-large";
import { signIn } from "./bench-sign-in";
import { findTargets, pacedWrites } from "./bench-writes";

/**
 * Ten thousand people against a hundred, and three database servers against one: BENCH_LARGE_URL is a process with many clinics
 * behind it, BENCH_ONE_URL and BENCH_THREE_URL are processes with the demo on one server and on three.
 */
const { BENCH_LARGE_URL: large = "", BENCH_ONE_URL: one = "", BENCH_THREE_URL: three = "" } = process.env;
const [{ email }] = demoStaff;

/** A clinic, and an episode of it that every copy has. */
async function clinicOf(base: string, who: string): Promise<Clinic> {
  const cookie = await signIn(base, who);
  const reply = await fetch(`${base}/api/people/search`, {
    method: "POST",
    headers: { "content-type": "application/json", origin: base, cookie },
    body: JSON.stringify({ text: "stanhope" }),
  });
  const { people } = (await reply.json()) as { people: { episodeId: string }[] };
  return { cookie, episodeId: people[0]?.episodeId ?? "" };
}

async function writesAt(base: string): Promise<number> {
  const cookie = await signIn(base, email);
  const reply = await fetch(`${base}/api/caseload`, { headers: { cookie } });
  const { rows } = (await reply.json()) as { rows: { episodeId: string }[] };
  const targets = await findTargets(
    base,
    cookie,
    rows.map(({ episodeId }) => episodeId),
  );
  await pacedWrites(base, cookie, targets);
  return pacedWrites(base, cookie, targets);
}

/** Waits until the processes have worked out what was copied, as they do in the quiet hours. */
async function nothingWaits(): Promise<void> {
  for (;;) {
    const [[row]] = await pool().query<RowDataPacket[]>(
      "SELECT COUNT(*) AS waiting FROM caseload_rows WHERE valid_until <= ?",
      [toDatabaseTime(now())],
    );
    if (Number(row?.["waiting"]) === 0) return;
    // By this process where the other one is not at it just then.
    if ((await sweepCaseload()) === 0) await setTimeout(500);
  }
}

await nothingWaits();
await closePool();
const rows = await largeRows(large, await clinicOf(large, email), await clinicOf(large, `c1-${email}`));
const baselineMs = await writesAt(one);
rows.push({
  what: "a session recorded, three servers (median at 20 a second)",
  baseline: "the same on one server",
  target: "stated, no bound",
  oursMs: await writesAt(three),
  baselineMs,
});
console.table(tableOf(rows));
