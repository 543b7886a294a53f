import { spawnSync } from "node:child_process";
import { inRepository, repositoryRoot } from "./root.mjs";
import { PlainFailure } from "./say.mjs";
import { toolArguments } from "./tool.mjs";

/** Runs one of the product's TypeScript tools and hands back what it printed. */
export function runTool(file, args, env) {
  const result = spawnSync(process.execPath, [...toolArguments(file), ...args], {
    cwd: repositoryRoot,
    encoding: "utf8",
    env: { ...process.env, ...env },
  });
  if (result.status !== 0) throw new PlainFailure(result.stderr.trim() || `tools/${file} failed`);
  return result.stdout;
}

/**
 * Migrates a database, sets the application's privileges, and with `demo` fills an empty one.
 * @returns the demo's sign-in when `demo` was asked for
 */
export function prepareDatabase({ ownerUrl, appUser, demo, env = {} }) {
  const output = runTool("prepare-database.ts", [inRepository("db"), ...(demo ? ["--demo"] : [])], {
    ...env,
    DATABASE_OWNER_URL: ownerUrl,
    DATABASE_APP_USER: appUser ?? "",
  });
  const lines = output.split("\n").filter(Boolean);
  for (const line of lines) if (!line.startsWith("@demo ")) process.stdout.write(`${line}\n`);
  const found = lines.find((line) => line.startsWith("@demo "));
  return found ? JSON.parse(found.slice("@demo ".length)) : null;
}
