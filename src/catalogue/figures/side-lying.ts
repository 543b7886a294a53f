import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Arm, Leg, Pose } from "~/core/pose/pose";
import { bandRound, loaded } from "./around";
import { type Recipe, arm, figure, leg, pose, reachTo } from "./parts";

/** Half the breadth of the body lying on its side, metres. */
const sideHeight = (b: BodyLengths) => 0.092 * b.height;

/** The lower arm stretched out before the head. */
const pillowed = ({ height: h, trunk }: BodyLengths): Arm =>
  reachTo([trunk + 0.1 * h, 0.016 * h, 0.2 * h], [1, 0, 0]);

/** Lying on the other side, the working leg on top. */
const onSide = (b: BodyLengths, w: Leg, o: Leg, top: Arm, part: Partial<Pose> = {}): Pose =>
  pose({
    lie: "side-up",
    legs: { w, o },
    arms: { w: top, o: pillowed(b) },
    root: { point: "pelvis", x: 0, y: sideHeight(b), z: 0 },
    // The shoulders are broader than the hips and lift the chest.
    spine: { flexion: 0, lean: 5, turn: 0 },
    ...part,
  });

/** The upper hand on the floor before the chest. */
const handBefore = (b: BodyLengths): Arm =>
  reachTo([0.2 * b.height, 0.02 * b.height, 0.17 * b.height], [0.6, -1, 0]);
export const handOnHip = (b: BodyLengths): Arm =>
  arm({
    reach: { in: "pelvis", at: [0.01 * b.height, 0.07 * b.height, 0.1 * b.height], elbowTo: [-0.6, 0, 1] },
  });

export const sideLift: Recipe = (k, b) => {
  const short = k.is("lever", "short");
  const top = k.is("support", "one-hand") ? handBefore(b) : handOnHip(b);
  const load = loaded(k, b);
  const rest = (): Leg => leg({ hip: short ? 20 : 12, knee: short ? 84 : 24, ankle: 4 });
  const working = (out: number): Leg =>
    leg({ hip: short ? 4 : -8, knee: short ? 84 : 0, abduction: out, ankle: 4 });
  return figure({
    keys: [onSide(b, working(1), rest(), top), onSide(b, working(34), rest(), top)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: load.props,
    moves: short ? "w.knee" : "w.ankle",
  });
};

export const clam: Recipe = (k, b) => {
  const hip = k.number("hip-angle", 45);
  const closed = (): Leg => leg({ hip, knee: 88, ankle: 4 });
  const open: Leg = leg({ hip: hip - 4, knee: 88, ankle: 4, abduction: 24, rotation: 34 });
  return figure({
    keys: [onSide(b, closed(), closed(), handOnHip(b)), onSide(b, open, closed(), handOnHip(b))],
    timing: { kind: "there-and-back", lowers: "back" },
    props: bandRound(k),
    moves: "w.knee",
  });
};
