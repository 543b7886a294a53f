import { cpSync, mkdtempSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { startApplication } from "../../tools/machine/application.mjs";
import { startMariaDb } from "../../tools/machine/mariadb.mjs";
import { prepareDatabase } from "../../tools/machine/prepare.mjs";
import { endProcess } from "../../tools/machine/processes.mjs";
import { clockAt, moveClock } from "../../tools/machine/template.mjs";

export interface Servers {
  /** Base URLs of the application processes. */
  readonly urls: string[];
  readonly database: Awaited<ReturnType<typeof startMariaDb>>;
  /** Moves the clock of all processes. */
  setClock: (instant: string) => void;
  /** Starts one more application process. */
  startApp: (env?: Record<string, string>) => Promise<{ url: string; pid: number; output: () => string }>;
  stop: () => Promise<void>;
}

let shared: Promise<Servers> | undefined;

/**
 * A database and an application process for all test files of this process that only write about people of their own: nobody
 * stops them, they end with the process. Starting them anew takes longer than many a file, and warm code answers faster.
 */
export const sharedServers = (): Promise<Servers> => (shared ??= startServers(1));

/** A database of its own in a folder that is thrown away, with the demo in it, and some application processes. */
export async function startServers(
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
