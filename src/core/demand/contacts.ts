import type { Figure, Prop } from "~/core/figure/figure";
import { anchored } from "~/core/figure/resolve-figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Vec } from "~/core/pose/space";
import type { Moment } from "./drawn-movement";

export type Side = "w" | "o";
export const bothSides = ["w", "o"] as const;

/** What of a body rests on something that can carry it, at one moment. Places are along the room, metres. */
export interface Contacts {
  /** Each foot that stands, and where its middle is; null in the air. */
  readonly feet: Readonly<Record<Side, Vec | null>>;
  /** Each knee or shin on the ground or a pad. */
  readonly knees: Readonly<Record<Side, Vec | null>>;
  /** Hips on a seat, a bench, a bed or the floor. */
  readonly seat: Vec | null;
  /** Shoulders or chest lying on something. */
  readonly shoulders: Vec | null;
  /** Hands or forearms that carry, as in a plank; a hand that holds on to something carries nothing here. */
  readonly arms: Vec | null;
  /** Something other than the feet is on the ground itself. */
  readonly floor: boolean;
}

type Block = Extract<Prop, { kind: "block" }>;

/** Nearer than this share of the height counts as touching: half the thickness of trunk, pelvis, knee, foot and forearm. */
const thickness = {
  trunk: 0.085,
  pelvis: 0.095,
  sidewaysPelvis: 0.12,
  knee: 0.06,
  foot: 0.014,
  hand: 0.045,
} as const;
/** A foot that lies on its edge or its back is thicker than one that stands. */
const lyingFoot = 0.055;
const seats: readonly Block["what"][] = ["seat", "bench", "machine", "box", "table", "pillow"];

/**
 * What carries a drawn body: feet that stand, knees, hips, shoulders and arms near enough to the floor or to the top of
 * something that stands there.
 */
export function contactsOf(lengths: BodyLengths, figure: Figure, { place, body, pose }: Moment): Contacts {
  const h = lengths.height;
  const { points } = body;
  const blocks = figure.props.filter((prop): prop is Block => prop.kind === "block");
  const balls = figure.props
    .filter((prop) => prop.kind === "ball")
    .map(({ at, radius }) => ({ at: anchored(body, at), radius }));
  const on = (at: Vec, share: number, what?: readonly Block["what"][], beside = 0.06) =>
    blocks.some(
      (prop) =>
        (what === undefined || what.includes(prop.what)) &&
        at[0] >= prop.x[0] - beside * h &&
        at[0] <= prop.x[1] + beside * h &&
        at[2] >= prop.z[0] - beside * h &&
        at[2] <= prop.z[1] + beside * h &&
        at[1] >= prop.y[1] - 0.03 * h &&
        at[1] - prop.y[1] <= share * h,
    );
  const down = (at: Vec, share: number) => at[1] <= share * h;
  const upright = pose.lie === "upright";

  const foot = (side: Side): Vec | null => {
    const { sole } = pose.legs[side];
    const { heel, ball, toe } = body.legs[side];
    const flying = figure.timing.kind === "sequence" && !Number.isInteger(place);
    const planted = sole !== undefined && !sole.free && !flying;
    const mayTouch = sole !== undefined || !upright;
    const thick = upright || sole !== undefined ? thickness.foot : lyingFoot;
    const near = [heel, ball, toe].some((at) => down(at, thick) || on(at, thick, undefined, 0.02));
    return planted || (mayTouch && near) ? midway(heel, ball) : null;
  };
  const knee = (side: Side): Vec | null => {
    const at = points[`${side}.knee`];
    return down(at, thickness.knee) || on(at, thickness.knee, ["pad", "mat", "bench", "pillow"]) ? at : null;
  };
  const ballUnder = balls.some(
    ({ at, radius }) =>
      Math.hypot(at[0] - points.pelvis[0], at[2] - points.pelvis[2]) < radius && points.pelvis[1] < 0.36 * h,
  );
  const hipThickness = pose.lie.startsWith("side") ? thickness.sidewaysPelvis : thickness.pelvis;
  const hips =
    down(points.pelvis, hipThickness) || on(points.pelvis, hipThickness, seats) || (upright && ballUnder);
  const lyingOn = !upright && (down(points.neck, thickness.trunk) || on(points.neck, thickness.trunk, seats));
  const reclines = pose.lie === "supine" && !lyingOn && !hips;
  const chest =
    pose.lie === "prone" && (down(points.chest, thickness.trunk) || on(points.chest, thickness.trunk, seats));
  const hand = (side: Side) =>
    ([points[`${side}.elbow`], points[`${side}.wrist`], points[`${side}.grip`]] as const).find(
      (at) => down(at, thickness.hand) || on(at, thickness.hand, ["step", "bench", "box", "mat"]),
    );
  const carryingHands =
    pose.lie === "supine" ? [] : bothSides.map(hand).filter((at): at is Vec => at !== undefined);
  // Forearms of a plank on a ball rest on nothing that is drawn flat.
  const propped = pose.lie === "prone" && !hips && !chest && !lyingOn;
  const onBall = propped ? midway(points["w.elbow"], points["o.elbow"]) : null;
  const knees = { w: knee("w"), o: knee("o") };
  const onGround = [
    ...bothSides.map((side) => knees[side]),
    hips ? points.pelvis : null,
    lyingOn ? points.neck : null,
    ...carryingHands,
  ].some((at) => at !== null && at[1] <= 0.1 * h);
  return {
    feet: { w: foot("w"), o: foot("o") },
    knees,
    seat: hips || reclines ? points.pelvis : null,
    shoulders: lyingOn || chest ? points.neck : null,
    arms: carryingHands.length > 0 ? mean(carryingHands) : onBall,
    floor: onGround,
  };
}

const midway = (a: Vec, b: Vec): Vec => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2];

function mean(places: readonly Vec[]): Vec {
  const sum = (axis: 0 | 1 | 2) => places.reduce((total, at) => total + at[axis], 0) / places.length;
  return [sum(0), sum(1), sum(2)];
}
