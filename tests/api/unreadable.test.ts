import mysql, { type Connection, type RowDataPacket } from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { CaseloadRow } from "~/contract/clinic";
import { demoClinic, demoStaffId } from "~demo/clinic";
import { signedIn, type Client } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";
import { circumstances, fencer, skater } from "~tests/harness/story";

let servers: Servers;
let clinician: Client;
let owner: Connection;

beforeAll(async () => {
  servers = await startServers(1);
  clinician = await signedIn(servers.urls[0] as string);
  owner = await mysql.createConnection({ uri: servers.database.ownerUrl, timezone: "Z" });
});
afterAll(async () => {
  owner.destroy();
  await servers.stop();
});

const of = (episode: string, what = "") => `/api/episodes/${episode}${what}`;

describe("a record that the rules cannot judge", () => {
  const row = async (episode: string): Promise<CaseloadRow> => {
    const { rows } = (await clinician.get("/api/caseload")).body as { rows: CaseloadRow[] };
    const found = rows.find(({ episodeId }) => episodeId === episode);
    if (!found) throw new Error("not on the caseload");
    return found;
  };

  it.each([
    [
      "with a limit of no known kind",
      skater,
      fencer,
      { ...circumstances([]).circumstances, limits: [{ kind: "sparkle", origin: "surgeon", says: "?" }] },
    ],
    ["that is no setting at all", fencer, skater, { limits: "none" }],
  ])(
    "%s: stands alone and named; the caseload goes on, a signal is taken, and a sound limit mends it",
    async (_what, who, other, junk) => {
      const before = ((await clinician.get("/api/caseload")).body as { rows: CaseloadRow[] }).rows.length;
      await owner.execute(
        "INSERT INTO circumstances (clinic_id, id, episode_id, body, reason, signed_by, at) VALUES (?, ?, ?, ?, ?, ?, ?)",
        [
          demoClinic.id,
          uuid(),
          who,
          JSON.stringify(junk),
          "by hand",
          demoStaffId("lead"),
          "2026-03-10 08:00:00",
        ],
      );
      await owner.execute("UPDATE episodes SET version = version + 1 WHERE id = ?", [who]);

      const { rows } = (await clinician.get("/api/caseload")).body as { rows: CaseloadRow[] };
      expect(rows).toHaveLength(before);
      expect(await row(who)).toMatchObject({
        attention: "unreadable",
        person: { familyName: expect.any(String) },
      });
      expect((await row(other)).attention).not.toBe("unreadable");

      const page = await clinician.get(`/episodes/${who}`);
      expect(page.status).toBe(500);
      expect(page.body).toContain((await row(who)).person.familyName);
      expect((await clinician.get(`/episodes/${other}`)).status).toBe(200);

      const signal = { id: uuid(), code: "chest-breath-faint" };
      const raised = await clinician.post(of(who, "/signals"), signal);
      expect(raised.body).toMatchObject({
        type: "/problems/unreadable-record",
        title: expect.stringMatching(/^It was saved/),
      });
      expect((await row(who)).attention).toBe("stop");

      const mended = await clinician.post(of(who, "/circumstances"), circumstances([]));
      expect(mended.status).toBe(201);
      expect((await clinician.get(of(who))).body.signals).toMatchObject([
        { id: signal.id, code: signal.code },
      ]);
      const cleared = { id: uuid(), signalId: signal.id, reason: "Seen by the doctor, nothing found" };
      expect((await clinician.post(of(who, "/signal-clearances"), cleared)).status).toBe(201);
    },
  );

  it("whose pathway is gone is still named, and is never said not to exist", async () => {
    const [kept] = await owner.query<RowDataPacket[]>("SELECT pathway_hash FROM episodes WHERE id = ?", [
      skater,
    ]);
    const set = async (hash: string) => {
      await owner.query("SET FOREIGN_KEY_CHECKS = 0");
      await owner.execute("UPDATE episodes SET pathway_hash = ?, version = version + 1 WHERE id = ?", [
        hash,
        skater,
      ]);
    };
    await set("0".repeat(64));
    const page = await clinician.get(`/episodes/${skater}`);
    expect([page.status, page.body.includes((await row(skater)).person.familyName)]).toEqual([500, true]);
    expect((await clinician.get(of(skater))).body.type).toBe("/problems/unreadable-record");
    const signal = { id: uuid(), code: "chest-breath-faint" };
    const raised = await clinician.post(of(skater, "/signals"), signal);
    expect([raised.status, raised.body.title]).toEqual([500, expect.stringMatching(/^Nothing was saved/)]);
    await set(kept[0]?.["pathway_hash"] as string);
    expect((await clinician.get(of(skater))).status).toBe(200);
  });
});
