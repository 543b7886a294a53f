import type { Vec } from "~/core/pose/space";
import { bothSides, type Contacts, type Side } from "./contacts";

/** Shares of a weight that each leg carries, 0 to 1. */
export type LegShares = Readonly<Record<Side, number>>;

const none: LegShares = { w: 0, o: 0 };

/**
 * How a weight over a place of the room is shared between what carries a body, by the lever between the contacts: a leg that
 * stands alone carries all of it; two legs share it by the line between their feet; where shoulders or arms carry too, the
 * legs have what the lever between those and them leaves; on a seat, or lying, a leg carries nothing.
 *
 * @param at where the weight is: the body's centre of mass, or where a load hangs
 * @example legWeight({ feet: { w: [0, 0, 0.1], o: [0, 0, -0.1] }, knees: { w: null, o: null }, seat: null, shoulders: null, arms: null, floor: false }, [0, 1, 0]) // { w: 0.5, o: 0.5 }
 * Source: statics of a rigid body on two supports.
 */
export function legWeight(contacts: Contacts, at: Vec): LegShares {
  if (contacts.seat) return none;
  const places = { w: carries(contacts, "w"), o: carries(contacts, "o") };
  const upper = contacts.shoulders ?? contacts.arms;
  const [w, o] = [places.w, places.o];
  if (!w && !o) return none;
  if (!upper) {
    if (w && o) return shared(w, o, at);
    return { w: w ? 1 : 0, o: o ? 1 : 0 };
  }
  const lower = w && o ? midway(w, o) : ((w ?? o) as Vec);
  const legs = along(upper, lower, at);
  const each = legs / bothSides.filter((side) => places[side]).length;
  return { w: w ? each : 0, o: o ? each : 0 };
}

/** Where a leg rests: on its knee or shin, else on its foot. */
function carries({ feet, knees }: Contacts, side: Side): Vec | null {
  return knees[side] ?? feet[side];
}

function shared(w: Vec, o: Vec, at: Vec): LegShares {
  const share = along(o, w, at);
  return { w: share, o: 1 - share };
}

/** How far a place lies on the way from one support to the other, seen from above, 0 to 1: the share of the second. */
function along(from: Vec, to: Vec, at: Vec): number {
  const [dx, dz] = [to[0] - from[0], to[2] - from[2]];
  const length = dx * dx + dz * dz;
  if (length < 1e-9) return 0.5;
  const share = ((at[0] - from[0]) * dx + (at[2] - from[2]) * dz) / length;
  return Math.min(1, Math.max(0, share));
}

const midway = (a: Vec, b: Vec): Vec => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2];
