import { createHash } from "node:crypto";
import { RateLimiterMySQL, type RateLimiterRes } from "rate-limiter-flexible";
import { isAway, isConflict } from "~/server/db/away";
import { pool } from "~/server/db/connection";
import { ApiProblem } from "~/server/http/problem";

const windowSeconds = 15 * 60;
const perAccount = 8;
const perAddress = 40;

function limiter(keyPrefix: string, points: number): RateLimiterMySQL {
  const database = new URL(process.env["DATABASE_URL"] ?? "mysql://localhost/").pathname.slice(1);
  return new RateLimiterMySQL({
    storeClient: pool().store,
    storeType: "pool",
    dbName: database,
    tableName: "sign_in_limits",
    tableCreated: true,
    clearExpiredByTimeout: false,
    keyPrefix,
    points,
    duration: windowSeconds,
  });
}

let limiters: { account: RateLimiterMySQL; address: RateLimiterMySQL; browser: RateLimiterMySQL } | undefined;
const allLimiters = () =>
  (limiters ??= {
    account: limiter("account", perAccount),
    address: limiter("address", perAddress),
    browser: limiter("browser", perAccount),
  });

/** A try that is being counted. */
export interface CountedTry {
  /** Counts it for the account as well, by its address as kept, or as typed where there is none. @throws ApiProblem 429 */
  readonly forAccount: (email: string) => Promise<void>;
  readonly succeeded: () => Promise<unknown>;
}

/**
 * Counts a try by the sender's address, then by account, in the database, so that all processes share the count.
 *
 * @throws ApiProblem 429
 */
export async function countTry(clientAddress: string): Promise<CountedTry> {
  const { account, address } = allLimiters();
  const addressKey = digest(clientAddress);
  let accountKey: string | null = null;
  await consume(address, addressKey);
  return {
    forAccount: async (email) => {
      accountKey = digest(folded(email));
      await consume(account, accountKey);
    },
    succeeded: async () => {
      if (accountKey !== null) await account.delete(accountKey);
      await address.reward(addressKey);
    },
  };
}

/**
 * Counts a try of a browser that the account's owner has signed in with before.
 *
 * @throws ApiProblem 429
 */
export async function countBrowser(browser: string): Promise<Pick<CountedTry, "succeeded">> {
  const { browser: limit } = allLimiters();
  const key = digest(browser);
  await consume(limit, key);
  return { succeeded: () => limit.delete(key) };
}

/** A count that met another in its way, or its server's end, is counted again; at worst one try is counted twice. */
async function consume(by: RateLimiterMySQL, key: string, again = 3): Promise<void> {
  try {
    await by.consume(key);
  } catch (error) {
    if (again > 0 && (isConflict(error) || isAway(error))) return consume(by, key, again - 1);
    if (error instanceof Error) throw error;
    const seconds = Math.ceil((error as RateLimiterRes).msBeforeNext / 1000);
    throw new ApiProblem(
      429,
      "too-many-tries",
      `Too many tries. Wait ${Math.max(1, Math.ceil(seconds / 60))} minutes, then try again.`,
      { headers: { "retry-after": String(seconds) } },
    );
  }
}

/**
 * An address with accents, widths, case and invisible signs taken off, as the database compares addresses: spellings that
 * lead to one account share one count, and an address without an account answers in the same way.
 *
 * @example folded("Ａnn\u200b@Clínic.example") // "ann@clinic.example"
 */
export function folded(email: string): string {
  return email
    .normalize("NFKD")
    .replace(/[\p{M}\p{C}\p{Z}]/gu, "")
    .toLowerCase();
}

/** No address of a person stands in the table in the clear. */
function digest(value: string): string {
  return createHash("sha256").update(value).digest("base64url");
}
