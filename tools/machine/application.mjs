import { spawn } from "node:child_process";
import { inRepository, repositoryRoot } from "./root.mjs";
import { PlainFailure } from "./say.mjs";

/**
 * Starts one application process and waits until it listens.
 * @param {{ databaseUrl: string, port: number, env?: Record<string, string>, stdout?: "inherit" | "pipe" }} options
 * @returns {Promise<{ port: number, child: import("node:child_process").ChildProcess, ended: Promise<number> }>}
 */
export async function startApplication({ databaseUrl, port, env = {}, stdout = "inherit" }) {
  const child = spawn("setpriv", ["--pdeathsig", "TERM", process.execPath, inRepository("tools/serve.mjs")], {
    cwd: repositoryRoot,
    stdio: ["ignore", stdout, "inherit", "ipc"],
    detached: true,
    // Alone, there is nobody who would answer instead.
    env: {
      DRAIN_SECONDS: "0.001",
      ...process.env,
      NODE_ENV: "production",
      ...env,
      DATABASE_URL: databaseUrl,
      PORT: String(port),
    },
  });
  const ended = new Promise((resolve) => child.once("exit", (code) => resolve(code ?? 1)));
  const listening = await Promise.race([
    new Promise((resolve) => child.once("message", (message) => resolve(message.listening))),
    ended.then(() => null),
  ]);
  if (listening === null) throw new PlainFailure("The application did not start; the lines above say why.");
  return { port: listening, child, ended };
}
