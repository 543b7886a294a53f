import { describe, expect, it } from "vitest";
import { figureOf } from "~/catalogue/figures/all";
import { startingExercises } from "~/catalogue/exercises/all";
import { bodyLengths } from "~/core/pose/body-lengths";
import { firstPrescription } from "~/core/exercise/exercise";
import { camera } from "./camera";
import { drawFigure, figureExtent } from "./draw-figure";
import { drawPainArc, type DrawnPainArc } from "./draw-pain-arc";
import { resolveFigure } from "./resolve-figure";
import { capsule, circlePath, hull } from "./outline";
import { placeInTime } from "./place-in-time";

const body = bodyLengths({ heightM: 1.75 });
const look = { left: false, marked: "leg" } as const;
const figureFor = (variantId: string) => {
  for (const exercise of startingExercises) {
    const variant = exercise.variants.find(({ id }) => id === variantId);
    const figure = variant && figureOf(exercise, firstPrescription(variant), body);
    if (figure) return figure;
  }
  throw new Error(variantId);
};

describe("tempo", () => {
  const there = { kind: "there-and-back", lowers: "there" } as const;
  const back = { kind: "there-and-back", lowers: "back" } as const;
  // 3-1-1-0: three seconds down, one held below, one up.
  it.each([
    [0, 0],
    [1.5, 0.5],
    [3, 1],
    [3.9, 1],
    [4.5, 0.5],
    [5, 0],
    [8, 1],
  ])("a squat at 3-1-1-0 after %s s stands at %s", (seconds, place) => {
    expect(placeInTime(there, 2, { tempo: "3-1-1-0" }, seconds)).toBeCloseTo(place, 9);
  });
  it.each([
    [0.5, 0.5],
    [1, 1],
    [2.5, 0.5],
  ])("a bridge at 3-0-1-0 rises first: after %s s it stands at %s", (seconds, place) => {
    expect(placeInTime(back, 2, { tempo: "3-0-1-0" }, seconds)).toBeCloseTo(place, 9);
  });
  it("holds at the hard end as long as the dose says", () => {
    const dose = { tempo: "1-0-1-0", hold: { bottom: 3, top: 5 } };
    expect(placeInTime(back, 2, dose, 3.9)).toBe(1);
    expect(placeInTime(back, 2, dose, 4.5)).toBeCloseTo(0.5, 9);
  });
  it("a sequence goes on past its last key and begins anew; a hold stays", () => {
    const walk = { kind: "sequence", seconds: [1, 1] } as const;
    expect(placeInTime(walk, 2, {}, 1.5)).toBeCloseTo(1.5, 9);
    expect(placeInTime(walk, 2, {}, 2)).toBeCloseTo(0, 9);
    expect(placeInTime({ kind: "hold" }, 1, {}, 9)).toBe(0);
  });
});

describe("camera", () => {
  it("from the side shows forward to the right, from the front the working side to the left", () => {
    expect(camera(0, false).flat([1, 0, 0])[0]).toBeCloseTo(100, 6);
    expect(camera(90, false).flat([0, 0, 1])[0]).toBeCloseTo(-100, 6);
  });
  it("mirrored, a left working side is seen from the left and lies right when it faces you", () => {
    expect(camera(0, true).flat([1, 0, 0])[0]).toBeCloseTo(-100, 6);
    expect(camera(90, true).flat([0, 0, 1])[0]).toBeCloseTo(100, 6);
  });
  it("up is up", () => expect(camera(30, false).flat([0, 2, 0])[1]).toBe(-200));
});

describe("outlines", () => {
  const circle = { at: [0, 0], r: 10 } as const;
  it("a capsule of circles within each other is the larger circle", () => {
    expect(capsule(circle, { at: [1, 0], r: 2 })).toBe(circlePath(circle));
  });
  it("a hull leaves inner points out", () => {
    expect(
      hull([
        [0, 0],
        [10, 0],
        [10, 10],
        [0, 10],
        [5, 5],
      ]).split("L"),
    ).toHaveLength(4);
  });
});

describe("a drawing", () => {
  it("marks the involved limb with bands, the arm for the arm, and nothing where nothing is involved", () => {
    const figure = figureFor("squat-free");
    const bands = (marked: "leg" | "arm" | "none") => {
      const drawn = drawFigure(body, figure, 0, { left: false, marked });
      return drawn.ok
        ? drawn.shapes.filter((shape) => shape.look === "involved").map(({ key }) => key)
        : null;
    };
    expect(bands("leg")).toEqual(expect.arrayContaining(["w.thigh.bands", "w.shank.bands"]));
    expect(bands("arm")).toEqual(expect.arrayContaining(["w.upperArm.bands", "w.forearm.bands"]));
    expect(bands("none")).toEqual([]);
  });
  it("of a left side is the mirror of the right", () => {
    const figure = figureFor("split-squat-free");
    const right = figureExtent(body, figure, look);
    const left = figureExtent(body, figure, { ...look, left: true });
    if (!right.ok || !left.ok) throw new Error("not drawn");
    expect(left.extent.left).toBeCloseTo(-right.extent.right, 6);
    expect(left.extent.top).toBeCloseTo(right.extent.top, 6);
  });
  it("has closed eyes where vision is closed", () => {
    const lids = (variantId: string) => {
      const drawn = drawFigure(body, figureFor(variantId), 0, look);
      return drawn.ok && drawn.shapes.some((shape) => shape.look === "lid");
    };
    expect(lids("stance-eyes-open")).toBe(false);
    expect(lids("stance-eyes-closed")).toBe(true);
  });
  it("points down only where only lowering is work", () => {
    const arrow = (variantId: string) => figureFor(variantId).props.find((prop) => prop.kind === "arrow");
    expect(arrow("chair-lowering")).toMatchObject({ heads: "end" });
    expect(arrow("chair-stand-held")).toMatchObject({ heads: "both" });
  });
  it("stays within its extent all the way", () => {
    for (const variantId of ["squat-free", "bridge-one-leg", "drop-jump-both", "running-straight"]) {
      const figure = figureFor(variantId);
      const measured = figureExtent(body, figure, look);
      if (!measured.ok) throw new Error(measured.why);
      for (let place = 0; place < figure.keys.length - 1; place += 0.1) {
        const drawn = drawFigure(body, figure, place, look);
        if (!drawn.ok) throw new Error(drawn.why);
        expect(drawn.extent.left).toBeGreaterThan(measured.extent.left - 2);
        expect(drawn.extent.top).toBeGreaterThan(measured.extent.top - 2);
        expect(drawn.extent.right).toBeLessThan(measured.extent.right + 2);
      }
    }
  });
});

describe("where a knee hurts", () => {
  const deep = resolveFigure(body, figureFor("squat-free"), 1);
  if (!deep.ok) throw new Error(deep.why);
  const seen = camera(0, false);
  const rim = (fromDeg: number, toDeg: number | null, joint: "knee" | "hip" = "knee") =>
    drawPainArc({ joint, fromDeg, toDeg }, deep.body, body, seen)
      .d.slice(1, -1)
      .split("L")
      .map((point) => point.split(" ").map(Number) as [number, number]);
  const direction = ([x, y]: [number, number], [kneeX, kneeY]: [number, number]) =>
    (Math.atan2(y - kneeY, x - kneeX) * 180) / Math.PI;

  it("is drawn along the shank where the shank stands at that bend, to a degree", () => {
    const { knee, ankle } = deep.body.legs.w;
    const bend = Math.round(deep.body.angles.w.knee);
    const [corner, first] = rim(bend, bend + 20);
    if (!corner || !first) throw new Error("a sector has a corner and a rim");
    const shank = direction(flat(ankle), flat(knee));
    expect(Math.abs(direction(first, corner) - shank)).toBeLessThan(1);
  });
  it("of a hip is drawn along the thigh where the thigh stands at that bend, to a degree", () => {
    const { hip, knee } = deep.body.legs.w;
    const [corner, first] = rim(Math.round(deep.body.angles.w.hip), 140, "hip");
    if (!corner || !first) throw new Error("a sector has a corner and a rim");
    expect(Math.abs(direction(first, corner) - direction(flat(knee), flat(hip)))).toBeLessThan(1);
  });
  it("reaches as far as it hurts; twenty degrees on where nobody said it ends", () => {
    const spread = (points: [number, number][]) => {
      const [corner, ...edge] = points;
      const [first, last] = [edge[0], edge.at(-1)];
      if (!corner || !first || !last) throw new Error("a sector has a corner and a rim");
      return Math.abs(direction(first, corner) - direction(last, corner));
    };
    expect(spread(rim(40, 70))).toBeCloseTo(30, 0);
    expect(spread(rim(40, null))).toBeCloseTo(20, 0);
  });
  function flat(at: readonly [number, number, number]): [number, number] {
    const [x, y] = seen.flat(at);
    return [x, y];
  }
  it("takes part in a figure only where it was said", () => {
    const keys = (painArc?: DrawnPainArc) => {
      const drawn = drawFigure(body, figureFor("squat-free"), 0, {
        ...look,
        ...(painArc ? { painArc } : {}),
      });
      return drawn.ok ? drawn.shapes.map(({ key }) => key) : [];
    };
    expect(keys()).not.toContain("pain-arc");
    expect(keys({ joint: "knee", fromDeg: 60, toDeg: null })).toContain("pain-arc");
  });
});
