import { expect, it } from "vitest";
import { stillTemplate } from "~/core/measure/still-template";
import { namedPoints, pixelsPerCm, scaleTemplate, withPoint } from "./still-points";

const size = { width: 300, height: 600 };
const looks = [
  { view: "front", stance: "left", facing: "towards" },
  { view: "side", facing: "left" },
] as const;

it("a point moves alone, whichever it is", () => {
  for (const look of looks) {
    const points = stillTemplate(look, size);
    for (const [name] of namedPoints(points)) {
      const moved = namedPoints(withPoint(points, name, { x: 1, y: 2 }));
      for (const [other, at] of moved)
        expect(at).toEqual(other === name ? { x: 1, y: 2 } : new Map(namedPoints(points)).get(other));
    }
  }
});

it("a known length tells how many pixels a centimetre has; without one nobody knows", () => {
  const ends = scaleTemplate(size);
  expect(pixelsPerCm(ends, "45")).toBeCloseTo(180 / 45, 9);
  expect(pixelsPerCm(ends, "22,5")).toBeCloseTo(8, 9);
  for (const none of ["", "0", "-3", "long"]) expect(pixelsPerCm(ends, none)).toBeNull();
  expect(pixelsPerCm({ scaleFrom: ends.scaleTo, scaleTo: ends.scaleTo }, "45")).toBeNull();
});
