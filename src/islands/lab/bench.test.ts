import fc from "fast-check";
import { expect, it } from "vitest";
import { jointsAt } from "~/core/mechanics/linkage-model";
import { boxHeight } from "~/core/mechanics/box-height";
import { boxPulled, hipPulled, kneePulled } from "./bench";

const legs = { shankM: 0.43, thighM: 0.42 };

it("pulling the hip to where it is changes nothing; the two links are solved back from their own end", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 130, noNaN: true }),
      fc.double({ min: -30, max: 60, noNaN: true }),
      (kneeDeg, shankDeg) => {
        const { hip, knee } = jointsAt(legs, kneeDeg, shankDeg);
        const pulled = hipPulled(legs, hip.x, hip.y);
        expect(pulled.kneeDeg).toBeCloseTo(kneeDeg, 4);
        expect(pulled.shankDeg).toBeCloseTo(shankDeg, 4);
        expect(kneePulled(legs.shankM, knee.x).shankDeg).toBeCloseTo(shankDeg, 6);
      },
    ),
  );
});

it("what no leg reaches stays within what the bench allows", () => {
  for (const [x, y] of [
    [5, 5],
    [0, 0],
    [-3, 0.1],
    [0, 2],
  ] as const) {
    const { kneeDeg, shankDeg } = hipPulled(legs, x, y);
    expect(kneeDeg).toBeGreaterThanOrEqual(0);
    expect(kneeDeg).toBeLessThanOrEqual(130);
    expect(shankDeg).toBeGreaterThanOrEqual(-30);
    expect(shankDeg).toBeLessThanOrEqual(60);
  }
  expect(kneePulled(legs.shankM, 9).shankDeg).toBe(60);
  expect(kneePulled(legs.shankM, -9).shankDeg).toBe(-30);
});

it("a box pulled up or down is touched by these hips at the bend that follows", () => {
  const body = { heightM: 1.75, massKg: 75, shankM: 0.46, thighM: null };
  for (const boxM of [0.3, 0.4, 0.55]) {
    const { kneeDeg } = boxPulled(body, 20, boxM);
    const { boxCm } = boxHeight({
      heightM: 1.75,
      shankM: 0.46,
      kneeFlexionDeg: kneeDeg,
      shankInclinationDeg: 20,
    });
    expect(boxCm).toBeCloseTo(100 * boxM, 6);
  }
  expect(boxPulled(body, 20, 9).kneeDeg).toBe(20);
});
