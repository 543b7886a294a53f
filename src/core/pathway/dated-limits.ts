import type { Restriction } from "~/core/limit/restriction";
import { addDays } from "~/core/schedule/local-day";
import type { Pathway } from "./pathway";

/**
 * A pathway's timed limits with their calendar days, counted from the operation or the injury: day 0 is that day itself, and
 * a limit `until day 42` holds up to and including the 42nd day after it.
 *
 * @param countedFrom local date (YYYY-MM-DD)
 * @param graft the graft used; limits of other grafts are left out
 */
export function datedLimits(
  pathway: Pick<Pathway, "timedLimits">,
  countedFrom: string,
  graft: string | undefined,
): Restriction[] {
  return (pathway.timedLimits ?? [])
    .filter(({ grafts }) => grafts === undefined || (graft !== undefined && grafts.includes(graft)))
    .map(({ fromDay, untilDay, limit }) => ({
      ...limit,
      ...(fromDay === undefined ? {} : { from: addDays(countedFrom, fromDay) }),
      until: addDays(countedFrom, untilDay),
    }));
}
