import { expect, it } from "vitest";
import { deLeva, winter } from "~/core/mechanics/segments";
import { bodyLengths } from "~/core/pose/body-lengths";

// Winter 2009, table 4.1 after Dempster, and figure 4.1 after Drillis & Contini; from memory.
it.each([
  ["shank", 0.246],
  ["thigh", 0.245],
  ["trunk", 0.288],
  ["upperArm", 0.186],
  ["forearm", 0.146],
  ["hand", 0.108],
  ["foot", 0.152],
  ["ankleHeight", 0.039],
] as const)("length of the %s is %s of the height", (segment, share) => {
  expect(winter.length[segment]).toBe(share);
});

it("head, arms and trunk are 0.678 of the body's mass, a whole leg 0.161, all of it 1", () => {
  const { mass } = winter;
  const leg = mass.foot + mass.shank + mass.thigh;
  const arm = mass.upperArm + mass.forearmAndHand;
  expect(leg).toBeCloseTo(0.161, 6);
  expect(arm).toBeCloseTo(0.05, 6);
  expect(mass.trunk + mass.head + 2 * arm).toBeCloseTo(0.678, 6);
  expect(mass.trunk + mass.head + 2 * arm + 2 * leg).toBeCloseTo(1, 6);
});

it("heel to shoulder is 0.818 of the height, as the figure has it, and the head ends at 1", () => {
  const { ankleHeight, shank, thigh, trunk, headAndNeck } = winter.length;
  expect(ankleHeight + shank + thigh + trunk).toBeCloseTo(0.818, 6);
  expect(ankleHeight + shank + thigh + trunk + headAndNeck).toBeCloseTo(1, 6);
});

// Another population, another method (gamma scanning): lengths of legs within 4 %, of arms within 14 %; masses of shank
// and foot within 8 %. The thigh's mass is left out: de Leva cuts it higher, and it differs by two fifths.
it.each(["foot", "shank", "thigh"] as const)("de Leva's %s is as long within 4 %%", (segment) => {
  expect(Math.abs(deLeva.length[segment] / winter.length[segment] - 1)).toBeLessThan(0.04);
});
it.each(["upperArm", "forearm"] as const)("de Leva's %s is as long within 14 %%", (segment) => {
  expect(Math.abs(deLeva.length[segment] / winter.length[segment] - 1)).toBeLessThan(0.14);
});
it.each(["shank", "foot"] as const)("de Leva's %s is as heavy within 8 %%", (segment) => {
  expect(Math.abs(deLeva.mass[segment] / winter.mass[segment] - 1)).toBeLessThan(0.08);
});

it("measured limbs take the place of the shares", () => {
  const body = bodyLengths({ heightM: 1.8, shankM: 0.47 });
  expect(body.shank).toBe(0.47);
  expect(body.thigh).toBeCloseTo(0.441, 6);
});

it.each([{ heightM: 0.99 }, { heightM: 2.41 }, { heightM: NaN }, { heightM: 1.8, thighM: 0.1 }])(
  "%o is no body",
  (size) => {
    expect(() => bodyLengths(size)).toThrow(RangeError);
  },
);
