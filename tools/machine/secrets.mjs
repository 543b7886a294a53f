import { randomBytes } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";

/** Random passwords of a private database, made once and kept with mode 600. */
export function databaseSecrets(folder) {
  const file = path.join(folder, "secrets.json");
  if (existsSync(file)) return JSON.parse(readFileSync(file, "utf8"));
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const password = () => randomBytes(24).toString("base64url");
  const secrets = { root: password(), owner: password(), app: password() };
  writeFileSync(file, JSON.stringify(secrets), { mode: 0o600 });
  return secrets;
}
