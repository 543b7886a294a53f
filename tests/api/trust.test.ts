import { mkdtempSync, rmSync, statSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import mysql from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { CaseloadPage } from "~/contract/clinic";
import type { PersonFile, AuditView } from "~/contract/trust";
import { importCase } from "~/core/case/import-case";
import { demoClinic } from "~demo/clinic";
import { erasePerson, pendingErasures } from "~/server/people/erase-person";
import { connectionOptions } from "~/server/db/connection";
import { signedIn, type Client } from "~tests/harness/client";
import { addForeignClinic } from "~tests/harness/foreign-clinic";
import { startServers, type Servers } from "~tests/harness/servers";
import { fencer, skater, squeezeSession } from "~tests/harness/story";
import { backUp, restore } from "../../tools/machine/dump.mjs";
import { startMariaDb } from "../../tools/machine/mariadb.mjs";
import { runTool } from "../../tools/machine/prepare.mjs";

/** What the clinic's lead owes the people in the records: who looked, everything as a file, gone when asked, never lost. */
let servers: Servers;
let lead: Client;
let clinician: Client;
let owner: mysql.Connection;

const connect = (url: string) => {
  return mysql.createConnection(connectionOptions(url));
};

beforeAll(async () => {
  servers = await startServers(1);
  await addForeignClinic(servers.database.ownerUrl);
  lead = await signedIn(servers.urls[0] as string, "lead");
  clinician = await signedIn(servers.urls[0] as string);
  owner = await connect(servers.database.ownerUrl);
});
afterAll(async () => {
  owner.destroy();
  await servers.stop();
});

const tables = async (db: mysql.Connection) =>
  (await db.query<mysql.RowDataPacket[]>("SHOW TABLES"))[0]
    .map((row) => String(Object.values(row)[0]))
    .sort();
/** Those that keep something: a lease is a process's own, and how far the log is settled follows from its chain. */
const dataTables = async (db: mysql.Connection) =>
  (await tables(db)).filter((name) => !["leases", "audit_sealed"].includes(name));
/** Waits until every line of the log is in its chain: then no process adds anything by itself. */
const chained = async () => {
  const waiting = async () => {
    const [[row]] = await owner.query<mysql.RowDataPacket[]>(
      `SELECT COUNT(*) AS n FROM audit_log a
         LEFT JOIN audit_chain c ON c.clinic_id = a.clinic_id AND c.audit_id = a.id WHERE c.audit_id IS NULL`,
    );
    return Number(row?.["n"]);
  };
  await expect.poll(waiting, { timeout: 20_000, interval: 200 }).toBe(0);
};

describe("the log", () => {
  const log = async (query = "") => (await lead.get(`/api/audit${query}`)).body as AuditView;
  it("tells who read and who wrote of one patient, newest first", async () => {
    await clinician.get(`/api/episodes/${fencer}/record`);
    await clinician.post(`/api/episodes/${fencer}/sessions`, squeezeSession("fencer", { painBefore: 1 }));
    const { lines, person } = await log(`?episode=${fencer}`);
    expect(lines.slice(0, 2).map(({ action, by }) => [action, by])).toEqual(
      expect.arrayContaining([
        ["read-record", "Jorun Vask"],
        ["record-session", "Jorun Vask"],
      ]),
    );
    expect(new Set(lines.map((line) => line.person))).toEqual(new Set([person]));
    expect(person).toMatch(/^\S+, \S+$/);
  });
  it("is read by colleague, and page by page without a gap", async () => {
    for (let n = 0; n < 120; n += 1) await clinician.get(`/api/episodes/${skater}/plan`);
    const all: AuditView["lines"][number][] = [];
    for (let next: string | null = ""; next !== null;) {
      const page: AuditView = await log(next === "" ? "" : `?after=${encodeURIComponent(next)}`);
      all.push(...page.lines);
      next = page.next;
    }
    expect(all.length).toBeGreaterThan(120);
    expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
    const jorun = (await log()).colleagues.find(({ name }) => name === "Jorun Vask");
    expect(new Set((await log(`?who=${jorun?.id}`)).lines.map(({ by }) => by))).toEqual(
      new Set(["Jorun Vask"]),
    );
  });
  it("is the lead's, and no other clinic's", async () => {
    expect((await clinician.get("/api/audit")).status).toBe(403);
    expect((await lead.get(`/api/audit?episode=${uuid()}`)).status).toBe(404);
    expect((await lead.get("/api/audit?after=nonsense")).status).toBe(422);
  });
});

describe("the clinic's name and zone", () => {
  it("are set by the lead and hold at once; an unknown zone is refused", async () => {
    const set = (more: object) =>
      lead.post("/api/clinic", { id: uuid(), name: "Tarn Street", zone: "Asia/Tokyo", ...more });
    expect((await set({ zone: "Nowhere/Here" })).body.problems).toEqual([
      { path: "/zone", problem: "is not a time zone" },
    ]);
    expect((await clinician.post("/api/clinic", { id: uuid(), name: "Mine", zone: "UTC" })).status).toBe(403);
    const shown = async () => {
      const { rows } = (await clinician.get("/api/caseload")).body as CaseloadPage;
      return rows.map(({ episodeId }) => episodeId).sort();
    };
    const before = await shown();
    expect(before.length).toBeGreaterThan(10);
    expect((await set({})).status).toBe(201);
    expect((await clinician.get(`/api/episodes/${fencer}`)).body.zone).toBe("Asia/Tokyo");
    // Days begin at other hours now, and nobody has left the list.
    expect(await shown()).toEqual(before);
    await set({ name: demoClinic.name, zone: demoClinic.zone });
    expect((await clinician.get(`/api/episodes/${fencer}`)).body.zone).toBe(demoClinic.zone);
  });
});

describe("a person's data", () => {
  it("come out whole: identity, every episode as a sound case file, its record, and who looked", async () => {
    const reply = await lead.get(`/api/episodes/${fencer}/person-file`);
    expect(reply.headers.get("content-disposition")).toContain("person.stair.json");
    const file = reply.body as PersonFile;
    const [rows] = await owner.query<mysql.RowDataPacket[]>(
      "SELECT p.family_name FROM people p JOIN episodes e ON e.clinic_id = p.clinic_id AND e.person_id = p.id WHERE e.id = ?",
      [fencer],
    );
    expect(file.identity.familyName).toBe(rows[0]?.["family_name"]);
    expect(file.episodes).toHaveLength(1);
    const [episode] = file.episodes;
    expect(importCase(JSON.stringify(episode?.case)).ok).toBe(true);
    for (const [table, found] of [
      ["sessions", episode?.case.sessions.length],
      ["next_day_reports", episode?.case.reports.length],
      ["measure_results", episode?.case.results.length],
      ["decisions", episode?.record.filter(({ kind }) => kind === "decision").length],
      ["intakes", episode?.intakes.length],
    ] as const) {
      const [counted] = await owner.query<mysql.RowDataPacket[]>(
        `SELECT COUNT(*) AS n FROM ${table} WHERE episode_id = ?`,
        [fencer],
      );
      expect([table, found]).toEqual([table, Number(counted[0]?.["n"])]);
    }
    expect(file.log.some(({ action }) => action === "record-session")).toBe(true);
    expect((await clinician.get(`/api/episodes/${fencer}/person-file`)).status).toBe(403);
    const page = await lead.get(`/episodes/${fencer}/everything`);
    expect(page.body).toContain(file.identity.familyName);
  });

  it("are erased on request by another account: no row, no name and no id of theirs is left but that it was done", async () => {
    const { identity } = (await lead.get(`/api/episodes/${skater}/person`)).body;
    const ask = (familyName: string, by = lead) =>
      by.post(`/api/episodes/${skater}/erasure`, {
        id: uuid(),
        familyName,
        reason: "She asked for it in writing",
      });
    expect((await ask("Somebody")).body.problems?.[0]?.path).toBe("/familyName");
    expect((await ask(identity.familyName, clinician)).status).toBe(403);
    expect((await ask(identity.familyName.toUpperCase())).status).toBe(201);
    expect((await ask(identity.familyName)).body.repeated).toBe(true);
    const before = await count(owner);
    const [pending] = await pendingErasures(owner);
    if (!pending) throw new Error("nothing is pending");
    const app = await connect(servers.database.appUrl);
    await expect(erasePerson(app, pending, "2026-03-10T10:00:00.000Z")).rejects.toMatchObject({
      errno: 1142,
    });
    app.destroy();
    const gone = await erasePerson(owner, pending, "2026-03-10T10:00:00.000Z");
    expect(gone).toMatchObject({ people: 1, episodes: 1 });
    expect(await pendingErasures(owner)).toEqual([]);

    const after = await count(owner);
    for (const [table, n] of Object.entries(gone))
      expect([table, after[table]]).toEqual([table, (before[table] ?? 0) - n]);
    const dump = await everyRow(owner);
    expect(dump).not.toContain(identity.familyName);
    const rest = dump.replaceAll(/"(audit_log|erasures|erasure_requests)":\[[^\]]*\]/g, "");
    for (const id of [skater, pending.personId]) expect(rest).not.toContain(id);
    for (const { child, column, parent, key } of await references(owner)) {
      const [orphans] = await owner.query<mysql.RowDataPacket[]>(
        `SELECT COUNT(*) AS n FROM ${child} c LEFT JOIN ${parent} p ON p.clinic_id = c.clinic_id AND p.${key} = c.${column}
          WHERE c.${column} IS NOT NULL AND p.${key} IS NULL`,
      );
      expect([child, column, Number(orphans[0]?.["n"])]).toEqual([child, column, 0]);
    }
    expect((await lead.get(`/api/episodes/${skater}`)).status).toBe(404);
    const { rows } = (await clinician.get("/api/caseload")).body;
    expect(rows.map(({ episodeId }: { episodeId: string }) => episodeId)).not.toContain(skater);
  });
});

describe("backup and restore", () => {
  it("give an empty server the same rows in every table, and the application runs on it", async () => {
    const folder = mkdtempSync(path.join(os.tmpdir(), "stair-backup-"));
    const file = path.join(folder, "clinic.sql.gz");
    // A process that holds a lease while the backup is made holds none of what is restored.
    await owner.query(
      "REPLACE INTO leases (name, holder, expires_at) VALUES ('held', UUID(), '2026-03-10 10:00:00')",
    );
    await chained();
    await backUp(servers.database.ownerUrl, file);
    expect(statSync(file).mode & 0o077).toBe(0);
    const other = await startMariaDb(path.join(folder, "db"), { keepRunning: false, quiet: true });
    try {
      await restore(other.ownerUrl, file);
      const copy = await connect(other.ownerUrl);
      expect(await tables(copy)).toEqual(await tables(owner));
      expect((await copy.query("SELECT * FROM leases"))[0]).toEqual([]);
      expect(await checksums(copy)).toEqual(await checksums(owner));
      expect(await count(copy)).toEqual(await count(owner));
      expect(await everyRow(copy)).toBe(await everyRow(owner));
      copy.destroy();
      expect(runTool("count-tables.ts", [], { DATABASE_OWNER_URL: other.ownerUrl }).trim()).not.toBe("0");
    } finally {
      await other.stop();
      rmSync(folder, { recursive: true, force: true });
    }
  });
});

describe("a clinic without the demo", () => {
  it("begins with a command that makes it and its first lead, who sets a password by a link", async () => {
    const env = { DATABASE_OWNER_URL: servers.database.ownerUrl };
    const token = runTool(
      "new-clinic.ts",
      ["Mill Lane", "Europe/Oslo", "Runa Holm", "runa@milllane.example"],
      env,
    ).trim();
    const { Client: Fresh } = await import("~tests/harness/client");
    const client = new Fresh(servers.urls[0] as string);
    const password = "nine oars and a sail";
    expect((await client.post("/api/password", { token, password })).body).toEqual({
      email: "runa@milllane.example",
    });
    expect((await client.post("/api/sign-in", { email: "runa@milllane.example", password })).status).toBe(
      200,
    );
    expect((await client.get("/api/caseload")).body.rows).toEqual([]);
    expect((await client.get("/api/clinic")).body).toMatchObject({ name: "Mill Lane", zone: "Europe/Oslo" });
    expect(() => runTool("new-clinic.ts", ["X", "Nowhere", "Y", "z"], env)).toThrow();
  });
});

async function count(db: mysql.Connection): Promise<Record<string, number>> {
  const found: Record<string, number> = {};
  for (const table of await dataTables(db)) {
    const [rows] = await db.query<mysql.RowDataPacket[]>(`SELECT COUNT(*) AS n FROM ${table}`);
    found[table] = Number(rows[0]?.["n"]);
  }
  return found;
}

async function checksums(db: mysql.Connection): Promise<unknown[]> {
  const [rows] = await db.query<mysql.RowDataPacket[]>(
    `CHECKSUM TABLE ${(await dataTables(db)).join(", ")} EXTENDED`,
  );
  return rows.map((row) => [String(row["Table"]).split(".")[1], row["Checksum"]]);
}

/** Everything in a database as text, table by table, in one order. */
async function everyRow(db: mysql.Connection): Promise<string> {
  const all: Record<string, string[]> = {};
  for (const table of await dataTables(db)) {
    const [rows] = await db.query<mysql.RowDataPacket[]>(`SELECT * FROM ${table}`);
    all[table] = rows.map((row) => JSON.stringify(row).replaceAll(/[[\]]/g, "|")).sort();
  }
  return JSON.stringify(all);
}

/** Columns that refer to a row of another table, beside the clinic. */
async function references(db: mysql.Connection) {
  const [rows] = await db.query<mysql.RowDataPacket[]>(
    `SELECT table_name AS child, column_name AS col, referenced_table_name AS parent, referenced_column_name AS ref
       FROM information_schema.key_column_usage
      WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL AND column_name <> 'clinic_id'`,
  );
  return rows
    .filter((row) => row["ref"] !== "hash")
    .map((row) => ({
      child: String(row["child"]),
      column: String(row["col"]),
      parent: String(row["parent"]),
      key: String(row["ref"]),
    }));
}
