import { elapsedDays } from "~/core/schedule/local-day";
import type { SignedChange } from "./decide-input";

/** What is known of one item when a flare is traced. */
export interface FlareItem {
  readonly itemId: string;
  readonly changes: readonly SignedChange[];
  /** Pain band of the item on the flared day; null when it was not done. */
  readonly during: "go" | "hold" | "ease" | null;
  /** True for items of the lane that loads the injured site. */
  readonly loadsSite: boolean;
}

const atMost = 2;

/**
 * Items a flare is traced to: those turned harder on the last two training days; else those with pain in the
 * hold or ease band that day; else the one that loads the site. At most two; the rest hold.
 *
 * @param sinceDay local start of the second-last training day, as an instant
 * @returns item ids; empty when the plan has no item done that day
 */
export function flareSuspects(items: readonly FlareItem[], sinceDay: string): string[] {
  const changed = items.filter((item) =>
    item.changes.some((c) => c.direction === "harder" && elapsedDays(sinceDay, c.at) >= -1),
  );
  const painful = items.filter((item) => item.during === "hold" || item.during === "ease");
  const done = items.filter((item) => item.during !== null);
  const loading = done.filter((item) => item.loadsSite);
  const chosen = [changed, painful, loading, done].find((group) => group.length > 0) ?? [];
  return chosen.slice(0, atMost).map((item) => item.itemId);
}
