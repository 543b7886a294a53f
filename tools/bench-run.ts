import { writeFileSync } from "node:fs";
import mysql from "mysql2/promise";
import { v7 as uuid } from "uuid";
import { decideExample } from "~/core/calculation/examples";
import { decide } from "~/core/decision/decide";
import { DecideInput } from "~/core/decision/record/decide-input";
import { check } from "~/core/schema/check";
import { closePool, pool } from "~/server/db/connection";
import { readCases } from "~/server/case/case-loader";
import { findEpisode } from "~/server/case/episode-repository";
import { demoClinic, demoStaff, demoStaffId } from "~demo/clinic";
import { demoId } from "~demo/identity";
import { caseloadRows, fillCaseload } from "./bench-caseload";
import { compare, rounds, tableOf, type Row } from "./bench-compare";
import { printViewSizes } from "./bench-views";
import { signIn } from "./bench-sign-in";
import { draggingRow } from "./bench-dragging";
import { figureRows } from "./bench-figures";
import { loadRows } from "./bench-loads";
import { traceRow } from "./bench-traces";
import { weekRows } from "./bench-weeks";
import { limitRow } from "./bench-limits";
import { gateRow, trendRow } from "./bench-measures";
import { searchRows } from "./bench-search";
import { sessionWrites } from "./bench-writes";

async function decideRow(): Promise<Row> {
  const inputs = Array.from({ length: 10_000 }, (_, n): DecideInput => ({
    ...decideExample,
    maximumN: 150 + (n % 100),
    trainingDays: decideExample.trainingDays.map((day) => ({ ...day, painBefore: n % 3 })),
  }));
  const texts = inputs.map((input) => JSON.stringify(input));
  const result = await compare(
    () => inputs.forEach((input) => decide(input)),
    () => texts.forEach((text) => check(DecideInput, JSON.parse(text))),
  );
  return {
    what: "decide, 10 000 items",
    baseline: "JSON.parse and validation of the same inputs",
    target: "≤ 1 ×",
    ...result,
  };
}

/** Gives the fencer 200 sessions with reports, as a year of training would. */
async function longHistory(episodeId: string): Promise<void> {
  const db = await mysql.createConnection({ uri: process.env["DATABASE_OWNER_URL"] ?? "", timezone: "Z" });
  const [clinic, staff, item] = [
    demoClinic.id,
    demoStaffId("clinician"),
    demoId("fencer", "item", "ball-squeeze"),
  ];
  const set = JSON.stringify({
    side: "both",
    holdSeconds: 10,
    forceN: 110,
    painDuring: 0,
    painSite: "episode",
    effort: 6,
    faults: [],
  });
  for (let n = 0; n < 200; n += 1) {
    const id = uuid();
    const at = new Date(Date.now() - (n + 3) * 3_600_000 * 2)
      .toISOString()
      .replace("T", " ")
      .replace("Z", "");
    await db.execute(
      `INSERT INTO sessions (clinic_id, id, episode_id, occurred_at, received_at, pain_before, recorded_by)
       VALUES (?, ?, ?, ?, ?, 0, ?)`,
      [clinic, id, episodeId, at, at, staff],
    );
    await db.query(
      "INSERT INTO session_sets (clinic_id, session_id, position, item_id, pain_during, body) VALUES ?",
      [Array.from({ length: 5 }, (_, position) => [clinic, id, position, item, 0, set])],
    );
  }
  await db.end();
}

async function stairRow(base: string, cookie: string): Promise<Row> {
  const episodeId = demoId("fencer", "episode");
  await longHistory(episodeId);
  const result = await compare(
    async () => {
      const page = await fetch(`${base}/episodes/${episodeId}`, { headers: { cookie } });
      if (page.status !== 200) throw new Error(`the stair answered ${page.status}`);
      await page.text();
    },
    async () => {
      const head = await findEpisode(pool(), demoClinic.id, episodeId);
      if (!head) throw new Error("the demo has the fencer");
      await readCases(pool(), demoClinic.id, [head]);
    },
  );
  return {
    what: "stair page, 200 sessions of history",
    baseline: "its own SQL, run bare",
    target: "≤ 1.5 × + 20 ms",
    ...result,
  };
}

const base = process.env["BENCH_URL"] ?? "";
const cookie = await signIn(base, demoStaff[0].email);
const rows = [
  await decideRow(),
  ...(await searchRows()),
  await limitRow(base, cookie),
  await stairRow(base, cookie),
  await gateRow(),
  await trendRow(base, cookie),
];
const figures = await figureRows(base, cookie);
rows.push(...figures.rows);
const loads = await loadRows();
rows.push(...loads.rows);
const dragging = await draggingRow(base, cookie);
rows.push(dragging.row);
const traces = await traceRow(base, cookie);
rows.push(traces.row);
const weeks = await weekRows();
rows.push(...weeks.rows);
const ids = await fillCaseload();
rows.push(...(await caseloadRows(base, cookie, ids)));
const second = process.env["BENCH_SECOND_URL"] ?? "";
const writes = await sessionWrites([second, base], Number(process.env["BENCH_SECOND_PID"]), cookie, ids);
rows.push(...writes.rows);
await closePool();
const [file] = process.argv.slice(2);
const table = tableOf(rows);
console.table(table);
console.log(writes.said);
console.log(figures.said);
console.log(loads.said);
console.log(dragging.said);
console.log(traces.said);
console.log(weeks.said);
printViewSizes("dist");
if (file)
  writeFileSync(
    file,
    `${JSON.stringify({ rounds, rows: table, writes: writes.said, figures: figures.said, loads: loads.said, weeks: weeks.said }, null, 2)}\n`,
  );
