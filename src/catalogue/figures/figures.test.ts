import { describe, expect, it } from "vitest";
import { drawFigure, figureExtent } from "~/core/figure/draw-figure";
import { resolveFigure } from "~/core/figure/resolve-figure";
import { bodyLengths } from "~/core/pose/body-lengths";
import { apart } from "~/core/pose/resolve-pose";
import { cross, dot } from "~/core/pose/space";
import { findKnob } from "~/core/exercise/knob";
import type { KnobValue } from "~/core/exercise/prescription";
import { startingExercises } from "../exercises/all";
import { figureOf, recipes } from "./all";

const variants = startingExercises.flatMap((exercise) =>
  exercise.variants.map((variant) => ({ exercise, variant })),
);
const heights = [1.4, 1.75, 2.1];
const metre = 0.001;
const look = { left: false, marked: "leg" } as const;

/** Places along a figure at which its body is looked at: every key and quarters between; a sequence goes back to its first. */
function places(keys: number, sequence: boolean): number[] {
  const last = sequence ? keys : keys - 1;
  return Array.from({ length: last * 4 + 1 }, (_, n) => n / 4);
}

it("every starting exercise has a figure, and every figure an exercise", () => {
  expect(Object.keys(recipes).sort()).toEqual(startingExercises.map(({ id }) => id).sort());
});

describe.each(heights)("bodies of %s m", (heightM) => {
  const body = bodyLengths({ heightM });

  it.each(variants.map(({ exercise, variant }) => [variant.id, exercise, variant] as const))(
    "%s can be drawn, with its lengths kept, nothing under the floor and joints that bend as joints do",
    (_id, exercise, variant) => {
      const figure = figureOf(exercise, variant, body);
      if (!figure) throw new Error("no figure");
      const wrong: string[] = [];
      for (const place of places(figure.keys.length, figure.timing.kind === "sequence")) {
        const resolved = resolveFigure(body, figure, place);
        expect(resolved.ok ? "" : `${place}: ${resolved.why}`).toBe("");
        if (!resolved.ok) return;
        const { body: placed } = resolved;
        for (const side of ["w", "o"] as const) {
          const links = [
            ["hip", "knee", body.thigh],
            ["knee", "ankle", body.shank],
            ["shoulder", "elbow", body.upperArm],
            ["elbow", "wrist", body.forearm],
          ] as const;
          for (const [from, to, length] of links)
            if (!(Math.abs(apart(placed, `${side}.${from}`, `${side}.${to}`) - length) < metre))
              wrong.push(`${place}: ${side}.${from} to ${side}.${to} is not ${length} m`);
          // The shin bends backward against the thigh's own front, never forward by more than a straight knee gives.
          const { thigh, shank } = placed.legs[side];
          if (!(dot(cross(shank.up, thigh.up), thigh.side) > -0.17))
            wrong.push(`${place}: the ${side} knee bends forward`);
        }
        for (const [name, at] of Object.entries(placed.points))
          if (!(at[1] > -metre)) wrong.push(`${place}: ${name} is under the floor`);
      }
      expect(wrong).toEqual([]);
    },
  );
});

describe("balance", () => {
  const body = bodyLengths({ heightM: 1.75 });
  it.each(
    variants.flatMap(({ exercise, variant }) => {
      const figure = figureOf(exercise, variant, body);
      return figure?.keys.some((key) => key.balance) ? [[variant.id, figure] as const] : [];
    }),
  )("%s stands with its centre of mass over its feet", (_id, figure) => {
    figure.keys.forEach((key, place) => {
      if (!key.balance) return;
      const resolved = resolveFigure(body, figure, place);
      if (!resolved.ok) throw new Error(resolved.why);
      const { centre, legs } = resolved.body;
      const standing = key.balance.over === "both" ? [legs.w, legs.o] : [legs[key.balance.over]];
      if (key.balance.forward) {
        expect(centre[0]).toBeGreaterThan(Math.min(...standing.map(({ heel }) => heel[0])));
        expect(centre[0]).toBeLessThan(Math.max(...standing.map(({ toe }) => toe[0])));
      }
      if (key.balance.sideways) {
        const half = 0.028 * body.height;
        expect(centre[2]).toBeGreaterThan(Math.min(...standing.map(({ ankle }) => ankle[2])) - half);
        expect(centre[2]).toBeLessThan(Math.max(...standing.map(({ ankle }) => ankle[2])) + half);
      }
    });
  });
});

describe("knobs", () => {
  const body = bodyLengths({ heightM: 1.75 });
  const inDose = (name: string) => {
    const knob = findKnob(name);
    if (!knob) throw new Error(name);
    const probe = { variantId: "x", settings: {}, dose: startingExercises[0]?.variants[0]?.dose as never };
    return knob.read({ ...probe, settings: { [name]: "probe" } }) !== "probe";
  };

  const valuesOf = (exercise: (typeof startingExercises)[number], name: string) =>
    new Set<KnobValue>(
      exercise.variants.flatMap((other) => [
        ...(other.settings[name] === undefined ? [] : [other.settings[name]]),
        ...other.turns.flatMap((turn) => ("ladder" in turn && turn.knob === name ? turn.ladder : [])),
      ]),
    );

  /** Everything computed that somebody could see: points of every key, what stands around, timing. */
  function seen(exercise: (typeof startingExercises)[number], settings: Record<string, KnobValue>): string {
    const figure = figureOf(exercise, { settings }, body);
    if (!figure) throw new Error("no figure");
    const points = figure.keys.map((_key, place) => {
      const resolved = resolveFigure(body, figure, place);
      if (!resolved.ok) throw new Error(`${JSON.stringify(settings)}: ${resolved.why}`);
      return Object.values(resolved.body.points).map((at) => at.map((value) => value.toFixed(4)));
    });
    return JSON.stringify([points, figure.props, figure.viewDeg]);
  }

  it.each(variants.map(({ exercise, variant }) => [variant.id, exercise, variant] as const))(
    "%s: every value of every knob that is not the dose's changes a point, a contact or a prop",
    (_id, exercise, variant) => {
      for (const name of Object.keys(variant.settings)) {
        if (inDose(name)) continue;
        const values = valuesOf(exercise, name);
        const drawn = new Map<string, KnobValue>();
        for (const value of values) {
          const key = seen(exercise, { ...variant.settings, [name]: value });
          expect(drawn.has(key) ? `${name} ${value} looks like ${drawn.get(key)}` : "").toBe("");
          drawn.set(key, value);
        }
      }
    },
  );

  it.each([1.6, 1.95])("every value can be drawn for bodies of %s m, on the way too", (heightM) => {
    const other = bodyLengths({ heightM });
    const refused: string[] = [];
    const seenBefore = new Set<string>();
    for (const { exercise, variant } of variants) {
      for (const name of Object.keys(variant.settings)) {
        for (const value of valuesOf(exercise, name)) {
          const settings = { ...variant.settings, [name]: value };
          const asked = exercise.id + JSON.stringify(settings);
          if (seenBefore.has(asked)) continue;
          seenBefore.add(asked);
          const figure = figureOf(exercise, { settings }, other);
          if (!figure) throw new Error("no figure");
          const last = figure.keys.length - (figure.timing.kind === "sequence" ? 0.5 : 1);
          for (let place = 0; place <= last; place += 0.5) {
            const resolved = resolveFigure(other, figure, place);
            if (!resolved.ok) refused.push(`${variant.id} ${name} ${value} @${place}: ${resolved.why}`);
          }
        }
      }
    }
    expect(refused).toEqual([]);
  });
});

it("a body that cannot take a position is refused in words, not drawn", () => {
  const squat = startingExercises.find(({ id }) => id === "single-leg-squat");
  if (!squat?.variants[0]) throw new Error("no squat");
  const body = bodyLengths({ heightM: 2.1 });
  const figure = figureOf(squat, { settings: { ...squat.variants[0].settings, "box-height": 10 } }, body);
  if (!figure) throw new Error("no figure");
  const drawn = drawFigure(body, figure, 1, look);
  expect(drawn.ok).toBe(false);
  const extent = figureExtent(body, figure, look);
  expect(extent).toMatchObject({ ok: false });
  if (!extent.ok) expect(extent.why).toMatch(/^[a-z].*[a-z]$/);
});

it("a box of 40 cm is drawn 40 cm high for everybody", () => {
  const squat = startingExercises.find(({ id }) => id === "single-leg-squat");
  if (!squat) throw new Error("no squat");
  for (const heightM of heights) {
    const body = bodyLengths({ heightM });
    const figure = figureOf(squat, { settings: { ...squat.variants[3]?.settings, "box-height": 40 } }, body);
    if (!figure) throw new Error("no figure");
    const drawn = drawFigure(body, figure, 0, look);
    const box = drawn.ok ? drawn.shapes.find(({ key }) => key.startsWith("block0")) : null;
    expect(box?.extent.bottom).toBeCloseTo(0, 6);
    expect(box?.extent.top).toBeCloseTo(-40, 6);
  }
});

describe("a second task", () => {
  const words = (id: string, variantId: string) => {
    const exercise = startingExercises.find((entry) => entry.id === id);
    const variant = exercise?.variants.find((entry) => entry.id === variantId);
    if (!exercise || !variant) throw new Error(`${id} has no ${variantId}`);
    const body = bodyLengths({ heightM: 1.7 });
    const figure = figureOf(exercise, variant, body);
    const drawn = figure && drawFigure(body, figure, 0, { left: false, marked: "leg" });
    if (!drawn?.ok) throw new Error("is not drawn");
    return drawn.shapes.flatMap((shape) => shape.words?.text ?? []);
  };

  it("is said as what it is: counting, a signal, or nothing where the body itself shows it", () => {
    expect(words("single-leg-stance", "stance-task")).toEqual(["7, 6, 5"]);
    expect(words("strides", "strides-signal")).toEqual(["Go"]);
    expect(words("cutting-drills", "pivot-runs-signal")).toEqual(["Go"]);
    expect(words("line-walk", "line-walk-task")).toEqual([]);
    expect(words("plank-leg-lift", "plank-leg-lift-reach")).toEqual([]);
    expect(words("pelvic-tilt", "pelvic-tilt-arms")).toEqual([]);
  });
});
