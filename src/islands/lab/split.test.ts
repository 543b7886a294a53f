import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { resolveFigure } from "~/core/figure/resolve-figure";
import { rearAnkleHeight, splitFigure } from "~/core/load/split-pose";
import { splitStance } from "~/core/mechanics/split-stance";
import { lengthsOf } from "~/core/pose/body-lengths";
import { longerWithShinUpright, splitAsked, splitHeld, startingSplit } from "./split";

const body = {
  heightM: 1.75,
  massKg: 75,
  heightMeasured: true,
  massMeasured: true,
  shankM: null,
  thighM: null,
};
const held = (split: typeof startingSplit) => {
  const told = splitHeld(body, split);
  if (!told.feasible) throw new Error(told.reason);
  return told;
};

describe("a longer stance", () => {
  // Handbook of mechanics, common practice: it spares the front knee by letting the shin stand upright, and not else.
  it("asks more of the front knee with the front leg as it is, and less where it lets the shin stand upright", () => {
    let looked = 0;
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 95, noNaN: true }),
        fc.double({ min: 8, max: 25, noNaN: true }),
        (kneeDeg, shankDeg) => {
          const split = { ...startingSplit, kneeDeg, shankDeg };
          const [now, same] = [
            splitHeld(body, split),
            splitHeld(body, { ...split, stanceM: split.stanceM + 0.15 }),
          ];
          if (!now.feasible) return;
          looked += 1;
          const upright = longerWithShinUpright(body, split);
          expect(upright.shankDeg).toBeLessThan(shankDeg);
          if (same.feasible) {
            expect(same.frontShare).toBeGreaterThan(now.frontShare);
            if (now.frontKneeMomentNm > 0)
              expect(same.frontKneeMomentNm).toBeGreaterThan(now.frontKneeMomentNm);
          }
          const after = splitHeld(body, upright);
          if (after.feasible) expect(after.frontKneeMomentNm).toBeLessThan(now.frontKneeMomentNm);
        },
      ),
      { numRuns: 300, seed: 6 },
    );
    expect(looked).toBeGreaterThan(100);
  });
});

it("is drawn as it is reckoned: hips at their height, and the rear knee bent within a few degrees", () => {
  const lengths = lengthsOf(body);
  for (const stanceM of [0.5, 0.6])
    for (const kneeDeg of [75, 90]) {
      const split = { ...startingSplit, stanceM, kneeDeg };
      const told = held(split);
      const drawn = resolveFigure(
        lengths,
        splitFigure(lengths, {
          kneeFlexionDeg: kneeDeg,
          shankInclinationDeg: split.shankDeg,
          trunkLeanDeg: split.trunkDeg,
          stanceLengthM: stanceM,
          barKg: 0,
        }),
        0,
      );
      if (!drawn.ok) throw new Error(drawn.why);
      const { legs, angles } = drawn.body;
      expect(100 * legs.w.hip[1]).toBeCloseTo(told.hipHeightCm, 6);
      expect(legs.o.ankle[1]).toBeCloseTo(rearAnkleHeight(lengths), 6);
      expect(legs.o.ball[0]).toBeCloseTo(-stanceM, 6);
      // The sum puts the rear ankle over its ball; the drawn one lies a little off it, as a foot on its ball does.
      expect(Math.abs(angles.o.knee - told.rearKneeFlexionDeg)).toBeLessThan(16);
    }
});

it("measured limbs take the place of the shares of height, in the sum as in the drawing", () => {
  const long = { ...body, thighM: 0.48 };
  expect(splitAsked(long, startingSplit)).toMatchObject({ thighM: 0.48 });
  expect(splitAsked(body, startingSplit)).not.toHaveProperty("thighM");
  const [usual, other] = [
    splitStance(splitAsked(body, startingSplit)),
    splitStance(splitAsked(long, startingSplit)),
  ];
  if (!usual.feasible || !other.feasible) throw new Error("both can be held");
  expect(other.hipHeightCm).toBeGreaterThan(usual.hipHeightCm);
});
