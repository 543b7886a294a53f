import type { Prop } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Leg } from "~/core/pose/pose";
import { bandRound, block, loaded } from "./around";
import { ballSqueeze, legAcross, lumbarRotation, pelvicTilt, supineRotation } from "./lying-turns";
import {
  type Recipe,
  arm,
  figure,
  footFlat,
  hands,
  heelOut,
  leg,
  lyingHeight,
  onBack,
  reachTo,
} from "./parts";
import { glutealSet, heelDig, quadSet } from "./sets";

/** A leg held up by somebody on the back: angles from the trunk. */
export const up = (hip: number, knee: number, part: Partial<Leg> = {}): Leg =>
  leg({ hip, knee, ankle: 4, ...part });

const strapTo = (...grips: ("w.grip" | "o.grip")[]): Prop[] =>
  grips.map((grip) => ({ kind: "line", what: "strap", through: [grip, { of: "w.ball", plus: [0, 0, 0] }] }));

/** Both hands in front of somebody lying, over the belly or the thighs, holding a strap. */
const holdingStrap = (b: BodyLengths, x: number, y: number) => ({
  w: reachTo([x * b.height, y * b.height, 0.06 * b.height], [0, -1, 0.8]),
  o: reachTo([x * b.height, y * b.height, -0.06 * b.height], [0, -1, 0.8]),
});

const heelSlide: Recipe = (k, b) => {
  const strong = k.is("assistance", "strong");
  const light = k.is("assistance", "light");
  const bend = 20 + 100 * k.range;
  const at = (knee: number) => {
    const flat = knee > 40;
    const working = flat ? footFlat(b, knee) : heelOut(b, knee);
    return onBack(
      b,
      { w: working, o: heelOut(b, 4, -1) },
      { arms: strong || light ? holdingStrap(b, -0.02, strong ? 0.17 : 0.15) : hands.beside() },
    );
  };
  return figure({
    keys: [at(42), at(Math.max(60, bend))],
    props: strong
      ? strapTo("w.grip", "o.grip").map(
          (line) => ({ ...line, through: ["w.grip", { of: "w.heel", plus: [0.03, 0.05, 0] }] }) as Prop,
        )
      : light
        ? [{ kind: "line", what: "strap", through: ["o.grip", { of: "w.heel", plus: [0.03, 0.05, 0] }] }]
        : [],
    moves: "w.heel",
  });
};

const kneeStraightening: Recipe = (k, b) => {
  const h = b.height;
  if (k.is("load-place", "ankle")) return proneHang(k, b);
  const short = k.is("lever", "short");
  const lift = 0.1;
  const end = short ? 0.3 * h : 0.44 * h;
  const hip = lyingHeight(b);
  const rise = (Math.asin((lift + 0.04 * h - hip + 0.02) / (b.thigh + b.shank)) * 180) / Math.PI;
  return figure({
    keys: [onBack(b, { w: up(Math.max(2, rise), 0, { ankle: 2 }), o: heelOut(b, 30, -1) })],
    timing: { kind: "hold" },
    props: [
      block("pillow", [end - 0.06, end + 0.1], [0, lift], [-0.02, 0.14 * h]),
      { kind: "press", at: { of: "w.knee", plus: [0, 0.05 * h, 0] }, towards: [0, -1, 0] },
    ],
  });
};

const proneHang: Recipe = (k, b) => {
  const h = b.height;
  const y = 0.3;
  const short = k.is("lever", "short");
  const one = (): Leg => leg({ hip: 0, knee: 0, ankle: -20 });
  const lying = onBack(b, { w: one(), o: one() });
  return figure({
    keys: [
      {
        ...lying,
        lie: "prone",
        root: { point: "pelvis", x: 0, y: y + lyingHeight(b), z: 0 },
        arms: {
          w: arm({ flexion: 150, elbow: 100, abduction: 30 }),
          o: arm({ flexion: 150, elbow: 100, abduction: 30 }),
        },
      },
    ],
    timing: { kind: "hold" },
    props: [
      block("bench", [(short ? -0.4 : -0.24) * h, 0.55 * h], [0, y], [-0.16 * h, 0.16 * h]),
      ...loaded(k, b).props,
    ],
  });
};

const hamstringStretch: Recipe = (k, b) => {
  const bent = k.is("lever", "short");
  const own = k.is("assistance", "light");
  const leg1 = bent ? up(92, 42) : up(own ? 66 : 72, 4);
  return figure({
    keys: [
      onBack(
        b,
        { w: leg1, o: heelOut(b, 4, -1) },
        { arms: own ? hands.beside() : holdingStrap(b, 0.02, 0.24) },
      ),
    ],
    timing: { kind: "hold" },
    props: own
      ? [
          {
            kind: "line",
            what: "strap",
            through: [
              { of: "w.ball", plus: [0, 0, 0] },
              { of: "w.ball", plus: [-0.24, -0.4, 0.05] },
            ],
          },
        ]
      : strapTo("w.grip", "o.grip"),
  });
};

const straightRaise: Recipe = (k, b) => {
  const strong = k.is("assistance", "strong");
  const light = k.is("assistance", "light");
  const load = loaded(k, b);
  const arms = strong ? holdingStrap(b, 0.03, 0.18) : hands.beside();
  const other = footFlat(b, 80, -1);
  return figure({
    keys: [
      onBack(b, { w: up(1.5, 0, { ankle: 8 }), o: other }, { arms }),
      onBack(b, { w: up(42, 0, { ankle: 8 }), o: other }, { arms }),
    ],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [
      ...load.props,
      ...(strong ? strapTo("w.grip", "o.grip") : []),
      ...(light
        ? ([
            {
              kind: "line",
              what: "strap",
              through: [
                { of: "w.ball", plus: [0, 0, 0] },
                { of: "w.ball", plus: [-0.3, 0.06, 0.06] },
              ],
            },
          ] as const)
        : []),
    ],
    moves: "w.ankle",
  });
};

const kneeToChest: Recipe = (k, b) => {
  const long = k.is("lever", "long");
  const hover = k.is("raised", "both-feet");
  const other = !long ? footFlat(b, 85, -1) : hover ? up(16, 6) : heelOut(b, 4, -1);
  return figure({
    keys: [
      onBack(b, { w: hover ? up(18, 10) : up(38, 66), o: other }),
      onBack(b, { w: up(102, 104), o: other }),
    ],
    timing: { kind: "there-and-back", lowers: "back" },
    props: bandRound(k),
    moves: "w.knee",
  });
};

export const lyingFigures: Readonly<Record<string, Recipe>> = {
  "heel-slide": heelSlide,
  "knee-straightening": kneeStraightening,
  "hamstring-stretch": hamstringStretch,
  "straight-leg-raise": straightRaise,
  "supine-hip-flexion": kneeToChest,
  "quad-set": quadSet,
  "gluteal-set": glutealSet,
  "heel-dig": heelDig,
  "lumbar-rotation": lumbarRotation,
  "pelvic-tilt": pelvicTilt,
  "posterior-hip-stretch": legAcross,
  "supine-hip-rotation": supineRotation,
  "ball-squeeze": ballSqueeze,
};
