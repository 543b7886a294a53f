import { randomBytes } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";

/** Random passwords of a private database and the key that pictures are sealed with, made once and kept with mode 600. */
export function databaseSecrets(folder) {
  const file = path.join(folder, "secrets.json");
  const record = () => randomBytes(32).toString("base64");
  if (existsSync(file)) {
    const kept = JSON.parse(readFileSync(file, "utf8"));
    if (kept.record) return kept;
    // Made before there were pictures.
    const more = { ...kept, record: record() };
    writeFileSync(file, JSON.stringify(more), { mode: 0o600 });
    return more;
  }
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const password = () => randomBytes(24).toString("base64url");
  const secrets = { root: password(), owner: password(), app: password(), record: record() };
  writeFileSync(file, JSON.stringify(secrets), { mode: 0o600 });
  return secrets;
}
