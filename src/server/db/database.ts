import { setTimeout as sleep } from "node:timers/promises";
import mysql, { type Pool, type PoolConnection, type PoolOptions } from "mysql2/promise";
import type { PoolConnection as CallbackConnection } from "mysql2";
import { isAway, isConflict } from "./away";
import { compound, type Statement } from "./compound";
import { databaseTls } from "./database-tls";
import type { NodeAddress } from "./nodes";

/** What a repository needs: a pool or a connection inside a transaction. */
export type Queryable = Pick<PoolConnection, "query" | "execute">;

/**
 * A connection for one transaction, which its first statement begins; whoever has it ends that, and gives the connection back or
 * says that it is broken.
 */
export interface Connection extends Queryable {
  /**
   * Takes a statement whose outcome nobody asks for: it goes to the server with the next one, in one go. Should it fail, the next one
   * fails by it.
   */
  readonly put: (sql: string, values: readonly unknown[]) => void;
  readonly commit: () => Promise<void>;
  readonly rollback: () => Promise<void>;
  readonly giveBack: (broken: boolean) => void;
}

/** A database of one server or of several that hold the same. */
export interface Database extends Queryable {
  readonly getConnection: () => Promise<Connection>;
  /** Waits a moment before something is tried again; false where it is not to be: nothing helps, or it was tried long enough. */
  readonly waitToTryAgain: (error: unknown, tried: number, since: number) => Promise<boolean>;
  /** The same for a library that wants to be called back. */
  readonly store: {
    getConnection: (then: (error: unknown, connection?: CallbackConnection) => void) => void;
  };
  /** Finds out whether the server that is asked just now still answers, and whether the preferred one does again. */
  readonly look: () => Promise<void>;
  readonly end: () => Promise<void>;
}

/** Seconds after which the server ends a statement by itself: nothing of the application takes a tenth of that. */
const longestStatement = 20;
/** Seconds for which one waits for somebody else's lock. */
const longestWait = 10;
/** Milliseconds after which a server that says nothing at all is taken for gone. */
const longestSilenceMs = 25_000;
/** The same for the one question whether it is there. */
const lookMs = 3_000;
/** Tries at a single server: it is there, or it is not. */
const tries = 5;
/** Several servers agree anew on who is left within seconds; until then they answer with refusals. */
const patienceMs = 12_000;
const longestPauseMs = 320;
const isReading = /^\s*(SELECT|SHOW|WITH)\b/i;

/**
 * Sessions read what was committed at any server before they asked (`wsrep_sync_wait`, reading and writing): with several servers one
 * reads one's own writes, and a stop that was signed at one process stands at the other. Asked for where there are several.
 */
const settings = `SET SESSION max_statement_time = ${longestStatement}, innodb_lock_wait_timeout = ${longestWait}`;
const syncedSettings = `${settings}, wsrep_sync_wait = 7`;

/**
 * A database behind the servers of a cluster, the preferred one first. Everything goes to one of them; when that one is away, to the
 * next, and back when it is there again. A reading that met its end is asked again; a transaction is begun anew by its own rules.
 */
export function makeDatabase(options: PoolOptions, nodes: readonly NodeAddress[]): Database {
  const members = nodes.map(({ host, port }) =>
    makeMember({ ...options, ...named(host), port }, nodes.length > 1 ? syncedSettings : settings),
  );
  let current = 0;
  const at = (index: number) => members[index % members.length] as Member;
  /** Leaves a server that is away; whoever still waits for it is told so. */
  const leave = (index: number) => {
    if (members.length === 1 || index !== current) return;
    current = (index + 1) % members.length;
    at(index).hangUp();
  };

  /** A connection of the first server that has one. */
  async function connected(
    kind: "single" | "transactions" = "single",
  ): Promise<{ index: number; connection: PoolConnection }> {
    for (let tried = 1; ; tried += 1) {
      const index = current;
      try {
        return { index, connection: await at(index)[kind].getConnection() };
      } catch (error) {
        if (!isAway(error) || tried >= members.length) throw error;
        leave(index);
      }
    }
  }

  async function once<T>(work: (connection: PoolConnection) => Promise<T>): Promise<T> {
    const { index, connection } = await connected();
    let broken = false;
    try {
      return await work(connection);
    } catch (error) {
      broken = isAway(error);
      if (broken) leave(index);
      throw error;
    } finally {
      if (broken) connection.destroy();
      else connection.release();
    }
  }

  /** Does something, and again after a moment where its end was nothing that stays and it `may` be done again. */
  async function again<T>(work: () => Promise<T>, may: (error: unknown) => boolean): Promise<T> {
    const since = Date.now();
    for (let tried = 1; ; tried += 1) {
      try {
        return await work();
      } catch (error) {
        if (!may(error) || !(await waitToTryAgain(error, tried, since))) throw error;
      }
    }
  }

  /**
   * A statement that stands for itself. Whatever it does, it may be tried again while it was not sent: a process that stood still for as
   * long as it waits for a connection takes a server for gone that has answered.
   */
  function asked<T>(sql: unknown, work: (connection: PoolConnection) => Promise<T>): Promise<T> {
    const text = typeof sql === "string" ? sql : String((sql as { sql?: string }).sql);
    let sent = false;
    const send = () => {
      sent = false;
      return once((connection) => {
        sent = true;
        return work(connection);
      });
    };
    return again(send, (error) => !sent || isReading.test(text) || isConflict(error));
  }

  async function waitToTryAgain(error: unknown, tried: number, since: number): Promise<boolean> {
    if (!isConflict(error) && !isAway(error)) return false;
    if (members.length === 1 ? tried >= tries : Date.now() - since > patienceMs) return false;
    await sleep(Math.min(20 * 2 ** tried, longestPauseMs) + Math.random() * 20);
    return true;
  }

  const query = (sql: never, values?: never) =>
    asked(sql, (connection) => connection.query(timed(sql), values));
  const execute = (sql: never, values?: never) =>
    asked(sql, (connection) => connection.execute(timed(sql), values));
  return {
    query: query as Queryable["query"],
    execute: execute as Queryable["execute"],
    waitToTryAgain,
    getConnection: async () => {
      const { index, connection } = await connected("transactions");
      return transactional(connection, () => leave(index));
    },
    store: {
      getConnection: (then) => {
        again(connected, () => true).then(
          ({ connection }) => then(null, connection.connection as unknown as CallbackConnection),
          (error: unknown) => then(error),
        );
      },
    },
    look: async () => {
      if (members.length === 1) return;
      const index = current;
      if (!(await at(index).answers())) leave(index);
      if (current !== 0 && (await at(0).answers())) current = 0;
    },
    end: async () =>
      void (await Promise.all(
        members.flatMap(({ single, transactions }) => [single.end(), transactions.end()]),
      )),
  };
}

/** A server of the list, under the same terms as the URL's own. */
function named(host: string): Pick<PoolOptions, "host" | "ssl"> {
  const tls = databaseTls(host);
  return { host, ...(tls ? { ssl: tls } : {}) };
}

interface Member {
  /** Connections on which each statement stands for itself. */
  readonly single: Pool;
  /** Connections on which whatever comes is of one transaction until that is ended: none has to be begun. */
  readonly transactions: Pool;
  /** Cuts every connection: whoever waits for an answer learns that none will come. */
  readonly hangUp: () => void;
  readonly answers: () => Promise<boolean>;
}

function makeMember(options: PoolOptions, atFirst: string): Member {
  // The account and the database are the URL's; the server is this one.
  const open = new Set<CallbackConnection>();
  const makePool = (first: string) => {
    const pool = mysql.createPool(options);
    pool.pool.on("connection", (connection) => {
      open.add(connection);
      connection.once("end", () => open.delete(connection));
      // On one that could not be set up a transaction might be none: whatever waits for it is told that it is gone.
      connection.query(first, (error) => void (error && socketOf(connection).destroy(gone())));
    });
    return pool;
  };
  const single = makePool(atFirst);
  return {
    single,
    transactions: makePool(`${atFirst}, autocommit = 0`),
    hangUp: () => {
      for (const connection of open) socketOf(connection).destroy(gone());
      open.clear();
    },
    answers: async () => {
      const connection = await single.getConnection().catch(() => null);
      try {
        await connection?.query({ sql: "SELECT 1", timeout: lookMs });
        connection?.release();
        return connection !== null;
      } catch {
        connection?.destroy();
        return false;
      }
    },
  };
}

const gone = () => Object.assign(new Error("This server was left"), { code: "ECONNRESET" });
const socketOf = (connection: CallbackConnection) =>
  (connection as unknown as { stream: { destroy: (error: Error) => void } }).stream;

/** A statement with the time after which a server that says nothing is given up. */
const timed = (sql: unknown) =>
  ({ timeout: longestSilenceMs, ...(typeof sql === "string" ? { sql } : (sql as object)) }) as never;

function transactional(connection: PoolConnection, leave: () => void): Connection {
  const waiting: Statement[] = [];
  /** What waits, and what comes after it. */
  const send = async (...after: Statement[]) => {
    const statements = [...waiting.splice(0), ...after];
    if (statements.length === 0) return;
    const { sql, values } = compound(statements);
    await connection.query(timed(sql), values as never);
  };
  return {
    put: (sql, values) => void waiting.push({ sql, values }),
    query: (async (sql: never, values?: never) => {
      await send();
      return connection.query(timed(sql), values);
    }) as Queryable["query"],
    execute: (async (sql: never, values?: never) => {
      await send();
      return connection.execute(timed(sql), values);
    }) as Queryable["execute"],
    commit: () => send({ sql: "COMMIT", values: [] }),
    rollback: async () => {
      waiting.length = 0;
      await connection.query(timed("ROLLBACK"));
    },
    giveBack: (broken) => {
      if (!broken) return connection.release();
      connection.destroy();
      leave();
    },
  };
}

/** Writes something whose outcome nobody asks for: within a transaction together with what comes next. */
export async function put(
  db: Queryable | Connection,
  sql: string,
  values: readonly unknown[],
): Promise<void> {
  if ("put" in db) db.put(sql, values);
  else await db.query(sql, [...values] as never);
}
