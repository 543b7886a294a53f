import { cpSync, mkdtempSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { startApplication } from "../../tools/machine/application.mjs";
import { startMariaDb } from "../../tools/machine/mariadb.mjs";
import { prepareDatabase } from "../../tools/machine/prepare.mjs";
import { commandLine, endProcess } from "../../tools/machine/processes.mjs";
import { beginning, clockAt, moveClock } from "../../tools/machine/template.mjs";
import { keepPristine } from "./pristine";

interface App {
  readonly url: string;
  readonly pid: number;
  readonly output: () => string;
}

export interface Servers {
  /** Base URLs of the application processes. */
  readonly urls: string[];
  readonly database: Awaited<ReturnType<typeof startMariaDb>>;
  /** Moves the clock of all processes. */
  setClock: (instant: string) => void;
  /** Starts one more application process. */
  startApp: (env?: Record<string, string>) => Promise<App>;
  stop: () => Promise<void>;
}

/** Servers that stay for the next file of tests of this process, and are put back as they were in between. */
interface Kept {
  readonly own: Servers;
  readonly apps: App[];
  readonly putTablesBack: Awaited<ReturnType<typeof keepPristine>>;
  /** Whether a file has had them since they were put back, and whether it may have changed what others count on. */
  used: "not" | "shared" | "whole";
  isTaken: boolean;
}

let kept: Promise<Kept> | undefined;

/**
 * A database with the demo in it, and application processes, of which nobody else has seen anything: those of the file before, put
 * back, for starting them anew takes longer than many a file, and warm code answers faster. Who stops or kills one, or asks
 * for another kind of server, starts their own ({@link startOwnServers}).
 */
export async function startServers(processes: number): Promise<Servers> {
  const servers = await (kept ??= startKept());
  if (servers.isTaken) return startOwnServers(processes);
  if (servers.used !== "not") await putBack(servers);
  servers.used = "whole";
  return lend(servers, processes);
}

/**
 * Servers for test files that only write about people of their own, and that do not mind what others of the kind have written:
 * nothing is put back between them.
 */
export async function sharedServers(): Promise<Servers> {
  const servers = await (kept ??= startKept());
  if (servers.used === "whole") await putBack(servers);
  servers.used = "shared";
  return lend(servers, 1);
}

async function startKept(): Promise<Kept> {
  const own = await startOwnServers(0);
  const { root, ownerUrl } = own.database;
  const putTablesBack = await keepPristine(root, new URL(ownerUrl).pathname.slice(1));
  return { own, apps: [], putTablesBack, used: "not", isTaken: false };
}

async function lend(servers: Kept, processes: number): Promise<Servers> {
  const { own, apps } = servers;
  servers.isTaken = true;
  while (apps.length < processes) {
    const app = await own.startApp();
    await fetch(`${app.url}/health`);
    apps.push(app);
  }
  const more: App[] = [];
  return {
    ...own,
    urls: apps.slice(0, processes).map(({ url }) => url),
    startApp: async (env) => {
      const app = await own.startApp(env);
      more.push(app);
      return app;
    },
    stop: async () => {
      for (const { pid } of more) await endProcess(pid);
      servers.isTaken = false;
      const pids = [own.database.pid() as number, ...apps.map(({ pid }) => pid)];
      if (pids.some((pid) => commandLine(pid) === null))
        throw new Error("This file has ended servers that were lent to it: it has to start its own.");
    },
  };
}

async function putBack({ own, apps, putTablesBack }: Kept): Promise<void> {
  own.setClock(beginning);
  await putTablesBack({
    answer: async () => {
      for (const { url } of apps) await fetch(`${url}/health`);
    },
    forget: async () => {
      for (const { pid, output } of apps) {
        const before = output().length;
        process.kill(pid, "SIGHUP");
        while (!output().slice(before).includes("is forgotten")) await sleep(5);
      }
    },
  });
}

/** A database of its own in a folder that is thrown away, with the demo in it, and some application processes. */
export async function startOwnServers(
  processes: number,
  options: Parameters<typeof startMariaDb>[1] = {},
): Promise<Servers> {
  // Beside the database that it is a copy of: who throws that away throws this away too, should nobody have stopped it.
  const beside = process.env["STAIR_TEST_TEMPLATE"];
  const folder = mkdtempSync(path.join(beside ? path.dirname(beside) : os.tmpdir(), "stair-servers-"));
  const clock = clockAt(folder);
  const setClock = (instant: string) => moveClock(clock.STAIR_CLOCK_FILE, instant);
  const place = path.join(folder, "db");
  const template = process.env["STAIR_TEST_TEMPLATE"];
  if (template) cpSync(template, place, { recursive: true });
  const database = await startMariaDb(place, { keepRunning: false, quiet: true, ...options });
  if (!template) {
    const appUser = "'stair_app'@'127.0.0.1'";
    prepareDatabase({ ownerUrl: database.ownerUrl, appUser, demo: true, env: clock });
  }

  const pids: number[] = [];
  const startApp: Servers["startApp"] = async (env = {}) => {
    let output = "";
    const app = await startApplication({
      databaseUrl: env["DATABASE_URL"] ?? database.appUrl,
      port: 0,
      // One who is signed in does here what many would.
      env: { ...clock, LOG_LEVEL: "info", CALLS_A_MINUTE: "1000000", RECORD_KEY: database.recordKey, ...env },
      stdout: "pipe",
    });
    app.child.stdout?.on("data", (chunk: Buffer) => {
      output += chunk.toString();
      // A fault of the server is printed where it happens, or a test that meets a 500 could not say why.
      for (const line of chunk.toString().split("\n"))
        if (line.includes('"level":50')) process.stderr.write(`${line}\n`);
    });
    const pid = app.child.pid as number;
    pids.push(pid);
    return { url: `http://127.0.0.1:${app.port}`, pid, output: () => output };
  };
  const urls: string[] = [];
  for (let n = 0; n < processes; n += 1) urls.push((await startApp()).url);
  return {
    urls,
    database,
    setClock,
    startApp,
    stop: async () => {
      for (const pid of pids) await endProcess(pid);
      await database.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
