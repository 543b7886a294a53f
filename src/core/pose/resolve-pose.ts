import { balanced } from "./balance";
import type { Body } from "./body";
import type { BodyLengths } from "./body-lengths";
import { centreOfMass, type Placed } from "./centre-of-mass";
import { elbowAngle, legAngles } from "./joint-angles";
import { withinLimits, type JointName } from "./joint-limits";
import { placeArm } from "./place-arm";
import { placeLeg } from "./place-leg";
import { type Arm, type Lie, type PointName, type Pose } from "./pose";
import { flexed, leaned, minus, plus, twisted, type Frame, type Vec } from "./space";

export type Resolved =
  | { readonly ok: true; readonly body: Body }
  | { readonly ok: false; readonly why: string };

/** Which way the body faces, has its head and its working side, before anything bends. */
const lying: Record<Lie, Frame> = {
  upright: { fore: [1, 0, 0], up: [0, 1, 0], side: [0, 0, 1] },
  supine: { fore: [0, 1, 0], up: [-1, 0, 0], side: [0, 0, 1] },
  prone: { fore: [0, -1, 0], up: [1, 0, 0], side: [0, 0, 1] },
  "side-up": { fore: [0, 0, 1], up: [1, 0, 0], side: [0, 1, 0] },
  "side-down": { fore: [0, 0, 1], up: [-1, 0, 0], side: [0, -1, 0] },
};

/**
 * Puts a body of given lengths into a pose: every segment keeps its length, feet and hands go where the pose says, and
 * the lean is solved where the pose asks for balance.
 *
 * @returns the body, or in one sentence why it cannot be drawn; never a distorted one
 */
export function resolvePose(lengths: BodyLengths, pose: Pose): Resolved {
  const found = settled(lengths, pose);
  if (!found) return { ok: false, why: "the body would fall in this position" };
  const result = placed(lengths, found);
  return result.ok ? checked(bodyOf(lengths, result.parts)) : result;
}

/** The pose with its balance found and written down; null when no lean balances it. */
export function settled(lengths: BodyLengths, pose: Pose): Pose | null {
  if (!pose.balance) return pose;
  const { arms } = pose;
  // Hands that hold on follow the lean; while it is sought they hang.
  const loose = { ...pose, arms: { w: letGo(arms.w), o: letGo(arms.o) } };
  const found = balanced(lengths, loose, (tried) => {
    const result = placed(lengths, tried, true);
    return result.ok ? { legs: result.parts.legs, centre: centreOfMass(lengths, result.parts) } : null;
  });
  if (!found) return null;
  const { balance: _found, ...rest } = found;
  return { ...rest, arms };
}

function letGo({ reach, ...arm }: Arm): Arm {
  return reach?.in === "room" ? { ...arm, flexion: 75 } : { ...arm, ...(reach ? { reach } : {}) };
}

/** Where every part is; what else is read off a body is left out, since looking for a balance asks for none of it. */
type Parts = Placed & Pick<Body, "pelvisFrame">;

function placed(
  lengths: BodyLengths,
  pose: Pose,
  nearly = false,
): { readonly ok: true; readonly parts: Parts } | Extract<Resolved, { ok: false }> {
  const pelvisFrame = turnedBy(lying[pose.lie], pose.pelvis.pitch, pose.pelvis.lean, pose.pelvis.turn);
  const { spine, neck: nod } = pose;
  const chestFrame = turnedBy(pelvisFrame, spine.flexion, spine.lean, spine.turn);
  const headFrame = turnedBy(chestFrame, nod.flexion, 0, nod.turn);
  const trunkAt = (pelvis: Vec) => {
    const lumbar = plus(pelvis, pelvisFrame.up, lengths.lumbar);
    return { pelvis, lumbar, neck: plus(lumbar, chestFrame.up, lengths.trunk - lengths.lumbar) };
  };
  const hipAt = (pelvis: Vec, outward: 1 | -1) => plus(pelvis, pelvisFrame.side, outward * lengths.hipCentre);
  const pelvis = rootAt(lengths, pose, trunkAt, pelvisFrame, hipAt);
  if (!pelvis) return { ok: false, why: `nothing fixes the body in the room: ${pose.root.point}` };
  const { lumbar, neck } = trunkAt(pelvis);

  const legOf = (side: "w" | "o", outward: 1 | -1) =>
    placeLeg(lengths, pose.legs[side], pelvisFrame, hipAt(pelvis, outward), outward, nearly);
  const [w, o] = [legOf("w", 1), legOf("o", -1)];
  if (!w || !o) return { ok: false, why: `the ${w ? "other" : "working"} foot cannot reach its place` };

  const armOf = (side: "w" | "o", outward: 1 | -1) =>
    placeArm(
      lengths,
      pose.arms[side],
      {
        chest: chestFrame,
        pelvis: pelvisFrame,
        pelvisAt: pelvis,
        shoulder: plus(neck, chestFrame.side, outward * lengths.shoulderCentre),
      },
      outward,
    );
  const [wArm, oArm] = [armOf("w", 1), armOf("o", -1)];
  if (!wArm || !oArm)
    return { ok: false, why: `the ${wArm ? "other" : "working"} hand cannot reach its place` };

  return {
    ok: true,
    parts: {
      pelvis,
      lumbar,
      neck,
      chestFrame,
      headFrame,
      pelvisFrame,
      legs: { w, o },
      arms: { w: wArm, o: oArm },
    },
  };
}

function bodyOf(lengths: BodyLengths, parts: Parts): Body {
  const { neck, headFrame, pelvisFrame, legs } = parts;
  return {
    ...parts,
    headTop: plus(neck, headFrame.up, lengths.headAndNeck),
    points: pointsOf(lengths, parts),
    centre: centreOfMass(lengths, parts),
    angles: { w: legAngles(legs.w, pelvisFrame, 1), o: legAngles(legs.o, pelvisFrame, -1) },
  };
}

const turnedBy = (frame: Frame, forward: number, lean: number, turn: number): Frame =>
  flexed(leaned(twisted(frame, turn), lean), -forward);

/** The pelvis, once the root point stands where the pose puts it; the point must not hang on a foot or hand that reaches. */
function rootAt(
  lengths: BodyLengths,
  pose: Pose,
  trunkAt: (pelvis: Vec) => { pelvis: Vec; lumbar: Vec; neck: Vec },
  pelvisFrame: Frame,
  hipAt: (pelvis: Vec, outward: 1 | -1) => Vec,
): Vec | null {
  const { point, x, y, z } = pose.root;
  const origin: Vec = [0, 0, 0];
  const [side, part = ""] = point.split(".");
  const trunk: Record<string, Vec> = trunkAt(origin);
  let found: Vec | undefined = trunk[point];
  if (side === "w" || side === "o") {
    const leg = pose.legs[side];
    const outward = side === "w" ? 1 : -1;
    if (leg.sole?.x !== undefined) return null;
    const hanging = placeLeg(lengths, leg, pelvisFrame, hipAt(origin, outward), outward);
    found = (hanging as unknown as Record<string, Vec> | null)?.[part];
  }
  if (!found) return null;
  return [
    x === undefined ? 0 : x - found[0],
    y === undefined ? 0 : y - found[1],
    z === undefined ? 0 : z - found[2],
  ];
}

/** Written out, since a record whose names are put together at run time is read several times more slowly. */
function pointsOf(
  lengths: BodyLengths,
  { pelvis, lumbar, neck, headFrame, chestFrame, legs: { w, o }, arms }: Placed,
): Record<PointName, Vec> {
  return {
    pelvis,
    lumbar,
    neck,
    chest: plus(lumbar, chestFrame.up, (lengths.trunk - lengths.lumbar) / 2),
    head: plus(neck, headFrame.up, lengths.headAndNeck * 0.62),
    "w.hip": w.hip,
    "w.knee": w.knee,
    "w.ankle": w.ankle,
    "w.heel": w.heel,
    "w.ball": w.ball,
    "w.toe": w.toe,
    "w.shoulder": arms.w.shoulder,
    "w.elbow": arms.w.elbow,
    "w.wrist": arms.w.wrist,
    "w.grip": arms.w.grip,
    "o.hip": o.hip,
    "o.knee": o.knee,
    "o.ankle": o.ankle,
    "o.heel": o.heel,
    "o.ball": o.ball,
    "o.toe": o.toe,
    "o.shoulder": arms.o.shoulder,
    "o.elbow": arms.o.elbow,
    "o.wrist": arms.o.wrist,
    "o.grip": arms.o.grip,
  };
}

/** Refuses angles that no joint reaches and limbs that bend the wrong way. */
function checked(body: Body): Resolved {
  for (const side of bothSides) {
    const angles = body.angles[side];
    const beyond = legJoints.find((joint) => !withinLimits(joint, angles[joint]));
    if (beyond) return { ok: false, why: beyondReach(beyond, angles[beyond]) };
    const elbow = elbowAngle(body.arms[side]);
    if (!withinLimits("elbow", elbow)) return { ok: false, why: beyondReach("elbow", elbow) };
  }
  return { ok: true, body };
}

const bothSides = ["w", "o"] as const;
const legJoints = ["hip", "abduction", "rotation", "knee", "ankle"] as const;
const beyondReach = (joint: JointName, degrees: number) =>
  `${joint} at ${Math.round(degrees)}° is beyond what the joint reaches`;

/** Distance between two points of a body, metres. */
export const apart = (body: Body, a: PointName, b: PointName): number => {
  const [x, y, z] = minus(body.points[a], body.points[b]);
  return Math.hypot(x, y, z);
};
