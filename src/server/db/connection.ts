import type { PoolOptions, RowDataPacket } from "mysql2/promise";
import { databaseTls } from "./database-tls";
import { makeDatabase, type Database } from "./database";
import { nodesOf } from "./nodes";

/** What every connection goes by: UTC, dates as text, and how it is sealed on its way. */
export function connectionOptions(
  url: string,
): Pick<PoolOptions, "uri" | "timezone" | "dateStrings" | "ssl"> {
  const tls = databaseTls(new URL(url).hostname);
  return { uri: url, timezone: "Z", dateStrings: true, ...(tls ? { ssl: tls } : {}) };
}

/** The same for the application's many: a bounded number of them. */
function poolOptions(url: string): PoolOptions {
  return {
    ...connectionOptions(url),
    connectionLimit: Number(process.env["DATABASE_CONNECTIONS"] ?? 12),
    maxIdle: 4,
    connectTimeout: 4_000,
    enableKeepAlive: true,
    supportBigNumbers: true,
  };
}

let shared: Database | undefined;

/** The application's database, made at first use from DATABASE_URL, and DATABASE_NODES where there are several servers. */
export function pool(): Database {
  const url = process.env["DATABASE_URL"];
  if (!url) throw new Error("DATABASE_URL is not set; start the product with `npm start`");
  shared ??= makeDatabase(poolOptions(url), nodesOf(url, process.env["DATABASE_NODES"]));
  return shared;
}

const readyWithinMs = 3000;

/** Asks the database what time it is; throws when it does not answer. @returns ISO instant */
export async function databaseClock(): Promise<string> {
  const sql = "SELECT UTC_TIMESTAMP(3) AS at";
  const [rows] = await pool().query<RowDataPacket[]>({ sql, timeout: readyWithinMs });
  return fromDatabaseTime(String(rows[0]?.["at"]));
}

/** Closes the pool; for the end of a process. */
export async function closePool(): Promise<void> {
  await shared?.end();
  shared = undefined;
}

export { put, type Connection, type Queryable } from "./database";

/** An instant as MariaDB's DATETIME(3) in UTC. */
export function toDatabaseTime(instant: string): string {
  return new Date(instant).toISOString().replace("T", " ").replace("Z", "");
}

/** A DATETIME(3) from the database as an ISO instant, the same from either protocol: one of them leaves off .000. */
export function fromDatabaseTime(text: string): string {
  return `${text.replace(" ", "T")}${text.includes(".") ? "" : ".000"}Z`;
}

/** The same of a column that may be empty. */
export const fromDatabaseTimeOrNull = (value: unknown): string | null =>
  value === null || value === undefined ? null : fromDatabaseTime(String(value));

/** A JSON column's value; drivers and functions hand it over as text or parsed. */
export function fromDatabaseJson<T>(value: unknown): T {
  return (typeof value === "string" ? JSON.parse(value) : value) as T;
}
