import { bendToTouch, hipAt, reaches } from "./bend-to";
import type { Knobs, Part, Recipe } from "./parts";

type Body = Parameters<Recipe>[1];
type Place = Parameters<typeof bendToTouch>[2];

/** How somebody stands on one leg while the other foot goes down to a place. */
export interface GoneDown {
  readonly kneeDeg: number;
  readonly shinDeg: number;
  /** How far above its place the free foot stays, where the hips cannot go back that far, metres. */
  readonly hover: number;
  /** The bend at which it turned to the hips; null where it did not. */
  readonly turnedAt: number | null;
  /** The share of the way down that is done by then. */
  readonly turnedAfter: number;
}

/**
 * Down on one leg until the other foot touches its place: plainly, the shin slanting in proportion to the bend; or, where the knobs say
 * so, no farther than to a bend, the hips going back from there over a knee that stays as it is.
 */
export function downTo(k: Knobs, b: Body, slantShare: number, place: Place): GoneDown {
  const plain = bendToTouch(b, slantShare, place);
  const turnedAt = k.sitBackAt !== null && k.sitBackAt < plain ? k.sitBackAt : null;
  if (turnedAt === null)
    return { kneeDeg: plain, shinDeg: slantShare * plain, hover: 0, turnedAt, turnedAfter: 1 };
  const most = hipsBack[holds(k) ? "held" : "free"] * b.height;
  let shinDeg = slantShare * turnedAt;
  while (!reaches(b, turnedAt, shinDeg, place) && -hipAt(b, turnedAt, shinDeg - 0.5).x <= most)
    shinDeg -= 0.5;
  let hover = 0;
  while (hover < 0.6 && !reaches(b, turnedAt, shinDeg, { ...place, y: place.y + hover })) hover += 0.005;
  return { kneeDeg: turnedAt, shinDeg, hover, turnedAt, turnedAfter: turnedAt / plain };
}

/** How far the hips go behind the ankle: as the trunk can balance it, farther with a rail. Shares of height. */
const hipsBack = { free: 0.115, held: 0.18 } as const;

const holds = (k: Knobs) => k.is("support", "two-hands", "one-hand");

/** Sitting back, hands on a rail carry what free arms and a trunk farther forward would have to balance. */
export function leaning(k: Knobs, sitsBack: boolean, sideways: boolean): Part {
  const isHeld = sitsBack && holds(k);
  return {
    balance: { over: "w", forward: !isHeld, sideways },
    ...(isHeld ? { pelvis: { pitch: 26 } } : {}),
  };
}
