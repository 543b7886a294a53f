import { type Knobs, type Recipe } from "./parts";

/** The shin's slant when the knee bends so: held back, or left free to travel. Common practice. */
export const slant = (k: Knobs, kneeDeg: number) => (k.is("knee-travel", "limited") ? 0.22 : 0.38) * kneeDeg;

/** Knee bend at which the hips come down to a seat, the shin slanting in proportion. */
export function bendTo(b: Parameters<Recipe>[1], hipHeight: number, slantShare: number): number {
  let [low, high] = [0, 130];
  for (let n = 0; n < 24; n += 1) {
    const middle = (low + high) / 2;
    const shin = (slantShare * middle * Math.PI) / 180;
    const thigh = ((1 - slantShare) * middle * Math.PI) / 180;
    const height = b.ankleHeight + b.shank * Math.cos(shin) + b.thigh * Math.cos(thigh);
    if (height > hipHeight) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Knee bend at which the free foot reaches a place: its ankle so far ahead of the standing one, and so high. */
export function bendToTouch(
  b: Parameters<Recipe>[1],
  slantShare: number,
  ankle: { x: number; y: number; aside?: number },
): number {
  for (let knee = 2; knee < 120; knee += 1) {
    if (reaches(b, knee, slantShare * knee, ankle)) return knee;
  }
  return 120;
}

/** How far the hips go behind the ankle when somebody sits back: as the trunk can balance it, farther with a rail. Share of height. */
const hipsBack = { free: 0.115, held: 0.18 } as const;

/**
 * The knee stays bent as it is and the hips go back: the shin's slant at which the free foot reaches its place, and how far above
 * it the foot stays where the hips cannot go that far, metres.
 */
export function sitBackToTouch(
  b: Parameters<Recipe>[1],
  kneeDeg: number,
  shinDeg: number,
  ankle: { x: number; y: number; aside?: number },
  support: keyof typeof hipsBack,
): { shinDeg: number; hover: number } {
  let shin = shinDeg;
  while (!reaches(b, kneeDeg, shin, ankle)) {
    if (-hipAt(b, kneeDeg, shin - 0.5).x > hipsBack[support] * b.height) break;
    shin -= 0.5;
  }
  let hover = 0;
  while (hover < 0.6 && !reaches(b, kneeDeg, shin, { ...ankle, y: ankle.y + hover })) hover += 0.005;
  return { shinDeg: shin, hover };
}

/** Where the hip stands over a foot flat on the ground, ahead of the ankle and above the sole, metres. */
function hipAt(b: Parameters<Recipe>[1], kneeDeg: number, shinDeg: number): { x: number; y: number } {
  const shin = (shinDeg * Math.PI) / 180;
  const thigh = ((kneeDeg - shinDeg) * Math.PI) / 180;
  return {
    x: b.shank * Math.sin(shin) - b.thigh * Math.sin(thigh),
    y: b.ankleHeight + b.shank * Math.cos(shin) + b.thigh * Math.cos(thigh),
  };
}

/** Whether a leg on a hip so high and so far back comes down to an ankle's place. */
function reaches(
  b: Parameters<Recipe>[1],
  kneeDeg: number,
  shinDeg: number,
  ankle: { x: number; y: number; aside?: number },
): boolean {
  const { x, y } = hipAt(b, kneeDeg, shinDeg);
  return Math.hypot(ankle.x - x, y - ankle.y, ankle.aside ?? 0.09 * b.height) < 0.985 * (b.thigh + b.shank);
}
