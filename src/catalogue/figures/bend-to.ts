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
    const shin = (slantShare * knee * Math.PI) / 180;
    const thigh = ((1 - slantShare) * knee * Math.PI) / 180;
    const x = b.shank * Math.sin(shin) - b.thigh * Math.sin(thigh);
    const y = b.ankleHeight + b.shank * Math.cos(shin) + b.thigh * Math.cos(thigh);
    const away = Math.hypot(ankle.x - x, y - ankle.y, ankle.aside ?? 0.09 * b.height);
    if (away < 0.985 * (b.thigh + b.shank)) return knee;
  }
  return 120;
}
