import { spawn } from "node:child_process";
import { freePort } from "./ports.mjs";
import { repositoryRoot } from "./root.mjs";
import { toolArguments } from "./tool.mjs";

const usualPort = 4380;

/**
 * Starts the stand-ins for devices: a process of their own, beside the application.
 * @returns {Promise<{ url: string, pid: number } | null>} null where they could not start; the product works without them
 */
export async function startDevices() {
  const port = await freePort(Number(process.env.DEVICE_PORT || usualPort));
  const args = toolArguments("devices.ts");
  const child = spawn("setpriv", ["--pdeathsig", "TERM", process.execPath, ...args], {
    cwd: repositoryRoot,
    stdio: ["ignore", "ignore", "inherit", "ipc"],
    detached: true,
    env: { ...process.env, DEVICE_PORT: String(port) },
  });
  const url = await new Promise((resolve) => {
    child.once("message", (message) => resolve(message.listening));
    child.once("exit", () => resolve(null));
  });
  return url === null ? null : { url, pid: child.pid };
}
