import mysql, { type Pool, type PoolConnection, type PoolOptions } from "mysql2/promise";

/** Settings every connection shares: UTC, dates as text, a bounded number of connections. */
export function poolOptions(url: string): PoolOptions {
  return {
    uri: url,
    timezone: "Z",
    dateStrings: true,
    connectionLimit: Number(process.env["DATABASE_CONNECTIONS"] ?? 12),
    maxIdle: 4,
    connectTimeout: 4_000,
    enableKeepAlive: true,
    supportBigNumbers: true,
  };
}

let shared: Pool | undefined;

/** The application's pool, made at first use from DATABASE_URL. */
export function pool(): Pool {
  const url = process.env["DATABASE_URL"];
  if (!url) throw new Error("DATABASE_URL is not set; start the product with `npm start`");
  shared ??= mysql.createPool(poolOptions(url));
  return shared;
}

/** Asks the database for a sign of life; throws when there is none. */
export async function databaseAnswers(): Promise<void> {
  await pool().query("SELECT 1");
}

/** Closes the pool; for the end of a process. */
export async function closePool(): Promise<void> {
  await shared?.end();
  shared = undefined;
}

export type Connection = PoolConnection;
/** What a repository needs: a pool or a connection inside a transaction. */
export type Queryable = Pick<PoolConnection, "query" | "execute">;

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
