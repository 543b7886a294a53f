import { expect, it } from "vitest";
import { boxForBend } from "./box-for-bend";

// 1.75 m, knee 90°, shin 18° forward, thigh 72° from upright: 6.825 + 43.05 cos 18° + 42.875 cos 72° − 7 = 54.0 cm.
it("the two links by hand, and a taller box for a taller person", () => {
  expect(boxForBend({ heightM: 1.75 }, 90)).toBe(54);
  expect(boxForBend({ heightM: 1.95 }, 90)).toBe(61);
  expect(boxForBend({ heightM: 1.55 }, 90)).toBe(47);
});
it("no box for what is no bend, or where none would be touched", () => {
  for (const bend of [null, NaN, -1, 151]) expect(boxForBend({ heightM: 1.75 }, bend)).toBeNull();
  expect(boxForBend({ heightM: 2.1 }, 10)).toBeNull();
});
