import { RateLimiterMemory } from "rate-limiter-flexible";
import { ApiProblem } from "./problem";

/** What somebody at a page comes nowhere near, and a process bears. */
const usualCallsAMinute = 1_200;

const limiter = new RateLimiterMemory({
  points: Number(process.env["CALLS_A_MINUTE"]) || usualCallsAMinute,
  duration: 60,
});

/**
 * Counts a call of somebody who is known, at this process: a machine that hammers in their name is told to wait, and takes no time from
 * the others.
 *
 * @param who the id of somebody of the clinic, or of a phone
 * @throws ApiProblem 429, with the seconds after which it goes on
 */
export async function countCall(who: string): Promise<void> {
  try {
    await limiter.consume(who);
  } catch (spent) {
    if (spent instanceof Error) throw spent;
    const { msBeforeNext } = spent as { msBeforeNext: number };
    throw new ApiProblem(
      429,
      "too-many-calls",
      "This is asked too often. Wait a minute. Nothing was saved.",
      {
        headers: { "retry-after": String(Math.ceil(msBeforeNext / 1000)) },
      },
    );
  }
}
