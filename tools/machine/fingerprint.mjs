import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from "node:fs";
import path from "node:path";
import { inRepository } from "./root.mjs";

/** SHA-256 over the names and contents of files and folders, in a stable order. */
export function fingerprint(relativePaths) {
  const hash = createHash("sha256");
  const visit = (relative) => {
    const absolute = inRepository(relative);
    if (!existsSync(absolute)) return;
    if (statSync(absolute).isDirectory()) {
      for (const name of readdirSync(absolute).sort()) visit(path.join(relative, name));
      return;
    }
    hash.update(relative).update("\0").update(readFileSync(absolute)).update("\0");
  };
  relativePaths.forEach(visit);
  return hash.digest("hex");
}

/** True when `markFile` already holds `value`. */
export function isMarked(markFile, value) {
  return existsSync(markFile) && readFileSync(markFile, "utf8") === value;
}

/** Remembers that the work described by `value` is done. */
export function mark(markFile, value) {
  mkdirSync(path.dirname(markFile), { recursive: true });
  writeFileSync(markFile, value);
}
