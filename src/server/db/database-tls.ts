import { readFileSync } from "node:fs";
import { isIP } from "node:net";
import type { SslOptions } from "mysql2/promise";

/**
 * How the way to a database elsewhere is sealed: DATABASE_CA names the file of the certificates that its server's must be signed by,
 * for the name in the URL; nothing is sent to any other. Without it the way is open: for a database on this machine.
 *
 * @param host of the server, a name: what a certificate says of a number is not checked by the driver
 * @returns null where the way is open
 * @throws Error when the file cannot be read, or for a number
 */
export function databaseTls(host: string): SslOptions | null {
  const file = process.env["DATABASE_CA"];
  if (!file) return null;
  if (isIP(host))
    throw Object.assign(
      new Error(`With DATABASE_CA a database is named, as in its certificate; ${host} is a number`),
      { code: "HANDSHAKE_SSL_ERROR" },
    );
  return { ca: readFileSync(file), minVersion: "TLSv1.2", verifyIdentity: true, rejectUnauthorized: true };
}
