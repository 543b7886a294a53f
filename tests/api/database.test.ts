import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import mysql, { type Connection, type RowDataPacket } from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { findLogin, findSession } from "~/server/auth/staff-repository";
import { countedTo, countPlaces, readPage } from "~/server/caseload/caseload-repository";
import type { Connection as Transaction, Queryable } from "~/server/db/connection";
import { makeDatabase } from "~/server/db/database";
import { nodesOf } from "~/server/db/nodes";
import { readParts } from "~/server/case/case-parts";
import { bumpVersion, findEpisode, lockHeads } from "~/server/case/episode-repository";
import { dropSessionDraft } from "~/server/episode/session-draft-repository";
import { dropDraft } from "~/server/intake/draft-repository";
import { takeLease } from "~/server/db/lease";
import { demoClinic } from "~demo/clinic";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn } from "~tests/harness/client";
import { fencer } from "~tests/harness/story";
import { startMariaDb } from "../../tools/machine/mariadb.mjs";

let servers: Servers;
let owner: Connection;
let app: Connection;

const connect = (uri: string) => mysql.createConnection({ uri, timezone: "Z", dateStrings: true });

beforeAll(async () => {
  servers = await startServers(1);
  owner = await connect(servers.database.ownerUrl);
  app = await connect(servers.database.appUrl);
});
afterAll(async () => {
  owner.destroy();
  app.destroy();
  await servers.stop();
});

describe("facts are append-only, whatever the application does", () => {
  const facts = [...readFileSync("db/privileges.sql", "utf8").matchAll(/GRANT SELECT, INSERT ON (\w+)/g)].map(
    (m) => m[1] as string,
  );

  it.each(facts)("%s: no UPDATE, no DELETE", async (table) => {
    await expect(app.query(`UPDATE ${table} SET clinic_id = clinic_id`)).rejects.toMatchObject({
      errno: 1142,
    });
    await expect(app.query(`DELETE FROM ${table}`)).rejects.toMatchObject({ errno: 1142 });
  });

  it("nor does the application take an episode out of the list", async () => {
    await expect(app.query("DELETE FROM caseload_rows")).rejects.toMatchObject({ errno: 1142 });
  });

  it("the application's account can neither alter the schema nor give rights", async () => {
    await expect(app.query("ALTER TABLE sessions ADD COLUMN x INT")).rejects.toMatchObject({ errno: 1142 });
    await expect(app.query("DROP TABLE sessions")).rejects.toMatchObject({ errno: 1142 });
    await expect(app.query("CREATE TABLE x (id INT)")).rejects.toMatchObject({ errno: 1142 });
  });

  it("every table of the schema stands in the list of privileges", async () => {
    const [rows] = await owner.query<RowDataPacket[]>("SHOW TABLES");
    const listed = [...readFileSync("db/privileges.sql", "utf8").matchAll(/ ON (\w+) TO/g)].map((m) => m[1]);
    expect(rows.map((row) => Object.values(row)[0]).sort()).toEqual([...listed].sort());
  });

  it("every table that holds something of a clinic begins its key with the clinic", async () => {
    const [rows] = await owner.query<RowDataPacket[]>(
      `SELECT c.table_name AS name, k.column_name AS first_key
         FROM information_schema.columns c
         JOIN information_schema.key_column_usage k
           ON k.table_schema = c.table_schema AND k.table_name = c.table_name
          AND k.constraint_name = 'PRIMARY' AND k.ordinal_position = 1
        WHERE c.table_schema = DATABASE() AND c.column_name = 'clinic_id' AND c.table_name <> 'staff_sessions'`,
    );
    expect(rows.length).toBeGreaterThan(12);
    for (const row of rows) expect([row["name"], row["first_key"]]).toEqual([row["name"], "clinic_id"]);
  });

  it("a set cannot be tied to another clinic's session", async () => {
    const [sessions] = await owner.query<RowDataPacket[]>("SELECT id FROM sessions LIMIT 1");
    const insert = owner.execute(
      "INSERT INTO session_sets (clinic_id, session_id, position, item_id, pain_during, body) VALUES (?, ?, 99, ?, 0, '{}')",
      [uuid(), sessions[0]?.["id"], uuid()],
    );
    await expect(insert).rejects.toMatchObject({ errno: 1452 });
  });
});

describe("how the hot statements reach their rows", () => {
  interface Plan {
    readonly table: string | null;
    readonly key: string | null;
    readonly rows: number | null;
    readonly Extra: string | null;
  }
  /** What MariaDB says of every statement that a piece of code would run; nothing is run. */
  const plansOf = async (work: (db: Queryable) => Promise<unknown>): Promise<RowDataPacket[]> => {
    const plans: RowDataPacket[] = [];
    const explain = async (sql: string, values: unknown[]) => {
      const [rows] = await owner.query<RowDataPacket[]>(`EXPLAIN ${sql}`, values);
      plans.push(...rows);
      return [[], []];
    };
    await work({ execute: explain, query: explain } as unknown as Queryable);
    return plans;
  };
  const clinic = demoClinic.id;
  const now = "2026-03-10T09:00:00.000Z";

  it.each([
    ["raising a version", (db: Queryable) => bumpVersion(db, clinic, fencer, now)],
    ["locking an episode", (db: Queryable) => lockHeads(db, clinic, [fencer])],
    ["dropping a session's draft", (db: Queryable) => dropSessionDraft(db, clinic, fencer, uuid())],
    ["dropping an intake's draft", (db: Queryable) => dropDraft(db, clinic, uuid())],
  ])(
    "%s locks one row of a table by its key, not the clinic's rows by another index",
    async (_what, work) => {
      const plans = (await plansOf(work)) as Plan[];
      expect(new Set(plans.map(({ table }) => table)).size).toBe(plans.length);
      // Nothing to lock at all is as good: then the row is not there.
      for (const plan of plans) if (plan.key) expect([plan.key, Number(plan.rows)]).toEqual(["PRIMARY", 1]);
    },
  );

  it.each([
    [
      "who is signed in",
      (db: Queryable) => findSession(db, Buffer.alloc(32), { seenSince: now, createdSince: now }),
    ],
    ["a sign-in", (db: Queryable) => findLogin(db, "a@b.example")],
    ["one episode", (db: Queryable) => findEpisode(db, clinic, fencer)],
    ["the parts of an episode", (db: Queryable) => readParts(db, clinic, [fencer])],
    ["the caseload", (db: Queryable) => readPage(db, clinic, { most: 40 }, now, "1")],
    ["counting the caseload", (db: Queryable) => countPlaces(db, clinic, null)],
  ])("%s: every table is reached by an index", async (_what, work) => {
    const plans = await plansOf(work);
    // What a statement has made of rows it reached is read whole: `<derived2>`, `<union1,2>`.
    const tables = (plans as Plan[]).filter(({ table }) => !table?.startsWith("<"));
    expect(tables.length).toBeGreaterThan(0);
    for (const { table, key, Extra } of tables)
      expect([table, key !== null || /const tables/.test(Extra ?? "")]).toEqual([table, true]);
  });
});

it("of each kind people are counted so far and no further, however many there are", async () => {
  const clinic = uuid();
  const rows = [0, 1].flatMap((place) =>
    Array.from({ length: place === 0 ? countedTo + 20 : 7 }, () => [clinic, uuid(), place]),
  );
  const kept = "2026-03-10";
  await owner.query("SET SESSION foreign_key_checks = 0");
  try {
    await owner.beginTransaction();
    await owner.query(
      `INSERT INTO caseload_rows (clinic_id, episode_id, place, episode_version, engine_version, computed_at, valid_until, body)
       VALUES ?`,
      [rows.map((row) => [...row, 1, "1", kept, kept, "{}"])],
    );
    const counts = await countPlaces(owner as unknown as Queryable, clinic, null);
    expect(Object.fromEntries(counts)).toEqual({ stop: countedTo, unreadable: 7 });
    expect((await countPlaces(owner as unknown as Queryable, clinic, uuid())).size).toBe(0);
  } finally {
    await owner.rollback();
    await owner.query("SET SESSION foreign_key_checks = 1");
  }
});

describe("what a transaction puts aside", () => {
  const url = () => servers.database.appUrl;
  const insert = "INSERT INTO leases (name, holder, expires_at) VALUES (?, ?, ?)";
  const lease = (name: string) => [name, uuid(), "2026-03-10 09:00:00"];
  const kept = async () => {
    const [rows] = await owner.query<RowDataPacket[]>("SELECT name FROM leases WHERE name LIKE 'put-%'");
    return rows.map(({ name }) => String(name)).sort();
  };
  const transaction = async (work: (db: Transaction) => Promise<unknown>) => {
    const database = makeDatabase({ uri: url(), connectionLimit: 1 }, nodesOf(url()));
    const db = await database.getConnection();
    try {
      return await work(db);
    } finally {
      db.giveBack(false);
      await database.end();
    }
  };

  it("goes with the next statement, which sees it; nobody else does before the end, and then all of it stands", async () => {
    await transaction(async (db) => {
      db.put(insert, lease("put-it's; END"));
      db.put(insert, lease("put-?"));
      const [rows] = await db.query<RowDataPacket[]>("SELECT name FROM leases WHERE name LIKE 'put-%'");
      expect(rows).toHaveLength(2);
      expect(await kept()).toEqual([]);
      db.put(insert, lease("put-3"));
      await db.commit();
    });
    expect(await kept()).toEqual(["put-3", "put-?", "put-it's; END"]);
  });

  it("takes everything with it where it fails, and goes nowhere where all is taken back", async () => {
    const before = await kept();
    await transaction(async (db) => {
      db.put(insert, lease("put-4"));
      db.put(insert, lease("put-3"));
      await expect(db.commit()).rejects.toMatchObject({ errno: 1062 });
      await db.rollback();
      db.put(insert, lease("put-5"));
      await db.rollback();
      await db.commit();
    });
    expect(await kept()).toEqual(before);
  });
});

describe("a lease", () => {
  const now = "2026-03-10T09:00:00Z";
  it("is held by one, given back, and runs out when its holder dies", async () => {
    const first = await takeLease(app as never, "sweep", 30, now);
    expect(first).not.toBeNull();
    expect(await takeLease(owner as never, "sweep", 30, now)).toBeNull();
    expect(await takeLease(owner as never, "sweep", 30, "2026-03-10T09:00:31Z")).not.toBeNull();
    await first?.();
    expect(await takeLease(app as never, "sweep", 30, "2026-03-10T09:00:40Z")).toBeNull();
  });
});

it("signing in sweeps away sessions that are too old to be used, under a lease that is given back", async () => {
  const [staff] = await owner.query<RowDataPacket[]>("SELECT clinic_id, id FROM staff LIMIT 1");
  const old = Buffer.alloc(32, 7);
  await owner.execute(
    "INSERT INTO staff_sessions (token_hash, clinic_id, staff_id, created_at, last_seen_at) VALUES (?, ?, ?, ?, ?)",
    [old, staff[0]?.["clinic_id"], staff[0]?.["id"], "2026-03-09 20:00:00", "2026-03-09 20:00:00"],
  );
  await signedIn(servers.urls[0] as string);
  const [rows] = await owner.execute<RowDataPacket[]>("SELECT 1 FROM staff_sessions WHERE token_hash = ?", [
    old,
  ]);
  expect(rows).toHaveLength(0);
  const [leases] = await owner.query<RowDataPacket[]>(
    "SELECT name FROM leases WHERE name = 'sweep-sessions'",
  );
  expect(leases).toHaveLength(0);
});

it("reading a record and signing in are in the audit log, with ids only", async () => {
  const client = await signedIn(servers.urls[0] as string);
  await client.get(`/api/episodes/${fencer}`);
  const [rows] = await owner.query<RowDataPacket[]>(
    "SELECT action, object_kind, object_id FROM audit_log WHERE clinic_id = ?",
    [demoClinic.id],
  );
  const actions = rows.map((row) => row["action"]);
  expect(actions).toContain("sign-in");
  expect(rows.find((row) => row["action"] === "read-stair")).toMatchObject({
    object_kind: "episode",
    object_id: fencer,
  });
});

it("a server that starts beside a running one leaves its temporary tables alone", async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), "stair-beside-"));
  let starting = true;
  const readOn = async () => {
    const connection = await connect(servers.database.ownerUrl);
    // Sorted texts do not fit into memory tables: each of these makes a file among the server's temporary ones.
    while (starting)
      await connection.query("SELECT DISTINCT a.body, b.hash FROM session_sets a, definitions b LIMIT 2000");
    connection.destroy();
  };
  const readers = Array.from({ length: 4 }, () => readOn());
  try {
    for (let n = 0; n < 2; n += 1) {
      const beside = await startMariaDb(folder, { keepRunning: false, quiet: true });
      await beside.stop();
    }
  } finally {
    starting = false;
  }
  const outcomes = await Promise.allSettled(readers);
  rmSync(folder, { recursive: true, force: true });
  expect(
    outcomes.map((outcome) => (outcome.status === "rejected" ? String(outcome.reason) : "read")),
  ).toEqual(outcomes.map(() => "read"));
});
