import type { BodyLengths } from "./body-lengths";
import type { Pose } from "./pose";
import type { Body } from "./body";

/** What of a body its balance is read from. */
type Standing = Pick<Body, "centre" | "legs">;

const closeM = 0.002;
/** Where the weight stands, ahead of the ankle: 37 % along the foot from the heel, a relaxed stance (common practice). */
const aheadOfAnkle = 0.12;
const rounds = 12;
/** How far the pelvis may tip back or forward, degrees. */
const pitches = [-35, 105] as const;

/**
 * Leans a pose until its centre of mass stands over its support: the pelvis tips forward or back, and sideways the
 * standing leg slants, as people do when they lift the other foot.
 *
 * @param place puts a pose in the room; null when it cannot
 * @returns the pose in balance, or null when no lean balances it
 */
export function balanced(
  lengths: BodyLengths,
  pose: Pose,
  place: (pose: Pose) => Standing | null,
): Pose | null {
  const { balance } = pose;
  if (!balance) return pose;
  let best = pose;
  for (let round = 0; round < rounds; round += 1) {
    const body = place(best);
    if (!body) return null;
    const [x, , z] = off(lengths, body, balance.over);
    const done = (!balance.forward || Math.abs(x) < closeM) && (!balance.sideways || Math.abs(z) < closeM);
    if (done) return best;
    if (balance.forward && Math.abs(x) >= closeM) {
      const next = newton(best, pitched, place, lengths, 0, x);
      if (!next) return null;
      best = {
        ...next,
        pelvis: { ...next.pelvis, pitch: Math.min(pitches[1], Math.max(pitches[0], next.pelvis.pitch)) },
      };
    }
    if (balance.sideways) {
      const after = place(best);
      if (!after) return null;
      const next = newton(best, slanted, place, lengths, 2, off(lengths, after, balance.over)[2]);
      if (!next) return null;
      best = next;
    }
  }
  return null;
}

/** How far the centre of mass is from above the middle of the foot, or of both, metres. */
function off(
  lengths: BodyLengths,
  { centre, legs }: Standing,
  over: "w" | "o" | "both",
): [number, number, number] {
  const feet = over === "both" ? [legs.w, legs.o] : [legs[over]];
  const mean = (of: (leg: Body["legs"]["w"]) => number) =>
    feet.reduce((sum, leg) => sum + of(leg), 0) / feet.length;
  const middle = aheadOfAnkle * lengths.foot;
  return [
    centre[0] - mean(({ ankle, foot }) => ankle[0] + middle * foot.fore[0]),
    0,
    centre[2] - mean(({ ankle, foot }) => ankle[2] + middle * foot.fore[2]),
  ];
}

const pitched = (pose: Pose, by: number): Pose => ({
  ...pose,
  pelvis: { ...pose.pelvis, pitch: pose.pelvis.pitch + by },
});

function slanted(pose: Pose, by: number): Pose {
  const side = pose.balance?.over === "o" ? "o" : "w";
  const leg = pose.legs[side];
  if (leg.sole?.x === undefined)
    return { ...pose, legs: { ...pose.legs, [side]: { ...leg, abduction: leg.abduction + by } } };
  return { ...pose, root: { ...pose.root, z: (pose.root.z ?? 0) - by / 100 } };
}

/** One step towards no offset along an axis, with the slope measured over a degree. */
function newton(
  pose: Pose,
  change: (pose: Pose, by: number) => Pose,
  place: (pose: Pose) => Standing | null,
  lengths: BodyLengths,
  axis: 0 | 2,
  offset: number,
): Pose | null {
  const probe = place(change(pose, 1));
  const over = pose.balance?.over ?? "both";
  if (!probe) return null;
  const slope = off(lengths, probe, over)[axis] - offset;
  if (Math.abs(slope) < 1e-7) return null;
  const step = Math.max(-25, Math.min(25, -offset / slope));
  return change(pose, step);
}
