import type { flareReasons, SignedChange } from "~/core/decision/record/decide-input";

/** What is known of one item when a flare is traced. */
export interface FlareItem {
  readonly itemId: string;
  readonly changes: readonly SignedChange[];
  /** When the item came into a plan that had been worked at before: new counts as changed. Null for one of the first. */
  readonly addedAt: string | null;
  /** Pain band of the item on the flared day; null when it was not done. */
  readonly during: "go" | "hold" | "ease" | null;
  /** Worst pain at the site that day, 0–10. */
  readonly pain: number;
  /** How much the movement loads the injured region: 0 unknown, 1 low, 2 moderate, 3 high. */
  readonly load: number;
  /** Stress under the kneecap over a session, MPa·s, where the region is the knee and it can be worked out; asked only to tell two apart. */
  readonly kneecap?: () => number | null;
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
 * Items a flare is traced to: those turned harder, or new in the plan, so that this was new on one of the last two training
 * days; else those with pain in the hold or ease band on the flared day; else the one that loads the site most; else what was
 * done. Of several: most pain that day, then changed last, then the heaviest load on the region, then the plan's order. The one
 * that loads the site most is told by the stress under the kneecap where the tags are alike. At most two; the rest hold.
 * Source: common practice.
 *
 * @returns empty when the plan has no item done that day
 */
export function flareSuspects(items: readonly FlareItem[], { from, to }: FlareWindow): FlareSuspect[] {
  const inWindow = (at: string) =>
    Date.parse(at) <= Date.parse(to) && (from === null || Date.parse(at) > Date.parse(from));
  const changedAt = ({ changes, addedAt }: FlareItem): number =>
    Math.max(
      -Infinity,
      ...[
        ...(addedAt === null ? [] : [addedAt]),
        ...changes.filter(({ direction }) => direction === "harder").map(({ at }) => at),
      ]
        .filter(inWindow)
        .map((at) => Date.parse(at)),
    );
  const done = items
    .filter((item) => item.during !== null)
    .sort((a, b) => b.pain - a.pain || later(changedAt(b), changedAt(a)) || b.load - a.load);
  const heaviest = Math.max(0, ...done.map(({ load }) => load));
  const groups: { why: FlareSuspect["why"]; found: () => readonly FlareItem[] }[] = [
    { why: "changed", found: () => done.filter((item) => changedAt(item) > -Infinity) },
    { why: "painful", found: () => done.filter((item) => item.during === "hold" || item.during === "ease") },
    {
      why: "site",
      found: () =>
        mostOnSite(done.filter((item) => (heaviest > 0 ? item.load === heaviest : item.loadsSite))),
    },
    { why: "done", found: () => done },
  ];
  for (const { why, found } of groups) {
    const suspects = found();
    if (suspects.length > 0) return suspects.slice(0, atMost).map(({ itemId }) => ({ itemId, why }));
  }
  return [];
}

/** Later first; two that never changed are alike. */
const later = (b: number, a: number) => (b === a ? 0 : b - a);

/**
 * Of those that load the site alike the one with the most stress under the kneecap; the first by the order above where that of any
 * cannot be told, since the one that cannot may be the one with more.
 */
function mostOnSite(alike: readonly FlareItem[]): FlareItem[] {
  const [first] = alike;
  if (!first || alike.length === 1) return [...alike];
  const stresses = alike.map((item) => item.kneecap?.() ?? null);
  if (stresses.includes(null)) return [first];
  const most = Math.max(...stresses.map(Number));
  return [alike[stresses.indexOf(most)] ?? first];
}
