import type { RowDataPacket } from "mysql2";
import mysql from "mysql2/promise";
import { v7 as uuid } from "uuid";
import { reviewCase } from "~/core/review/review-case";
import { pool } from "~/server/db/connection";
import { loadCases, readCases } from "~/server/case/case-loader";
import { findEpisode, findEpisodes } from "~/server/case/episode-repository";
import { demoClinic, demoStaffId } from "~demo/clinic";
import { demoId } from "~demo/identity";
import { compare, type Row } from "./bench-compare";

const episodeId = demoId("mountain-rescue", "episode");

/** Two thousand results of both sides, with three trials each, as years of testing would leave. */
async function manyResults(): Promise<void> {
  const db = await mysql.createConnection({ uri: process.env["DATABASE_OWNER_URL"] ?? "", timezone: "Z" });
  const staff = demoStaffId("clinician");
  const rows = Array.from({ length: 2000 }, (_, n) => {
    const day = new Date(Date.now() - (30 + (n >> 1)) * 86_400_000).toISOString().slice(0, 10);
    const value = 150 + (n % 50);
    const trials = JSON.stringify([value - 8, value, value - 3]);
    const side = n % 2 ? "left" : "right";
    return [
      demoClinic.id,
      uuid(),
      episodeId,
      "hip-adduction-force",
      side,
      value,
      day,
      "since-injury",
      trials,
      staff,
      `${day} 10:00:00`,
    ];
  });
  await db.query(
    `INSERT INTO measure_results
       (clinic_id, id, episode_id, measure, side, value, taken_on, occasion, trials, recorded_by, recorded_at) VALUES ?`,
    [rows],
  );
  await db.end();
}

/** The trend of a measure with 2 000 results, as the endpoint answers it. */
export async function trendRow(base: string, cookie: string): Promise<Row> {
  await manyResults();
  const head = await findEpisode(pool(), demoClinic.id, episodeId);
  if (!head) throw new Error("the demo has the mountain-rescue volunteer");
  const result = await compare(
    async () => {
      const answer = await fetch(`${base}/api/episodes/${episodeId}/trend?measure=hip-adduction-force`, {
        headers: { cookie },
      });
      const { points } = (await answer.json()) as { points: unknown[] };
      if (points.length < 1900) throw new Error(`the trend has ${points.length} points`);
    },
    () => readCases(pool(), demoClinic.id, [head]),
  );
  return {
    what: "trend, 2 000 results",
    baseline: "its own SQL, run bare",
    target: "≤ 1.5 × + 20 ms",
    ...result,
  };
}

/** A thousand gates of the demo's episodes, against reading those episodes from the database once. */
export async function gateRow(): Promise<Row> {
  const [rows] = await pool().query<RowDataPacket[]>("SELECT id FROM episodes WHERE clinic_id = ?", [
    demoClinic.id,
  ]);
  const heads = await findEpisodes(
    pool(),
    demoClinic.id,
    rows.map((row) => String(row["id"])),
  );
  const times = Math.ceil(1000 / heads.length);
  const now = new Date().toISOString();
  const loaded = await loadCases(pool(), demoClinic.id, demoClinic.zone, heads, now);
  const result = await compare(
    () => {
      for (let n = 0; n < times; n += 1) for (const { file } of loaded) reviewCase(file);
    },
    async () => {
      for (let n = 0; n < times; n += 1) await readCases(pool(), demoClinic.id, heads);
    },
  );
  return {
    what: "gates and proposals of 1 000 episodes",
    baseline: "their own SQL, run bare",
    target: "≤ 1 ×",
    ...result,
  };
}
