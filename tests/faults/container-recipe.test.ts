import { spawn, spawnSync, type ChildProcess } from "node:child_process";
import { cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, expect, it } from "vitest";
import { Client } from "~tests/harness/client";
import { startMariaDb } from "../../tools/machine/mariadb.mjs";
import { freePort } from "../../tools/machine/ports.mjs";
import { endProcess } from "../../tools/machine/processes.mjs";

/** The recipe's own steps, carried out in folders of this machine: what a container would have in it, and nothing else. */
let folder: string;
let database: Awaited<ReturnType<typeof startMariaDb>>;
let child: ChildProcess | undefined;

beforeAll(async () => {
  folder = mkdtempSync(path.join(os.tmpdir(), "stair-container-"));
  database = await startMariaDb(path.join(folder, "db"), { keepRunning: false, quiet: true });
});
afterAll(async () => {
  if (child?.pid) await endProcess(child.pid);
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
});

interface Stage {
  readonly place: string;
  readonly env: Record<string, string>;
  command: string[];
}

/** Carries out COPY, RUN and ENV of a stage, and takes down its CMD; what else stands there is for the container's own program. */
function carryOut(line: string, stage: Stage, stages: ReadonlyMap<string, Stage>): void {
  const [word, ...rest] = line.split(/\s+/);
  if (word === "COPY") {
    const from = rest[0]?.startsWith("--from=") ? rest.shift()?.slice("--from=".length) : undefined;
    const to = path.join(stage.place, rest.pop() as string);
    for (const name of rest) {
      const base = from ? (stages.get(from) as Stage).place : process.cwd();
      const source = path.join(base, from ? name.replace("/srv/patient-stair", "") : name);
      expect(existsSync(source)).toBe(true);
      const isIntoFolder = rest.length > 1 || to === `${stage.place}/`;
      cpSync(source, isIntoFolder ? path.join(to, path.basename(source)) : to, { recursive: true });
    }
  } else if (word === "RUN") {
    const done = spawnSync("sh", ["-c", rest.join(" ")], {
      cwd: stage.place,
      encoding: "utf8",
      env: { PATH: process.env["PATH"], HOME: process.env["HOME"], ...stage.env },
    });
    expect([rest.join(" "), done.status, done.status === 0 ? "" : done.stderr]).toEqual([
      rest.join(" "),
      0,
      "",
    ]);
  } else if (word === "ENV") {
    for (const pair of rest) stage.env[pair.split("=")[0] as string] = pair.split("=")[1] as string;
  } else if (word === "CMD") stage.command = JSON.parse(rest.join(" ")) as string[];
}

it("what the recipe puts together migrates an empty database, serves, and says that it is ready", async () => {
  const stages = new Map<string, Stage>();
  let stage: Stage | undefined;
  for (const line of readFileSync("Containerfile", "utf8").split("\n")) {
    const begun = /^FROM \S+(?: AS (\w+))?/.exec(line);
    if (begun) {
      const name = begun[1] ?? "last";
      stage = { place: path.join(folder, name), env: {}, command: [] };
      mkdirSync(stage.place);
      stages.set(name, stage);
    } else if (stage && /^[A-Z]/.test(line)) carryOut(line, stage, stages);
  }
  const { place, env, command } = stages.get("last") as Stage;
  expect(existsSync(path.join(place, "node_modules/vitest"))).toBe(false);
  const own = { PATH: process.env["PATH"], ...env };
  const migrated = spawnSync(process.execPath, ["--import", "tsx", "tools/prepare-database.ts", "db"], {
    cwd: place,
    encoding: "utf8",
    env: {
      ...own,
      DATABASE_OWNER_URL: database.ownerUrl,
      DATABASE_APP_USER: "'stair_app'@'127.0.0.1'",
    },
  });
  expect([migrated.status, migrated.stderr]).toEqual([0, ""]);
  const port = await freePort();
  child = spawn(command[0] as string, command.slice(1), {
    cwd: place,
    stdio: "ignore",
    env: {
      ...own,
      PORT: String(port),
      HOST: "127.0.0.1",
      DATABASE_URL: database.appUrl,
      RECORD_KEY: database.recordKey,
    },
  });
  const client = new Client(`http://127.0.0.1:${port}`);
  const ready = async () => (await client.get("/ready").catch(() => null))?.status;
  await expect.poll(ready, { timeout: 30_000, interval: 200 }).toBe(200);
  expect((await client.get("/sign-in")).body).toContain("Sign in");
});
