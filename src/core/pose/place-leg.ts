import type { BodyLengths } from "./body-lengths";
import type { Leg, Sole } from "./pose";
import { cross, flexed, inFrame, leaned, minus, plus, size, twisted, unit } from "./space";
import type { Frame, Vec } from "./space";
import { facing, twoLinks } from "./two-links";

/** The body standing, whatever way it lies: what angles 'against the room' are read from. */
export const room: Frame = { fore: [1, 0, 0], up: [0, 1, 0], side: [0, 0, 1] };

export interface PlacedLeg {
  readonly hip: Vec;
  readonly knee: Vec;
  readonly ankle: Vec;
  readonly heel: Vec;
  readonly ball: Vec;
  readonly toe: Vec;
  readonly thigh: Frame;
  readonly shank: Frame;
  readonly foot: Frame;
}

/**
 * A leg from its hip. `outward` is 1 for the working side, −1 for the other.
 *
 * @param nearly a foot that cannot reach its place stretches towards it, for looking for a position
 * @returns the leg, or null when it reaches for a place that it cannot span
 */
export function placeLeg(
  body: BodyLengths,
  leg: Leg,
  pelvis: Frame,
  hip: Vec,
  outward: 1 | -1,
  nearly = false,
): PlacedLeg | null {
  const { sole } = leg;
  return sole?.x !== undefined
    ? reaching(body, sole, pelvis, hip, outward, nearly)
    : hanging(body, leg, pelvis, hip, outward);
}

function hanging(body: BodyLengths, leg: Leg, pelvis: Frame, hip: Vec, outward: 1 | -1): PlacedLeg {
  const from = leg.room ? room : pelvis;
  const thigh = twisted(leaned(flexed(from, leg.hip), -leg.abduction * outward), leg.rotation * outward);
  const knee = plus(hip, thigh.up, -body.thigh);
  const shank = flexed(thigh, -leg.knee);
  const ankle = plus(knee, shank.up, -body.shank);
  const foot = leg.sole ? soleFrame(leg.sole, outward) : flexed(shank, leg.ankle);
  return { hip, knee, ankle, thigh, shank, ...footPoints(body, ankle, foot, leg.sole) };
}

function reaching(
  body: BodyLengths,
  sole: Sole,
  pelvis: Frame,
  hip: Vec,
  outward: 1 | -1,
  nearly: boolean,
): PlacedLeg | null {
  const foot = soleFrame(sole, outward);
  const wanted = ankleOver(body, sole, foot, outward);
  const ankle = nearly ? withinReach(hip, wanted, body.thigh + body.shank) : wanted;
  const [fore, up, out] = sole.knee ?? [1, 0.25, 0.05];
  const pole = inFrame(pelvis, [fore, up, out * outward]);
  const knee = twoLinks(hip, ankle, body.thigh, body.shank, pole);
  if (!knee) return null;
  const thighUp = unit(minus(hip, knee));
  const shankUp = unit(minus(knee, ankle));
  const thighFore = facing(thighUp, shankUp, pole);
  const side = cross(thighFore, thighUp);
  const shank: Frame = { fore: cross(shankUp, side), up: shankUp, side };
  return {
    hip,
    knee,
    ankle,
    thigh: { fore: thighFore, up: thighUp, side },
    shank,
    ...footPoints(body, ankle, foot, sole),
  };
}

function withinReach(hip: Vec, ankle: Vec, length: number): Vec {
  const line = minus(ankle, hip);
  return size(line) < length ? ankle : plus(hip, unit(line), 0.999 * length);
}

function soleFrame({ pitch, turn }: Sole, outward: 1 | -1): Frame {
  return flexed(twisted(room, turn * outward), -pitch);
}

/** The part of a pitched sole that it turns on. */
export const standsOn = ({ pitch, pivot }: Sole): "ball" | "heel" => pivot ?? (pitch > 0 ? "ball" : "heel");

/** The ankle above a sole that stands flat, on its ball (pitch above 0) or on its heel (below 0). */
function ankleOver(body: BodyLengths, sole: Sole, foot: Frame, outward: 1 | -1): Vec {
  const { x = 0, y, z = 0, turn } = sole;
  const flat = twisted(room, turn * outward);
  const pivot = standsOn(sole) === "ball" ? body.ball : -body.heel;
  const onGround = plus([x, y, z], flat.fore, pivot);
  return plus(onGround, inFrame(foot, [-pivot, body.ankleHeight, 0]));
}

function footPoints(body: BodyLengths, ankle: Vec, foot: Frame, sole: Sole | undefined) {
  const heel = plus(ankle, inFrame(foot, [-body.heel, -body.ankleHeight, 0]));
  const ball = plus(ankle, inFrame(foot, [body.ball, -body.ankleHeight, 0]));
  // Toes stay on the ground under a lifted heel; in the air they go on in line.
  const level: Vec = unit([foot.fore[0] || 1e-9, 0, foot.fore[2]]);
  const onToes = sole && !sole.free && sole.pitch > 0;
  const toe = plus(ball, onToes ? level : foot.fore, body.foot - body.heel - body.ball);
  return { heel, ball, toe, foot };
}
