import { spawn } from "node:child_process";
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import mysql, { type Connection, type RowDataPacket } from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { migrate, MigrationRefused } from "~/server/db/migrate";
import { startOwnServers, type Servers } from "~tests/harness/servers";

let servers: Servers;
let owner: Connection;

beforeAll(async () => {
  servers = await startOwnServers(0);
  owner = await mysql.createConnection({ uri: servers.database.ownerUrl, timezone: "Z" });
});
afterAll(async () => {
  owner.destroy();
  await servers.stop();
});

describe("migrations", () => {
  const withFolder = async (change: (folder: string) => void, holdMs?: number) => {
    const folder = mkdtempSync(path.join(os.tmpdir(), "stair-migrations-"));
    cpSync("db", folder, { recursive: true });
    change(folder);
    try {
      return await migrate(servers.database.ownerUrl, folder, null, holdMs);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  };
  const file = "migrations/0002_episodes.sql";

  it("applied ones are not applied again", async () => expect(await withFolder(() => undefined)).toEqual([]));
  it("an episode that had lost its place in the list, by an earlier version, is in it again", async () => {
    const rows = async () => {
      const [found] = await owner.query<RowDataPacket[]>(
        "SELECT episode_id, resting, onset_on, held_by FROM caseload_rows ORDER BY episode_id",
      );
      return found;
    };
    const before = await rows();
    expect(before.length).toBeGreaterThan(20);
    await owner.query("DELETE FROM caseload_rows WHERE episode_id <> ?", [before[0]?.["episode_id"]]);
    const [, again = ""] = readFileSync("db/migrations/0036_found_and_in_the_list.sql", "utf8").split(
      /(?=^INSERT)/m,
    );
    await owner.query(again);
    expect(await rows()).toEqual(before);
  });

  it("an edited old one is refused", async () => {
    const edited = withFolder((folder) => writeFileSync(path.join(folder, file), "-- another text\n"));
    await expect(edited).rejects.toThrow(MigrationRefused);
    await expect(edited).rejects.toThrow(/0002_episodes\.sql was edited/);
  });
  it("a missing old one is refused", async () => {
    await expect(withFolder((folder) => rmSync(path.join(folder, file)))).rejects.toThrow(/its file is gone/);
  });
  const slow = `-- five steps, one of which takes its time
CREATE TABLE slowly_made (id INT NOT NULL PRIMARY KEY);
INSERT INTO slowly_made (id) VALUES (1);
ALTER TABLE slowly_made ADD COLUMN first_one INT NULL;
DO SLEEP(4);
INSERT INTO slowly_made (id) VALUES (2);
ALTER TABLE slowly_made ADD COLUMN second_one INT NULL;
`;
  const addSlow = (folder: string) => writeFileSync(path.join(folder, "migrations/9998_slow.sql"), slow);
  const columns = async () => {
    const [rows] = await owner.query<RowDataPacket[]>(
      "SELECT COLUMN_NAME AS name FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = 'slowly_made'",
    );
    return rows.map(({ name }) => String(name));
  };
  const forget = async () => {
    await owner.query("DROP TABLE IF EXISTS slowly_made");
    await owner.query("DELETE FROM schema_migrations WHERE name = '9998_slow.sql'");
  };

  it("one whose process was killed is simply run again: each step is done once", async () => {
    const folder = mkdtempSync(path.join(os.tmpdir(), "stair-migrations-"));
    cpSync("db", folder, { recursive: true });
    addSlow(folder);
    const child = spawn(process.execPath, ["--import", "tsx", "tools/prepare-database.ts", folder], {
      stdio: "ignore",
      env: { ...process.env, DATABASE_OWNER_URL: servers.database.ownerUrl, DATABASE_APP_USER: "" },
    });
    const gone = new Promise((resolve) => child.once("exit", resolve));
    await expect.poll(columns, { timeout: 20_000, interval: 50 }).toEqual(["id", "first_one"]);
    child.kill("SIGKILL");
    await gone;
    // What is left says that a step may have been done without a note of it.
    await owner.query(
      "UPDATE schema_migrations SET steps_done = 2, held_until = UTC_TIMESTAMP(3) WHERE name = '9998_slow.sql'",
    );
    expect(await withFolder(addSlow)).toEqual(["9998_slow.sql"]);
    expect(await columns()).toEqual(["id", "first_one", "second_one"]);
    const [rows] = await owner.query<RowDataPacket[]>("SELECT id FROM slowly_made ORDER BY id");
    expect(rows.map(({ id }) => Number(id))).toEqual([1, 2]);
    rmSync(folder, { recursive: true, force: true });
    await forget();
  });

  it("one that somebody is at is left to them, however long it takes; one that nobody is at is taken up", async () => {
    const applied = await Promise.all([withFolder(addSlow, 1_000), withFolder(addSlow, 1_000)]);
    expect(applied.flat()).toEqual(["9998_slow.sql"]);
    await forget();
  });

  it("one that was taken up while a run was held up goes on at one of them alone, each step once", async () => {
    const first = withFolder(addSlow);
    await expect.poll(columns, { timeout: 20_000, interval: 20 }).toEqual(["id", "first_one"]);
    // As if the first had said nothing for too long.
    await owner.query(
      "UPDATE schema_migrations SET held_until = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND WHERE name = '9998_slow.sql'",
    );
    const applied = await Promise.all([first, withFolder(addSlow)]);
    expect(applied).toEqual([[], ["9998_slow.sql"]]);
    expect(await columns()).toEqual(["id", "first_one", "second_one"]);
    const [rows] = await owner.query<RowDataPacket[]>("SELECT id FROM slowly_made ORDER BY id");
    expect(rows.map(({ id }) => Number(id))).toEqual([1, 2]);
    await forget();
  });

  it("one that failed leaves what it did, says why each time, and goes on once that is mended", async () => {
    const text =
      "CREATE TABLE slowly_made (id INT NOT NULL PRIMARY KEY);\nALTER TABLE mended_later ADD COLUMN x INT;\n";
    const add = (folder: string) => writeFileSync(path.join(folder, "migrations/9998_slow.sql"), text);
    for (let n = 0; n < 2; n += 1) await expect(withFolder(add)).rejects.toThrow(/mended_later/);
    await owner.query("CREATE TABLE mended_later (id INT NOT NULL PRIMARY KEY)");
    expect(await withFolder(add)).toEqual(["9998_slow.sql"]);
    await owner.query("DROP TABLE mended_later");
    await forget();
  });

  it("a new one is applied once by several processes at once", async () => {
    const add = (folder: string) =>
      writeFileSync(
        path.join(folder, "migrations/9999_new.sql"),
        "CREATE TABLE newly_made (id INT NOT NULL PRIMARY KEY);",
      );
    const applied = await Promise.all([withFolder(add), withFolder(add), withFolder(add)]);
    expect(applied.flat()).toEqual(["9999_new.sql"]);
    await owner.query("DROP TABLE newly_made");
    await owner.query("DELETE FROM schema_migrations WHERE name = '9999_new.sql'");
  });
});
