import type { flareReasons, SignedChange } from "~/core/decision/record/decide-input";

/** What is known of one item when a flare is traced. */
export interface FlareItem {
  readonly itemId: string;
  readonly changes: readonly SignedChange[];
  /** Pain band of the item on the flared day; null when it was not done. */
  readonly during: "go" | "hold" | "ease" | null;
  /** True for items of the lane that loads the injured site. */
  readonly loadsSite: boolean;
}

export interface FlareWindow {
  /** End of the training day before the last two, as an instant; null when there is none. */
  readonly from: string | null;
  /** End of the flared training day. */
  readonly to: string;
}

export interface FlareSuspect {
  readonly itemId: string;
  readonly why: (typeof flareReasons)[number];
}

const atMost = 2;

/**
 * Items a flare is traced to: those turned harder so that the turn was new on one of the last two training days; else
 * those with pain in the hold or ease band on the flared day; else the one that loads the site; else what was done.
 * At most two; the rest hold. Source: common practice.
 *
 * @returns empty when the plan has no item done that day
 */
export function flareSuspects(items: readonly FlareItem[], { from, to }: FlareWindow): FlareSuspect[] {
  const inWindow = (at: string) =>
    Date.parse(at) <= Date.parse(to) && (from === null || Date.parse(at) > Date.parse(from));
  const done = items.filter((item) => item.during !== null);
  const groups: { why: FlareSuspect["why"]; found: readonly FlareItem[] }[] = [
    {
      why: "changed",
      found: done.filter((item) => item.changes.some((c) => c.direction === "harder" && inWindow(c.at))),
    },
    { why: "painful", found: done.filter((item) => item.during === "hold" || item.during === "ease") },
    { why: "site", found: done.filter((item) => item.loadsSite).slice(0, 1) },
    { why: "done", found: done },
  ];
  const chosen = groups.find((group) => group.found.length > 0);
  return (chosen?.found ?? []).slice(0, atMost).map(({ itemId }) => ({ itemId, why: chosen?.why ?? "done" }));
}
