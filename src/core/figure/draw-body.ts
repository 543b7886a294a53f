import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Body } from "~/core/pose/body";
import { between, dot, inFrame, plus, unit, type Frame, type Vec } from "~/core/pose/space";
import type { Camera, Flat } from "./camera";
import {
  chain,
  circlePath,
  extentOf,
  extentOfCircles,
  hull,
  polygon,
  polyline,
  round,
  type Circle,
  type Shape,
} from "./outline";

/** How thick limbs are along their length: [place from the upper joint, half width], shares of height. Drawing only. */
const flesh = {
  thigh: [
    [0.02, 0.052],
    [0.4, 0.046],
    [1, 0.031],
  ],
  shank: [
    [0, 0.031],
    [0.28, 0.033],
    [1, 0.019],
  ],
  upperArm: [
    [0, 0.029],
    [0.5, 0.024],
    [1, 0.021],
  ],
  forearm: [
    [0, 0.021],
    [0.3, 0.022],
    [1, 0.014],
  ],
} as const;

/** The trunk, slice by slice: [half breadth, half depth], shares of height. */
const slices = {
  seat: [0.072, 0.052],
  hips: [0.086, 0.062],
  waist: [0.07, 0.053],
  chest: [0.09, 0.062],
  shoulders: [0.095, 0.042],
} as const;

export interface BodyLook {
  readonly lengths: BodyLengths;
  /** Which limb is marked with bands as the involved one. */
  readonly marked: "leg" | "arm" | "none";
  readonly eyesClosed: boolean;
}

/** The outlines of a body, far to near where `near` says so. */
export function drawBody(body: Body, camera: Camera, look: BodyLook): Shape[] {
  const h = look.lengths.height;
  const shapes: Shape[] = [...trunk(body, camera, h), ...head(body, camera, h, look.eyesClosed)];
  for (const side of ["o", "w"] as const) {
    const leg = body.legs[side];
    const arm = body.arms[side];
    const mark = side === "w" ? look.marked : "none";
    const limb = (part: keyof typeof flesh, from: Vec, to: Vec, tone: string, banded: boolean) =>
      limbShapes(camera, { key: `${side}.${part}`, from, to, tone, sections: flesh[part], h, banded });
    shapes.push(
      ...limb("thigh", leg.hip, leg.knee, `skin-${side}`, mark === "leg"),
      shorts(camera, `${side}.shorts`, leg.hip, leg.knee, h, side),
      ...limb("shank", leg.knee, leg.ankle, `skin-${side}`, mark === "leg"),
      foot(camera, `${side}.foot`, leg, h, side),
      ...limb("upperArm", arm.shoulder, arm.elbow, `skin-${side}`, mark === "arm"),
      sleeve(camera, `${side}.sleeve`, arm.shoulder, arm.elbow, h, side),
      ...limb("forearm", arm.elbow, arm.wrist, `skin-${side}`, mark === "arm"),
      hand(camera, `${side}.hand`, arm.wrist, arm.grip, h, side),
    );
  }
  return shapes;
}

interface Limb {
  readonly key: string;
  readonly from: Vec;
  readonly to: Vec;
  readonly tone: string;
  readonly sections: readonly (readonly [number, number])[];
  readonly h: number;
  readonly banded: boolean;
}

function limbShapes(camera: Camera, { key, from, to, tone, sections, h, banded }: Limb): Shape[] {
  const circles = sections.map(([share, r]): Circle => ({
    at: camera.flat(between(from, to, share)),
    r: 100 * r * h,
  }));
  const near = camera.near(between(from, to, 0.5));
  const drawn = shapeOf(key, tone, chain(circles), near, circles);
  if (!banded) return [drawn];
  const bands = bandsAcross(camera.flat(from), camera.flat(to), sections, h);
  return bands
    ? [drawn, { ...drawn, key: `${key}.bands`, look: "involved", d: bands, near: near + 0.0005 }]
    : [drawn];
}

const shapeOf = (key: string, look: string, d: string, near: number, circles: readonly Circle[]): Shape => ({
  key,
  look,
  d,
  near,
  extent: extentOfCircles(circles),
});

/** Three bands across a limb, so that the involved one is known without colour; none where it is seen end on. */
function bandsAcross([x0, y0]: Flat, [x1, y1]: Flat, sections: Limb["sections"], h: number): string | null {
  const length = Math.hypot(x1 - x0, y1 - y0);
  if (length < 10 * h) return null;
  const [ux, uy] = [(x1 - x0) / length, (y1 - y0) / length];
  const radius = (share: number) => {
    const upper = sections.findIndex(([place]) => place >= share);
    const [p1, r1] = sections[Math.max(1, upper)] ?? [1, 0.02];
    const [p0, r0] = sections[Math.max(1, upper) - 1] ?? [0, 0.02];
    return 100 * h * (r0 + ((r1 - r0) * (share - p0)) / (p1 - p0));
  };
  return [0.52, 0.66, 0.8]
    .map((share) => {
      const corner = (place: number, side: 1 | -1): Flat => {
        const r = radius(place) * side;
        return [x0 + ux * length * place - uy * r, y0 + uy * length * place + ux * r];
      };
      return polygon([
        corner(share, 1),
        corner(share + 0.065, 1),
        corner(share + 0.065, -1),
        corner(share, -1),
      ]);
    })
    .join("");
}

function shorts(camera: Camera, key: string, hip: Vec, knee: Vec, h: number, side: string): Shape {
  const circles = [
    { at: camera.flat(between(hip, knee, 0.02)), r: 5.5 * h },
    { at: camera.flat(between(hip, knee, 0.42)), r: 5 * h },
  ];
  return shapeOf(
    key,
    `shorts-${side}`,
    chain(circles),
    camera.near(between(hip, knee, 0.5)) + 0.001,
    circles,
  );
}

function sleeve(camera: Camera, key: string, shoulder: Vec, elbow: Vec, h: number, side: string): Shape {
  const circles = [
    { at: camera.flat(shoulder), r: 3.4 * h },
    { at: camera.flat(between(shoulder, elbow, 0.4)), r: 2.8 * h },
  ];
  return shapeOf(
    key,
    `shirt-${side}`,
    chain(circles),
    camera.near(between(shoulder, elbow, 0.5)) + 0.001,
    circles,
  );
}

function hand(camera: Camera, key: string, wrist: Vec, grip: Vec, h: number, side: string): Shape {
  const circles = [
    { at: camera.flat(wrist), r: 1.5 * h },
    { at: camera.flat(between(wrist, grip, 1.3)), r: 1.6 * h },
  ];
  return shapeOf(key, `skin-${side}`, chain(circles), camera.near(grip), circles);
}

function foot(camera: Camera, key: string, leg: Body["legs"]["w"], h: number, side: string): Shape {
  const { heel, ball, toe, ankle, foot: frame } = leg;
  const alongToes = unit([toe[0] - ball[0], toe[1] - ball[1], toe[2] - ball[2]]);
  const overToes = unit(plus(frame.up, alongToes, -dot(frame.up, alongToes)));
  const disc = (centre: Vec, r: number): Circle => ({ at: camera.flat(centre), r: 100 * r * h });
  const heelDisc = disc(plus(plus(heel, frame.up, 0.019 * h), frame.fore, 0.014 * h), 0.019);
  const ballDisc = disc(plus(ball, frame.up, 0.015 * h), 0.015);
  const toeDisc = disc(plus(plus(toe, overToes, 0.011 * h), alongToes, -0.011 * h), 0.011);
  const ankleDisc = disc(plus(ankle, frame.up, 0.006 * h), 0.0205);
  const back = hull([heelDisc, ankleDisc, ballDisc].flatMap(round));
  return shapeOf(key, `shoe-${side}`, back + chain([ballDisc, toeDisc]), camera.near(ankle), [
    heelDisc,
    ballDisc,
    toeDisc,
    ankleDisc,
  ]);
}

const ring = Array.from({ length: 12 }, (_, index) => {
  const angle = (index * Math.PI) / 6;
  return [Math.cos(angle), Math.sin(angle)] as const;
});

/** A slice of the trunk as the camera sees it. */
function slice(
  camera: Camera,
  centre: Vec,
  frame: Frame,
  [breadth, depth]: readonly [number, number],
  h: number,
): Flat[] {
  return ring.map(([fore, side]) =>
    camera.flat(plus(centre, inFrame(frame, [depth * h * fore, 0, breadth * h * side]))),
  );
}

function trunk(body: Body, camera: Camera, h: number): Shape[] {
  const { pelvis, lumbar, neck, pelvisFrame, chestFrame } = body;
  const seat = slice(camera, plus(pelvis, pelvisFrame.up, -0.03 * h), pelvisFrame, slices.seat, h);
  const hips = slice(camera, plus(pelvis, pelvisFrame.up, 0.02 * h), pelvisFrame, slices.hips, h);
  const waist = slice(camera, plus(lumbar, chestFrame.up, 0.015 * h), chestFrame, slices.waist, h);
  const chest = slice(camera, plus(neck, chestFrame.up, -0.08 * h), chestFrame, slices.chest, h);
  const shoulders = slice(camera, plus(neck, chestFrame.up, -0.012 * h), chestFrame, slices.shoulders, h);
  const top = round({ at: camera.flat(plus(neck, chestFrame.up, 0.022 * h)), r: 3.2 * h });
  const near = camera.near(between(pelvis, neck, 0.5));
  const shirt = [
    hull([...waist, ...chest]),
    hull([...chest, ...shoulders]),
    hull([...shoulders, ...top]),
  ].join("");
  const all = [seat, hips, waist, chest, shoulders, top];
  const extent = extentOf(all.flat());
  return [
    {
      key: "pelvis",
      look: "shorts-w",
      d: hull([...seat, ...hips]) + hull([...hips, ...waist]),
      near: near - 0.002,
      extent,
    },
    { key: "trunk", look: "shirt-w", d: shirt, near, extent },
  ];
}

function head(body: Body, camera: Camera, h: number, eyesClosed: boolean): Shape[] {
  const { headFrame, points, neck } = body;
  const centre = points.head;
  const part = (fore: number, up: number, r: number, side = 0): Circle => ({
    at: camera.flat(plus(centre, inFrame(headFrame, [fore * h, up * h, side * h]))),
    r: 100 * r * h,
  });
  const skull = part(0.006, 0.008, 0.053);
  const chin = part(0.024, -0.043, 0.027);
  const nose = part(0.06, -0.012, 0.009);
  const hair = part(-0.012, 0.018, 0.056);
  const near = camera.near(centre);
  // Seen from behind, the hair covers the face.
  const facing = camera.near(headFrame.fore) > -0.5 ? 0.002 : -0.002;
  const throat = [
    { at: camera.flat(plus(neck, headFrame.up, -0.01 * h)), r: 3 * h },
    { at: camera.flat(between(neck, centre, 0.6)), r: 2.8 * h },
  ];
  const face = hull([...round(skull), ...round(chin)]) + chain([part(0.04, -0.006, 0.012), nose]);
  const shapes = [
    shapeOf("neck", "skin-w", chain(throat), near - 0.004, throat),
    shapeOf("hair", "hair", circlePath(hair), near, [hair]),
    shapeOf("face", "skin-w", face, near + facing, [skull, chin, nose]),
  ];
  for (const side of [1, -1] as const) {
    const lookOut = plus(headFrame.fore, headFrame.side, 0.35 * side);
    if (camera.near(lookOut) < 0.4) continue;
    const eye = part(0.05, 0.004, 0.006, 0.021 * side);
    const lid = [part(0.054, 0.001, 0, 0.021 * side - 0.008), part(0.044, 0.001, 0, 0.021 * side + 0.008)];
    const d = eyesClosed ? polyline(lid.map(({ at }) => at)) : circlePath(eye);
    shapes.push(shapeOf(`eye${side}`, eyesClosed ? "lid" : "eye", d, near + facing + 0.001, [eye]));
  }
  return shapes;
}
