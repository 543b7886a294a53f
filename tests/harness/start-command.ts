import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { afterAll, beforeAll } from "vitest";
import { freePort } from "../../tools/machine/ports.mjs";
import { endProcess } from "../../tools/machine/processes.mjs";

export interface Start {
  readonly child: ChildProcess;
  readonly output: () => string;
}

/** What the tests of one file share: a folder of data and a port, and what was started there, which is ended after them. */
export interface AtStart {
  folder: string;
  url: string;
  /** Runs the start command until it says how to stop it, or ends. */
  start: (args?: readonly string[], env?: Record<string, string>) => Promise<Start>;
  databasePid: () => number;
}

/** Sets up a file of tests of the start command and clears away after it. */
export function atStart(): AtStart {
  const started: ChildProcess[] = [];
  const at = {} as AtStart;
  beforeAll(async () => {
    const port = await freePort();
    at.folder = mkdtempSync(path.join(os.tmpdir(), "stair-start-"));
    at.url = `http://127.0.0.1:${port}`;
    at.databasePid = () => Number(readFileSync(path.join(at.folder, "mariadb.pid"), "utf8"));
    at.start = async (args = [], env = {}) => {
      const child = spawn(process.execPath, ["tools/start.mjs", ...args], {
        env: {
          ...process.env,
          NODE_ENV: "production",
          STAIR_DATA_DIR: at.folder,
          PORT: String(port),
          ...env,
        },
      });
      started.push(child);
      let output = "";
      const collect = (chunk: Buffer) => (output += chunk.toString());
      child.stdout.on("data", collect);
      child.stderr.on("data", collect);
      while (!output.includes("Ctrl-C") && child.exitCode === null) await sleep(50);
      await sleep(50);
      return { child, output: () => output };
    };
  });
  afterAll(async () => {
    for (const child of started) if (child.pid && child.exitCode === null) await endProcess(child.pid);
    rmSync(at.folder, { recursive: true, force: true });
  });
  return at;
}

/** Waits until a process has ended. @returns its exit code */
export async function ended(child: ChildProcess): Promise<number | null> {
  while (child.exitCode === null && child.signalCode === null) await sleep(50);
  return child.exitCode;
}
