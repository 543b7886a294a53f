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

/** Where the hip stands over a foot flat on the ground, ahead of the ankle and above the sole, metres. */
export function hipAt(b: Parameters<Recipe>[1], kneeDeg: number, shinDeg: number): { x: number; y: number } {
  const shin = (shinDeg * Math.PI) / 180;
  const thigh = ((kneeDeg - shinDeg) * Math.PI) / 180;
  return {
    x: b.shank * Math.sin(shin) - b.thigh * Math.sin(thigh),
    y: b.ankleHeight + b.shank * Math.cos(shin) + b.thigh * Math.cos(thigh),
  };
}

/** Whether a leg on a hip so high and so far back comes down to an ankle's place. */
export function reaches(
  b: Parameters<Recipe>[1],
  kneeDeg: number,
  shinDeg: number,
  ankle: { x: number; y: number; aside?: number },
): boolean {
  const { x, y } = hipAt(b, kneeDeg, shinDeg);
  return Math.hypot(ankle.x - x, y - ankle.y, ankle.aside ?? 0.09 * b.height) < 0.985 * (b.thigh + b.shank);
}
