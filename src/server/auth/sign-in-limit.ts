import { createHash } from "node:crypto";
import { RateLimiterMySQL, type RateLimiterRes } from "rate-limiter-flexible";
import { pool } from "~/server/db/connection";
import { ApiProblem } from "~/server/http/problem";

const windowSeconds = 15 * 60;
const perAccount = 8;
const perAddress = 40;

function limiter(keyPrefix: string, points: number): RateLimiterMySQL {
  const database = new URL(process.env["DATABASE_URL"] ?? "mysql://localhost/").pathname.slice(1);
  return new RateLimiterMySQL({
    storeClient: pool().pool,
    dbName: database,
    tableName: "sign_in_limits",
    tableCreated: true,
    clearExpiredByTimeout: false,
    keyPrefix,
    points,
    duration: windowSeconds,
  });
}

let limiters: { account: RateLimiterMySQL; address: RateLimiterMySQL } | undefined;

/** Counts a try by account and by address, in the database, so that all processes share the count. */
export async function countTry(email: string, address: string): Promise<{ succeeded: () => Promise<void> }> {
  limiters ??= { account: limiter("account", perAccount), address: limiter("address", perAddress) };
  const { account, address: byAddress } = limiters;
  const [accountKey, addressKey] = [digest(email), digest(address)];
  try {
    await byAddress.consume(addressKey);
    await account.consume(accountKey);
  } catch (error) {
    if (error instanceof Error) throw error;
    const seconds = Math.ceil((error as RateLimiterRes).msBeforeNext / 1000);
    throw new ApiProblem(
      429,
      "too-many-tries",
      `Too many tries. Wait ${Math.max(1, Math.ceil(seconds / 60))} minutes, then try again.`,
      { headers: { "retry-after": String(seconds) } },
    );
  }
  return {
    succeeded: async () => {
      await account.delete(accountKey);
      await byAddress.reward(addressKey);
    },
  };
}

/** No address of a person stands in the table in the clear. */
function digest(value: string): string {
  return createHash("sha256").update(value).digest("base64url");
}
