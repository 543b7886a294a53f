import { spawnSync } from "node:child_process";
import mysql, { type Connection } from "mysql2/promise";
import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it, vi } from "vitest";
import type { AuditView } from "~/contract/trust";
import { verifyAudit, type AuditReport } from "~/server/audit/verify-audit";
import { takeLease } from "~/server/db/lease";
import { demoClinic } from "~demo/clinic";
import { signedIn, type Client } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";
import { fencer, squeezeSession } from "~tests/harness/story";

let servers: Servers;
let owner: Connection;
let clinician: Client;

beforeAll(async () => {
  servers = await startServers(2);
  owner = await mysql.createConnection({ uri: servers.database.ownerUrl, timezone: "Z", dateStrings: true });
  clinician = await signedIn(servers.urls[0] as string);
  // What checks has the installation's key, as the command has.
  vi.stubEnv("RECORD_KEY", servers.database.recordKey);
});
afterAll(async () => {
  vi.unstubAllEnvs();
  owner.destroy();
  await servers.stop();
});

const verified = (end?: string): Promise<AuditReport> => verifyAudit(owner, demoClinic.id, end);
/** Waits until every line is in the chain. */
async function sealed(): Promise<AuditReport> {
  await expect.poll(async () => (await verified()).waiting, { timeout: 20_000, interval: 200 }).toBe(0);
  return verified();
}
/** Does something while no process puts anything into the chain. */
async function whileNobodySeals<T>(work: () => Promise<T>): Promise<T> {
  const year = 365 * 86_400;
  for (;;) {
    const release = await takeLease(owner as never, "seal-audit", year, "2026-03-10T09:00:00Z");
    if (!release) {
      await new Promise((resolve) => setTimeout(resolve, 20));
      continue;
    }
    try {
      return await work();
    } finally {
      await release();
    }
  }
}
/** Does something to the database behind everybody's back, looks, and takes it back. */
const with_ = (change: string, values: unknown[], back: string, backValues: unknown[]) =>
  whileNobodySeals(async () => {
    await owner.query("SET FOREIGN_KEY_CHECKS = 0");
    await owner.query(change, values);
    const report = await verified();
    await owner.query(back, backValues);
    await owner.query("SET FOREIGN_KEY_CHECKS = 1");
    return report.faults;
  });

describe("the log of a clinic is a chain", () => {
  it("every line comes into it within seconds, from both processes, and every row of the record agrees with what was noted", async () => {
    const other = clinician.at(servers.urls[1] as string);
    const session = squeezeSession("fencer");
    expect((await clinician.post(`/api/episodes/${fencer}/sessions`, session)).status).toBe(201);
    const note = { id: uuid(), kind: "visit-note", body: "As it was signed", proposed: "As it was signed" };
    await other.post(`/api/episodes/${fencer}/documents`, note);
    const report = await sealed();
    expect(report.faults).toEqual([]);
    expect(report.links).toBeGreaterThan(20);
    // Also all that the demo's lives have written, of every kind.
    expect(report.facts).toBeGreaterThan(1000);
    expect(await verified(report.end)).toMatchObject({ faults: [] });
  });

  it("whoever rewrites a signed fact is found out, and so is who takes one away", async () => {
    const altered = await with_(
      "UPDATE session_sets SET pain_during = pain_during + 1 WHERE position = 0 ORDER BY session_id LIMIT 1",
      [],
      "UPDATE session_sets SET pain_during = pain_during - 1 WHERE position = 0 ORDER BY session_id LIMIT 1",
      [],
    );
    expect(altered).toMatchObject([{ kind: "fact-altered" }]);
    const [[row]] = await owner.query<mysql.RowDataPacket[]>(
      "SELECT * FROM school_settings WHERE clinic_id = ? ORDER BY id LIMIT 1",
      [demoClinic.id],
    );
    const gone = await with_(
      "DELETE FROM school_settings WHERE clinic_id = ? AND id = ?",
      [demoClinic.id, row?.["id"]],
      "INSERT INTO school_settings SET ?",
      [row],
    );
    expect(gone).toMatchObject([{ kind: "fact-gone" }]);
    expect((await verified()).faults).toEqual([]);
  });

  it("so is who rewrites a line, takes one out, or cuts off the end", async () => {
    const { end } = await sealed();
    const [[line]] = await owner.query<mysql.RowDataPacket[]>(
      "SELECT audit_id FROM audit_chain WHERE clinic_id = ? AND link = 5",
      [demoClinic.id],
    );
    const id = line?.["audit_id"];
    const [[was]] = await owner.query<mysql.RowDataPacket[]>(
      "SELECT action FROM audit_log WHERE clinic_id = ? AND id = ?",
      [demoClinic.id, id],
    );
    const set = "UPDATE audit_log SET action = ? WHERE clinic_id = ? AND id = ?";
    const rewritten = await with_(set, ["read-stair", demoClinic.id, id], set, [
      was?.["action"],
      demoClinic.id,
      id,
    ]);
    expect(rewritten).toMatchObject([{ kind: "link", link: 5 }]);
    const [[third]] = await owner.query<mysql.RowDataPacket[]>(
      "SELECT * FROM audit_chain WHERE clinic_id = ? AND link = 3",
      [demoClinic.id],
    );
    const out = await with_(
      "DELETE FROM audit_chain WHERE clinic_id = ? AND link = 3",
      [demoClinic.id],
      "INSERT INTO audit_chain SET ?",
      [third],
    );
    expect(out).toMatchObject([{ kind: "link", link: 4, says: "links 3 to 3 are gone" }, { link: 4 }]);
    // An end that somebody kept and that stands nowhere: what came before it was cut off or made anew.
    expect((await verified(Buffer.alloc(32, 1).toString("base64"))).faults).toMatchObject([{ kind: "end" }]);
    expect((await verified(end)).faults).toEqual([]);
  });

  it("the application's own account can add to it, and neither alter nor take away", async () => {
    const app = await mysql.createConnection({ uri: servers.database.appUrl });
    for (const table of ["audit_log", "audit_chain"]) {
      await expect(app.query(`UPDATE ${table} SET clinic_id = clinic_id`)).rejects.toThrow(/denied/);
      await expect(app.query(`DELETE FROM ${table}`)).rejects.toThrow(/denied/);
    }
    app.destroy();
  });

  it("the command says so in words, and by its exit code", async () => {
    await sealed();
    const run = () =>
      spawnSync(process.execPath, ["tools/run.mjs", "verify"], {
        encoding: "utf8",
        env: { ...process.env, DATABASE_OWNER_URL: servers.database.ownerUrl },
      });
    const whole = run();
    expect([whole.status, whole.stdout]).toEqual([0, expect.stringContaining("the log is whole")]);
    const set = "UPDATE documents SET body = ? WHERE clinic_id = ? ORDER BY id LIMIT 1";
    const [[document]] = await owner.query<mysql.RowDataPacket[]>(
      "SELECT body FROM documents WHERE clinic_id = ? ORDER BY id LIMIT 1",
      [demoClinic.id],
    );
    await owner.query(set, ["rewritten", demoClinic.id]);
    const broken = run();
    await owner.query(set, [document?.["body"], demoClinic.id]);
    expect([broken.status, broken.stdout]).toEqual([3, expect.stringContaining("is not what was written")]);
  });

  it("the lead sees where somebody asked from, how it ended, and its place in the chain", async () => {
    const assistant = await signedIn(servers.urls[0] as string, "assistant");
    expect((await assistant.get("/api/audit")).status).toBe(403);
    await sealed();
    const lead = await signedIn(servers.urls[0] as string, "lead");
    const { lines } = (await lead.get("/api/audit")).body as AuditView;
    const refused = lines.find(({ action }) => action === "refused-role");
    expect(refused).toMatchObject({ outcome: "refused", address: expect.stringMatching(/127\.0\.0\.1|::1/) });
    expect(refused?.link).toBeGreaterThan(0);
  });
});
