import mysql, { type Pool, type PoolConnection, type PoolOptions, type RowDataPacket } from "mysql2/promise";

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
  shared ??= withLimits(mysql.createPool(poolOptions(url)));
  return shared;
}

/** Seconds after which the database ends a statement of the application's by itself: nothing of it takes a tenth of that. */
const longestStatement = 20;
/** Seconds for which one waits for somebody else's lock. */
const longestWait = 10;

function withLimits(made: Pool): Pool {
  made.pool.on("connection", (connection) =>
    connection.query(
      `SET SESSION max_statement_time = ${longestStatement}, innodb_lock_wait_timeout = ${longestWait}`,
    ),
  );
  return made;
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
