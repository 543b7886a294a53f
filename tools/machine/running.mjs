import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { commandLine } from "./processes.mjs";
import { PlainFailure } from "./say.mjs";

/** Makes sure that only one start command uses a data folder; a file left by a killed one does not count. */
export function claimFolder(folder) {
  const file = path.join(folder, "start.pid");
  if (existsSync(file)) {
    const pid = Number(readFileSync(file, "utf8"));
    if (pid !== process.pid && commandLine(pid)?.includes(path.basename(process.argv[1] ?? ""))) {
      throw new PlainFailure(`Patient Stair is running already (process ${pid}). Stop that one first.`);
    }
  }
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  writeFileSync(file, String(process.pid));
  return () => rmSync(file, { force: true });
}
