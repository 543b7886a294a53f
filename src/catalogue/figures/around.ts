import { levelSeat, type Knobs, hands } from "./parts";
import type { Contact, Prop } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Pose } from "~/core/pose/pose";
import type { Vec } from "~/core/pose/space";

export const block = (
  what: Extract<Prop, { kind: "block" }>["what"],
  x: [number, number],
  y: [number, number],
  z: [number, number],
): Prop => ({ kind: "block", what, x, y, z });

/** A chair whose seat is at x 0, its back behind. */
export function chair(b: BodyLengths, seat = levelSeat(b), behind = -0.1 * b.height): Prop[] {
  const w = 0.12 * b.height;
  return [
    block("seat", [behind, behind + 0.24 * b.height], [seat - 0.04, seat], [-w, w]),
    block("rail", [behind - 0.03, behind], [0, seat + 0.24 * b.height], [-w, w]),
    block("rail", [behind + 0.21 * b.height, behind + 0.24 * b.height], [0, seat - 0.04], [-w, w]),
  ];
}

export const dumbbell = (hand: "w" | "o", along: Vec = [1, 0, 0]): Prop => ({
  kind: "weight",
  what: "dumbbell",
  at: `${hand}.grip`,
  along,
});

/** Where a weight hangs: hands that hold it, and the weight; null where the knob says none. */
export function loaded(k: Knobs, b: BodyLengths): { arms?: Pose["arms"]; props: Prop[] } {
  if (k.is("load-place", "goblet"))
    return {
      arms: hands.chest(b),
      props: [{ kind: "weight", what: "dumbbell", at: "w.grip", along: [0, 1, 0] }],
    };
  if (k.is("load-place", "bar")) return { arms: hands.bar(b), props: [{ kind: "barbell", at: "neck" }] };
  if (k.is("load-place", "hands")) return { arms: hands.hang(), props: [dumbbell("w"), dumbbell("o")] };
  if (k.is("load-place", "same-hand")) return { arms: hands.hang(), props: [dumbbell("w")] };
  if (k.is("load-place", "opposite-hand")) return { arms: hands.hang(), props: [dumbbell("o")] };
  if (k.is("load-place", "overhead"))
    return {
      arms: { ...hands.hang(), w: hands.overhead().w },
      props: [dumbbell("w")],
    };
  if (k.is("load-place", "ankle"))
    return { props: [{ kind: "ring", what: "cuff", limb: "w.shank", at: 0.88 }] };
  if (k.is("load-place", "hips"))
    return {
      props: [
        {
          kind: "weight",
          what: "plate",
          at: { of: "pelvis", plus: [0, 0.075 * b.height, 0] },
          along: [1, 0, 0],
        },
      ],
    };
  if (k.is("load-place", "thighs"))
    return {
      props: [
        {
          kind: "weight",
          what: "dumbbell",
          at: { of: "w.knee", plus: [-0.07 * b.height, 0.07 * b.height, 0] },
          along: [0, 0, 1],
        },
      ],
    };
  return { props: [] };
}

/** A band round both legs, where the perturbation knob puts it. */
export function bandRound(k: Knobs): Prop[] {
  for (const limb of ["thigh", "shank", "foot"] as const) {
    const value = limb === "shank" ? "band-shin" : `band-${limb}`;
    if (k.is("perturbation", value)) return [{ kind: "loop", limb }];
  }
  return [];
}

/** Points that must stand at these heights whenever the figure is drawn, metres. */
export const touching = (...points: [Contact["point"], number][]): Contact[] =>
  points.map(([point, y]) => ({ point, y }));
