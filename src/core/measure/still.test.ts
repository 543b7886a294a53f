import { describe, expect, it } from "vitest";
import { startingMeasures } from "~/catalogue/measures/all";
import { landmarkProblems } from "./landmark-angles";
import { anglesOfStill, stillMeasures, type Still } from "./still";
import { stillTemplate } from "./still-template";

const size = { width: 300, height: 600 };

it("every measure that is taken from a still is one, in degrees", () => {
  for (const code of stillMeasures.keys())
    expect(startingMeasures.find((measure) => measure.code === code)?.unit).toBe("deg");
});

describe("angles of a still", () => {
  const points: Still["points"] = {
    view: "front",
    stance: "left",
    facing: "towards",
    hip: { x: 200, y: 300 },
    knee: { x: 180, y: 420 },
    ankle: { x: 200, y: 540 },
    otherHip: { x: 120, y: 310 },
    shoulders: [
      { x: 220, y: 130 },
      { x: 110, y: 130 },
    ],
  };

  it("placed once have no spread; the knee inward, the other hip lower, the trunk over the standing side", () => {
    const read = anglesOfStill({ points, ...size });
    expect(read.map(({ measure }) => measure)).toEqual(["frontal-angle", "pelvic-drop", "trunk-lean"]);
    // Twice the angle whose tangent is 20 over 120.
    expect(read[0]?.value).toBeCloseTo((2 * Math.atan(20 / 120) * 180) / Math.PI, 9);
    expect(read.every(({ spread }) => spread === null)).toBe(true);
    expect(read.every(({ value }) => value > 0)).toBe(true);
  });

  it("placed twice are the middle of both, with half of what lies between", () => {
    const again = { ...points, knee: { x: 176, y: 420 } };
    const [one, two, both] = [{ points }, { points: again }, { points, again }].map(
      (still) => anglesOfStill({ ...still, ...size })[0],
    );
    expect(both?.value).toBeCloseTo(((one?.value ?? 0) + (two?.value ?? 0)) / 2, 9);
    expect(both?.spread).toBeCloseTo(((two?.value ?? 0) - (one?.value ?? 0)) / 2, 9);
  });

  it("from the side without a scale say nothing of centimetres", () => {
    const points = stillTemplate({ view: "side", facing: "right" }, size);
    expect(anglesOfStill({ points, ...size }).map(({ name }) => name)).toEqual([
      "kneeFlexionDeg",
      "hipFlexionDeg",
      "trunkLeanDeg",
    ]);
    expect(anglesOfStill({ points: { ...points, pixelsPerCm: 3 }, ...size })).toHaveLength(4);
  });
});

it("points begin on somebody in the middle, whichever way that person stands, and can be read as they are", () => {
  const looks = [
    ...(["left", "right"] as const).flatMap((stance) =>
      (["towards", "away"] as const).map((facing) => ({ view: "front", stance, facing }) as const),
    ),
    ...(["left", "right"] as const).map((facing) => ({ view: "side", facing }) as const),
  ];
  for (const look of looks) {
    const points = stillTemplate(look, size);
    expect(landmarkProblems(points)).toEqual([]);
    const bent = anglesOfStill({ points, ...size });
    if (look.view === "side") expect(bent[0]?.value).toBeGreaterThan(0);
    else expect(Math.abs(bent[0]?.value ?? NaN)).toBeLessThan(10);
  }
});
