import { spawn } from "node:child_process";

/**
 * Runs a program to its end without holding up what goes on beside it.
 * @param {string} file
 * @param {string[]} args
 * @param {import("node:child_process").SpawnOptions} options `stdio` as spawn takes it; what is piped comes back as `said`
 * @returns {Promise<{ status: number | null, said: string }>}
 */
export function ended(file, args, options) {
  return new Promise((resolve, reject) => {
    const child = spawn(file, args, options);
    const output = [];
    for (const stream of [child.stdout, child.stderr]) stream?.on("data", (chunk) => output.push(chunk));
    child.once("error", reject);
    child.once("close", (status) => resolve({ status, said: Buffer.concat(output).toString() }));
  });
}
