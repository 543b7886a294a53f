import { ApiProblem } from "~/server/http/problem";

/** So far two clocks that are kept by the network may lie apart, and more: what is written stays in order all the same. */
const mayBeApartMs = 60_000;

/**
 * What is to be said of a process whose clock is not the database's; null where they agree. Reports close and sessions are
 * late by the hour: a process that is out of time must not be sent to.
 *
 * @param own ISO instant of the process
 * @param database ISO instant of the database
 * @example clockProblem("2026-03-10T09:00:00Z", "2026-03-10T09:00:20Z") // null
 */
export function clockProblem(own: string, database: string): ApiProblem | null {
  const apart = Date.parse(own) - Date.parse(database);
  if (Math.abs(apart) <= mayBeApartMs) return null;
  const minutes = Math.round(Math.abs(apart) / 60_000);
  return new ApiProblem(
    503,
    "clocks-apart",
    `This machine's clock is ${minutes} min ${apart > 0 ? "ahead of" : "behind"} the database's. Set both by the network's time.`,
  );
}
