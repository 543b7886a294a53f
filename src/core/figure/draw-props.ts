import type { Body } from "~/core/pose/body";
import type { BodyLengths } from "~/core/pose/body-lengths";
import { between, plus, scaled, unit, type Vec } from "~/core/pose/space";
import type { Camera, Flat } from "./camera";
import type { LimbName, Prop } from "./figure";
import { capsule, circlePath, extentOf, polygon, polyline, type Shape } from "./outline";
import { loopPlace, loopRadius } from "./loop-place";
import { anchored } from "./resolve-figure";

interface Drawing {
  readonly body: Body;
  readonly lengths: BodyLengths;
  readonly camera: Camera;
}

type DrawerOf<K extends Prop["kind"]> = (
  prop: Extract<Prop, { kind: K }>,
  drawing: Drawing,
  key: string,
) => readonly Shape[];

const made = (
  key: string,
  look: string,
  d: string,
  near: number,
  points: readonly Flat[],
  margin = 0,
): Shape => ({
  key,
  look,
  d,
  near,
  extent: extentOf(points, margin),
});

const joints: Record<string, [string, string]> = {
  thigh: ["hip", "knee"],
  shank: ["knee", "ankle"],
  "upper-arm": ["shoulder", "elbow"],
  forearm: ["elbow", "wrist"],
};
const half: Record<string, number> = { thigh: 0.04, shank: 0.028, "upper-arm": 0.026, forearm: 0.02 };

function alongLimb(body: Body, limb: LimbName, share: number): Vec {
  const [side, part = ""] = limb.split(".");
  const [from, to] = joints[part] ?? ["hip", "knee"];
  const points = body.points as Record<string, Vec>;
  return between(points[`${side}.${from}`] as Vec, points[`${side}.${to}`] as Vec, share);
}

/** One drawer for each kind of prop; adding a kind is adding an entry. */
const drawers: { readonly [K in Prop["kind"]]: DrawerOf<K> } = {
  block: ({ what, x, y, z }, { camera }, key) => {
    const corner = (ix: 0 | 1, iy: 0 | 1, iz: 0 | 1) => camera.flat([x[ix], y[iy], z[iz]]);
    const near = camera.near([(x[0] + x[1]) / 2, 0, (z[0] + z[1]) / 2]) - 0.06;
    const faces: Shape[] = [];
    const face = (name: string, points: Flat[], tone: string) =>
      faces.push(made(`${key}.${name}`, `${what} ${tone}`, polygon(points), near, points));
    if (camera.sees.back)
      face("back", [corner(0, 0, 0), corner(0, 0, 1), corner(0, 1, 1), corner(0, 1, 0)], "dim");
    if (camera.sees.front)
      face("front", [corner(1, 0, 0), corner(1, 0, 1), corner(1, 1, 1), corner(1, 1, 0)], "dim");
    if (camera.sees.side)
      face("side", [corner(0, 0, 1), corner(1, 0, 1), corner(1, 1, 1), corner(0, 1, 1)], "lit");
    return faces;
  },
  wall: ({ x, z, faces }, { camera, lengths }, key) => {
    const top = 1.12 * lengths.height;
    const line = [camera.flat([x, 0, 0]), camera.flat([x, top, 0])];
    const ticks = [0.1, 0.3, 0.5, 0.7, 0.9].map((share) => {
      const [px, py] = camera.flat([x, top * share, 0]);
      const [qx, qy] = camera.flat([x - faces * 0.06, top * share - 0.06, 0]);
      return polyline([
        [px, py],
        [qx, qy],
      ]);
    });
    const near = camera.near([x, 0, (z[0] + z[1]) / 2]) - 1;
    return [made(key, "wall", polyline(line) + ticks.join(""), near, line, 6)];
  },
  "side-wall": ({ z, height }, { camera }, key) => {
    const line = [camera.flat([0, 0, z]), camera.flat([0, height, z])];
    const out = Math.sign(z) * 0.06;
    const ticks = [0.1, 0.3, 0.5, 0.7, 0.9].map((share) =>
      polyline([camera.flat([0, height * share, z]), camera.flat([0, height * share - 0.06, z + out])]),
    );
    return [made(key, "wall", polyline(line) + ticks.join(""), -9, line, 6)];
  },
  ball: ({ at, radius }, { body, camera }, key) => {
    const place = anchored(body, at);
    const centre = camera.flat(place);
    const shine = camera.flat(plus(place, [-0.3 * radius, 0.35 * radius, 0]));
    return [
      made(
        key,
        "ball",
        circlePath({ at: centre, r: 100 * radius }),
        camera.near(place) - 0.01,
        [centre],
        100 * radius,
      ),
      made(`${key}.shine`, "shine", circlePath({ at: shine, r: 18 * radius }), camera.near(place) - 0.009, [
        centre,
      ]),
    ];
  },
  wheel: ({ at, radius }, { camera }, key) => {
    const centre = camera.flat(at);
    return [
      made(
        key,
        "wheel",
        circlePath({ at: centre, r: 100 * radius }),
        camera.near(at) - 0.3,
        [centre],
        100 * radius,
      ),
    ];
  },
  line: ({ what, through }, { body, camera }, key) => {
    const places = through.map((anchor) => anchored(body, anchor));
    const points = places.map(camera.flat);
    const near = Math.max(...places.map(camera.near)) - (what === "frame" ? 0.3 : 0);
    return [made(key, `line-${what}`, polyline(points), near + 0.02, points, 1)];
  },
  ring: ({ what, limb, at }, { body, camera, lengths }, key) => {
    const [a, b] = [alongLimb(body, limb, at - 0.06), alongLimb(body, limb, at + 0.06)].map(camera.flat) as [
      Flat,
      Flat,
    ];
    const r = 100 * lengths.height * (half[limb.split(".")[1] ?? ""] ?? 0.03);
    const near = camera.near(alongLimb(body, limb, at)) + 0.05;
    return [made(key, `ring-${what}`, capsule({ at: a, r }, { at: b, r }), near, [a, b], r)];
  },
  loop: ({ limb }, { body, camera, lengths }, key) => {
    const [w, o] = [loopPlace(body, "w", limb), loopPlace(body, "o", limb)];
    const r = 100 * lengths.height * loopRadius[limb];
    const [a, b] = [camera.flat(w), camera.flat(o)];
    const near = camera.near(w) + 0.06;
    return [made(key, "loop-band", capsule({ at: a, r }, { at: b, r }), near, [a, b], r)];
  },
  weight: ({ what, at, along }, { body, camera }, key) => {
    const place = anchored(body, at);
    const near = camera.near(place) + 0.12;
    const centre = camera.flat(place);
    if (what === "plate") return [made(key, "weight", circlePath({ at: centre, r: 11 }), near, [centre], 11)];
    if (what === "cup") {
      const [x, y] = centre;
      const points: Flat[] = [
        [x - 3.4, y - 8],
        [x + 3.4, y - 8],
        [x + 2.6, y + 1],
        [x - 2.6, y + 1],
      ];
      return [made(key, "weight", polygon(points), near, points)];
    }
    const reach = scaled(unit(along), 0.11);
    const ends = [plus(place, reach, -1), plus(place, reach)].map(camera.flat) as [Flat, Flat];
    const discs = ends.map((end) => circlePath({ at: end, r: 5.2 })).join("");
    return [
      made(key, "weight", capsule({ at: ends[0], r: 1.4 }, { at: ends[1], r: 1.4 }) + discs, near, ends, 6),
    ];
  },
  barbell: ({ at }, { body, camera }, key) => {
    const place = anchored(body, at);
    const [a, b] = [plus(place, [-0.05, 0.02, -0.55]), plus(place, [-0.05, 0.02, 0.55])];
    const ends = [a, b].map(camera.flat) as [Flat, Flat];
    const discs = ends.map((end) => circlePath({ at: end, r: 13 })).join("");
    return [
      made(key, "line-stick", polyline(ends), camera.near(place) - 0.05, ends, 2),
      made(`${key}.plates`, "plates", discs, camera.near(b), ends, 13),
    ];
  },
  wedge: ({ x, y, z }, { camera }, key) => {
    const points = [
      camera.flat([x[0], y[0], z[1]]),
      camera.flat([x[1], y[0], z[1]]),
      camera.flat([x[0], y[1], z[1]]),
    ];
    return [made(key, "step lit", polygon(points), camera.near([x[0], 0, 0]) - 0.06, points)];
  },
  slider: ({ under }, { body, camera }, key) => {
    const place = plus(body.points[under], [0, 0.006, 0]);
    const [a, b] = [camera.flat(plus(place, [-0.07, 0, 0])), camera.flat(plus(place, [0.09, 0, 0]))];
    return [
      made(
        key,
        "slider",
        capsule({ at: a, r: 1.3 }, { at: b, r: 1.3 }),
        camera.near(place) + 0.03,
        [a, b],
        1.3,
      ),
    ];
  },
  tufts: ({ x }, { camera }, key) => {
    const blades: string[] = [];
    for (let at = x[0]; at <= x[1]; at += 0.11) {
      const [px] = camera.flat([at, 0, 0]);
      for (const [foot, tip, high] of [
        [-2, -3.5, 4],
        [0, 0, 5.5],
        [2, 3.5, 4],
      ] as const) {
        blades.push(
          polyline([
            [px + foot, 0],
            [px + tip, -high],
          ]),
        );
      }
    }
    const ends = [camera.flat([x[0], 0, 0]), camera.flat([x[1], 0, 0])];
    return [made(key, "tufts", blades.join(""), 9, ends, 3)];
  },
  mark: ({ x, z }, { camera }, key) => {
    const points = [camera.flat([x - 0.04, 0, z]), camera.flat([x + 0.04, 0, z]), camera.flat([x, 0.12, z])];
    return [made(key, "cone", polygon(points), camera.near([x, 0, z]), points)];
  },
  sign: ({ what, at }, { body, camera, lengths }, key) => {
    if (what === "eyes-closed") return [];
    const h = lengths.height;
    const place = camera.flat(plus(body.points[at], [0, 0, 0]));
    const side = 1;
    const bubble = { at: [place[0] + side * 17 * h, place[1] - 13 * h] as Flat, r: 9 * h };
    const small = [
      { at: [place[0] + side * 8 * h, place[1] - 6.5 * h] as Flat, r: 1.2 * h },
      { at: [place[0] + side * 10 * h, place[1] - 8.5 * h] as Flat, r: 1.8 * h },
    ];
    const d = [bubble, ...small].map(circlePath).join("");
    return [
      {
        ...made(key, "bubble", d, 8, [bubble.at], bubble.r),
        words: {
          text: what === "signal" ? "Go" : "7, 6, 5",
          at: [bubble.at[0], bubble.at[1] + 1.6 * h],
          size: 4.6 * h,
        },
      },
    ];
  },
  press: ({ at, towards }, { body, camera }, key) => {
    const place = anchored(body, at);
    const [tip, tail] = [camera.flat(place), camera.flat(plus(place, unit(towards), -0.16))];
    return arrowShape(key, tail, tip, "end", "press");
  },
  arrow: ({ from, to, heads }, { body, camera }, key) =>
    arrowShape(key, camera.flat(anchored(body, from)), camera.flat(anchored(body, to)), heads, "arrow"),
};

function arrowShape(key: string, from: Flat, to: Flat, heads: "end" | "both", look: string): Shape[] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (length < 3) return [];
  const size = Math.min(6, length * 0.4);
  const head = ([tx, ty]: Flat, [fx, fy]: Flat) => {
    const angle = Math.atan2(ty - fy, tx - fx);
    const wing = (turn: number): Flat => [
      tx - size * Math.cos(angle + turn),
      ty - size * Math.sin(angle + turn),
    ];
    return polyline([wing(0.5), [tx, ty], wing(-0.5)]);
  };
  const d = polyline([from, to]) + head(to, from) + (heads === "both" ? head(from, to) : "");
  return [made(key, look, d, 7, [from, to], 2)];
}

/** What stands around a body, as shapes. */
export function drawProps(props: readonly Prop[], drawing: Drawing): Shape[] {
  return props.flatMap((prop, index) => {
    const draw = drawers[prop.kind] as (prop: Prop, drawing: Drawing, key: string) => readonly Shape[];
    return draw(prop, drawing, `${prop.kind}${index}`);
  });
}
