import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { CaseloadPage, CaseloadRow } from "~/contract/clinic";
import { attentionCodes } from "~/core/caseload/attention";
import { namedLike } from "~/islands/caseload/named-like";
import { signedIn, type Client } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";
import { runTool } from "../../tools/machine/prepare.mjs";

let servers: Servers;
let clinician: Client;

beforeAll(async () => {
  servers = await startServers(1);
  // A second clinic, and some hundred and fifty people in the first.
  runTool("many.ts", ["2", "220", "180"], { DATABASE_OWNER_URL: servers.database.ownerUrl });
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

async function signedInAs(email: string): Promise<Client> {
  const { Client: Fresh } = await import("~tests/harness/client");
  const { demoPassword } = await import("~demo/clinic");
  const client = new Fresh(servers.urls[0] as string);
  expect((await client.post("/api/sign-in", { email, password: demoPassword })).status).toBe(200);
  return client;
}
