import type { Pose } from "./pose";

/**
 * The pose a share of the way from one to another, every number in proportion; words are the first pose's. Contacts stay
 * contacts: what both poses reach for is reached for in between.
 */
export function betweenPoses(from: Pose, to: Pose, share: number): Pose {
  return share <= 0 ? from : share >= 1 ? to : (mixed(from, to, share) as Pose);
}

function mixed(from: unknown, to: unknown, share: number): unknown {
  if (from === to) return from;
  if (typeof from === "number") return typeof to === "number" ? from + (to - from) * share : from;
  if (typeof from !== "object" || from === null) return from;
  if (Array.isArray(from)) return from.map((value, n) => mixed(value, (to as unknown[])?.[n], share));
  const other = (to ?? {}) as Record<string, unknown>;
  // A copy keeps the shape of what it copies, which the runtime reads faster than one built entry by entry.
  const out: Record<string, unknown> = { ...from };
  for (const key in out) out[key] = mixed(out[key], other[key], share);
  return out;
}
