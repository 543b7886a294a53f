import { accessSync, constants, mkdirSync, renameSync } from "node:fs";
import { createRequire } from "node:module";
import path from "node:path";
import { inRepository, repositoryRoot } from "./root.mjs";

/**
 * How node is told to run one of the product's TypeScript tools: as one file, made anew each time (a quarter of a second), since to
 * find and read its hundreds of files one by one takes ten times as long. Where nothing may be written they are read one by one.
 *
 * @param folder where the one file is written; packages have to be found from there
 * @returns the arguments of node before the tool's own
 */
export function toolArguments(file, folder = inRepository("node_modules/.cache/stair-tools")) {
  const source = inRepository("tools", file);
  if (!mayWrite(folder)) return ["--import", "tsx", source];
  // Looked for when it is needed: the packages are installed by who asks.
  const { buildSync } = createRequire(import.meta.url)("esbuild");
  const one = path.join(folder, `${path.basename(file, ".ts")}.mjs`);
  const own = `${one}.${process.pid}`;
  buildSync({
    entryPoints: [source],
    outfile: own,
    bundle: true,
    packages: "external",
    platform: "node",
    format: "esm",
    target: "node20",
    absWorkingDir: repositoryRoot,
    logLevel: "silent",
  });
  // Two who run it at once each read a whole one.
  renameSync(own, one);
  return [one];
}

function mayWrite(folder) {
  try {
    mkdirSync(folder, { recursive: true });
    accessSync(folder, constants.W_OK);
    return true;
  } catch {
    return false;
  }
}
