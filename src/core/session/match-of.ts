import type { SetRecord, Side } from "~/core/response/session-record";

/**
 * The other side's match of a set: the same work, and nothing of what the set felt like, which was its own. The one rule for
 * sets typed, tapped or spoken of in a line.
 *
 * @param unfelt how 'no pain, no limit, no fault' is written where the set comes from
 * @example matchOf({ side: "left", reps: 12, painDuring: 3 }, { painDuring: 0 }) // { side: "right", reps: 12, painDuring: 0 }
 */
export function matchOf<S extends { readonly side: Side }>(set: S, unfelt: Partial<S>): S {
  return { ...set, ...unfelt, side: set.side === "left" ? "right" : "left" };
}

/** The match of a recorded set. */
export function recordedMatch(set: SetRecord): SetRecord {
  const { limit: _limit, confidence: _confidence, painWith: _with, painArc: _arc, ...work } = set;
  return matchOf(work, { painDuring: 0, painSite: "episode", faults: [] });
}
