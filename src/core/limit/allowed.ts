import type { Told } from "~/core/demand/demand-book";
import { brokenBy, type LimitedWork } from "./broken-by";
import type { Limit } from "./limit";

/** Whether work is allowed, and every limit it breaks, by its place in the list, with what it asks beyond it. */
export type Allowed =
  | { readonly allowed: true; readonly broken: readonly [] }
  | {
      readonly allowed: false;
      readonly broken: readonly { readonly index: number; readonly demand: string }[];
    }
  | { readonly allowed: false; readonly broken: readonly []; readonly undrawable: string };

/**
 * Puts every limit that holds today to what is asked. What cannot be drawn for this body cannot be judged, and is not allowed.
 *
 * @param today local date (YYYY-MM-DD); a limit holds from its `from` up to and including its `until`
 */
export function allowed(
  told: Told,
  limits: readonly Limit[],
  today: string,
  who: Pick<LimitedWork, "involved" | "kit">,
): Allowed {
  if (!told.ok) return { allowed: false, broken: [], undrawable: told.why };
  const broken = limits.flatMap((limit, index) => {
    if (!holds(limit, today)) return [];
    const demand = brokenBy(limit, { ...who, demand: told.demand });
    return demand === null ? [] : [{ index, demand }];
  });
  return broken.length === 0 ? { allowed: true, broken: [] } : { allowed: false, broken };
}

/** True on the days on which a limit holds, both ends included. */
export function holds({ from, until }: Pick<Limit, "from" | "until">, today: string): boolean {
  return (from === undefined || from <= today) && (until === undefined || today <= until);
}
