import mysql, { type ResultSetHeader, type RowDataPacket } from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { CaseloadPage, CaseloadRow } from "~/contract/clinic";
import { attentionCodes } from "~/core/caseload/attention";
import { namedLike } from "~/islands/caseload/named-like";
import { demoClinic } from "~demo/clinic";
import { grouped } from "~/server/case/grouped";
import { readPage, staleOf, type Wanted } from "~/server/caseload/caseload-repository";
import { signedIn, type Client } from "~tests/harness/client";
import { startOwnServers, type Servers } from "~tests/harness/servers";
import { runTool } from "../../tools/machine/prepare.mjs";

let servers: Servers;
let clinician: Client;

beforeAll(async () => {
  servers = await startOwnServers(1);
  // A second clinic, and some hundred and fifty people in the first, each with an episode of three years.
  runTool("many.ts", ["2", "220", "180", "3"], { DATABASE_OWNER_URL: servers.database.ownerUrl });
  clinician = await signedIn(servers.urls[0] as string);
  // Every copy is worked out once: after that nothing moves by itself.
  for (let before = ""; ;) {
    const ids = (await walked()).map(({ episodeId }) => episodeId).join();
    if (ids === before) break;
    before = ids;
  }
});
afterAll(() => servers.stop());

const page = async (query = "") => (await clinician.get(`/api/caseload${query}`)).body as CaseloadPage;
async function walked(query = ""): Promise<CaseloadRow[]> {
  const rows: CaseloadRow[] = [];
  for (let next: string | null = ""; next !== null;) {
    const after = next === "" ? "" : `after=${encodeURIComponent(next)}`;
    const parts = [query, after].filter(Boolean).join("&");
    const answer: CaseloadPage = await page(parts ? `?${parts}` : "");
    rows.push(...answer.rows);
    ({ next } = answer);
  }
  return rows;
}
const rank = ({ attention }: CaseloadRow) => attentionCodes.indexOf(attention);

describe("the caseload of many, a page at a time", () => {
  it("walks everybody once, those who need somebody first on top, and counts them all", async () => {
    const first = await page();
    expect(first.rows.length).toBeLessThan(first.count);
    const all = await walked();
    expect(new Set(all.map(({ episodeId }) => episodeId)).size).toBe(all.length);
    expect(all.length).toBe(first.count);
    expect(all.map(rank)).toEqual(all.map(rank).sort((a, b) => a - b));
    const counted: Partial<Record<string, number>> = {};
    for (const { attention } of all) counted[attention] = (counted[attention] ?? 0) + 1;
    expect(first.counts).toEqual(counted);
    expect((await page("?only=hold")).rows.every(({ attention }) => attention === "hold")).toBe(true);
    expect((await walked("only=hold")).length).toBe(counted["hold"]);
  });

  it("whom I look after, whom a name fits, and some by their ids", async () => {
    const all = await walked();
    const [some] = all;
    const mine = await walked("held=mine");
    const own = all.filter(({ heldBy }) => heldBy?.name === "Jorun Vask");
    expect(mine.map(({ episodeId }) => episodeId)).toEqual(own.map(({ episodeId }) => episodeId));
    const named = await page("?name=stanho%20b2");
    const fits = all.filter((row) => namedLike(row, "stanho b2"));
    expect(fits.length).toBeGreaterThan(0);
    expect(named.rows.map(({ episodeId }) => episodeId).sort()).toEqual(
      fits.map(({ episodeId }) => episodeId).sort(),
    );
    expect((await page(`?ids=${some?.episodeId}`)).rows).toMatchObject([{ episodeId: some?.episodeId }]);
    expect((await page("?name=%25")).rows).toEqual([]);
  });

  it.each(["a", "b", "1", "a b", "stanho b2", "nobody"])(
    "%s: the list is the same by either road, by those whom it fits or walked along",
    async (name) => {
      const db = await mysql.createConnection({ uri: servers.database.ownerUrl, dateStrings: true });
      const [[{ holder }]] = (await db.query("SELECT MIN(held_by) AS holder FROM episodes")) as [
        [{ holder: string }],
        unknown,
      ];
      const read = async (wanted: Partial<Wanted>) =>
        (await readPage(db, demoClinic.id, { name, most: 60, ...wanted }, "2026-03-10T09:00:00Z", "")).map(
          ({ place }) => place.episodeId,
        );
      for (const wanted of [{}, { heldBy: holder }, { only: "hold" }] as const)
        expect(await read({ ...wanted, walkedFrom: 0 })).toEqual(await read(wanted));
      expect((await read({})).length > 0).toBe(name !== "nobody");
      await db.end();
    },
  );

  it("a place that no page has named, and ids that are none, are refused at the field", async () => {
    for (const [query, path] of [
      ["?after=1%7Cx%7Cy", "/after"],
      ["?ids=nobody", "/ids"],
      ["?only=nothing", "/only"],
    ]) {
      const { status, body } = await clinician.get(`/api/caseload${query}`);
      expect([query, status, body.problems?.[0]?.path]).toEqual([query, 422, path]);
    }
  });

  it("what time has overtaken waits for the sweeper where there is much of it; what a write has does not", async () => {
    const db = await mysql.createConnection(servers.database.ownerUrl);
    const ids = (await walked()).map(({ episodeId }) => episodeId);
    const overtake = (until: string, some: readonly string[]) =>
      db.query("UPDATE caseload_rows SET valid_until = ? WHERE episode_id IN (?)", [until, some]);
    const stale = () => staleOf(db, demoClinic.id, new Date().toISOString(), { written: 300, byTime: 20 });
    // Nobody else sees it: it is taken back.
    await db.beginTransaction();
    await db.query("UPDATE caseload_rows SET valid_until = '9999-12-31'");
    expect(await stale()).toEqual([]);
    await overtake("1970-01-02", ids.slice(0, 20));
    expect((await stale()).sort()).toEqual(ids.slice(0, 20).sort());
    await overtake("1970-01-02", ids.slice(20, 100));
    expect(await stale()).toEqual([]);
    await overtake("1970-01-01", ids.slice(100, 130));
    expect((await stale()).sort()).toEqual(ids.slice(100, 130).sort());
    await db.rollback();
    await db.end();
  });

  it("nobody of another clinic is in it, by whatever is asked", async () => {
    const other = await signedInAs("c1-clinician@tarnstreet.example");
    const theirs = (await other.get("/api/caseload")).body as CaseloadPage;
    expect(theirs.rows.length).toBeGreaterThan(0);
    const ids = theirs.rows.map(({ episodeId }) => episodeId);
    expect((await page(`?ids=${ids.slice(0, 50).join()}`)).rows).toEqual([]);
    const all = new Set((await walked()).map(({ episodeId }) => episodeId));
    expect(ids.filter((id) => all.has(id))).toEqual([]);
  });
});

describe("records of several years", () => {
  it("everybody has been here each year: the same work, dated back, discharged, and it can be read", async () => {
    const owner = await mysql.createConnection({ uri: servers.database.ownerUrl, dateStrings: true });
    const [rows] = await owner.query<RowDataPacket[]>(
      `SELECT e.person_id AS person, e.id, e.ended_at AS ended, e.onset_on AS onset, MAX(t.kind) AS turn,
              (SELECT COUNT(*) FROM sessions s WHERE s.clinic_id = e.clinic_id AND s.episode_id = e.id) AS sessions,
              (SELECT MAX(s.occurred_at) FROM sessions s WHERE s.clinic_id = e.clinic_id AND s.episode_id = e.id) AS last
         FROM episodes e LEFT JOIN episode_turns t ON t.clinic_id = e.clinic_id AND t.episode_id = e.id
        WHERE e.clinic_id = ? GROUP BY e.id ORDER BY e.person_id, e.onset_on DESC`,
      [demoClinic.id],
    );
    await owner.end();
    const people = grouped(rows, ({ person }) => String(person));
    expect(people.size).toBeGreaterThan(100);
    for (const [now, ...before] of people.values()) {
      expect([now?.["turn"], before.map(({ turn }) => String(turn))]).toEqual([
        null,
        ["discharge", "discharge"],
      ]);
      before.forEach(({ ended, last, sessions, onset }, n) => {
        const backBy = (day: unknown) =>
          Number(String(now?.["onset"]).slice(0, 4)) - Number(String(day).slice(0, 4));
        expect([backBy(onset), sessions]).toEqual([n + 1, now?.["sessions"]]);
        if (last !== null) expect(String(ended) >= String(last)).toBe(true);
      });
    }
    const [, lastYear] = people.get(String(rows[0]?.["person"])) ?? [];
    for (const view of ["", "/record"]) {
      const { status, body } = await clinician.get(`/api/episodes/${String(lastYear?.["id"])}${view}`);
      expect([view, status, (body as { problems?: unknown }).problems]).toEqual([view, 200, undefined]);
    }
    const shown = async () => {
      const ids = new Set((await walked()).map(({ episodeId }) => episodeId));
      return rows.filter(({ id, ended }) => ended !== null && ids.has(String(id)));
    };
    expect(await shown()).toEqual([]);
    // Nor where what is kept of it says that it still goes on, as before an upgrade has been worked through.
    const keeper = await mysql.createConnection(servers.database.ownerUrl);
    const [{ affectedRows }] = await keeper.query<ResultSetHeader>(
      "UPDATE caseload_rows SET resting = FALSE",
    );
    await keeper.end();
    expect(affectedRows).toBeGreaterThan(200);
    expect(await shown()).toEqual([]);
  });
});

async function signedInAs(email: string): Promise<Client> {
  const { Client: Fresh } = await import("~tests/harness/client");
  const { demoPassword } = await import("~demo/clinic");
  const client = new Fresh(servers.urls[0] as string);
  expect((await client.post("/api/sign-in", { email, password: demoPassword })).status).toBe(200);
  return client;
}
