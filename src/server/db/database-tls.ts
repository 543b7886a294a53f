import { readFileSync } from "node:fs";
import type { SslOptions } from "mysql2/promise";

/**
 * How the way to a database elsewhere is sealed: DATABASE_CA names the file of the certificates that its server's must be signed by,
 * for the name in the URL; nothing is sent to any other. Without it the way is open: for a database on this machine.
 *
 * @returns null where the way is open
 * @throws Error when the file cannot be read
 */
export function databaseTls(): SslOptions | null {
  const file = process.env["DATABASE_CA"];
  if (!file) return null;
  return { ca: readFileSync(file), minVersion: "TLSv1.2", verifyIdentity: true, rejectUnauthorized: true };
}
