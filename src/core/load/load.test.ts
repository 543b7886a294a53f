import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { figureOf } from "~/catalogue/figures/all";
import { startingExercises } from "~/catalogue/exercises/all";
import { variantOf } from "~/core/exercise/exercise";
import { resolveFigure } from "~/core/figure/resolve-figure";
import { linkageModel } from "~/core/mechanics/linkage-model";
import { kneeMomentAt } from "~/core/mechanics/linkage-model";
import { splitStance } from "~/core/mechanics/split-stance";
import { squatLinkage } from "~/core/mechanics/squat-linkage";
import { winter } from "~/core/mechanics/segments";
import { bodyLengths } from "~/core/pose/body-lengths";
import { between } from "~/core/pose/space";
import { compareLoads } from "./compare-loads";
import { kneecapShare } from "./kneecap-share";
import { linkageFigure } from "./linkage-pose";
import { curveOf } from "./curve-of";
import { movementLoads, type LoadsAt } from "./movement-loads";
import { peakOf } from "./peak-of";

const massKg = 75;
const heightM = 1.75;
const lengths = bodyLengths({ heightM });
const g = 9.81;

function loadsOf(exerciseId: string, variantId: string, settings: object = {}, loadKg = 0) {
  const exercise = startingExercises.find(({ id }) => id === exerciseId);
  if (!exercise) throw new Error(`no exercise ${exerciseId}`);
  const variant = variantOf(exercise, variantId);
  const figure = figureOf(exercise, { settings: { ...variant.settings, ...settings } }, lengths);
  if (!figure) throw new Error("no figure");
  return { loads: movementLoads(lengths, figure, { massKg, loadKg }), figure };
}

function moments(...asked: Parameters<typeof loadsOf>): readonly LoadsAt[] {
  const { loads } = loadsOf(...asked);
  if (!loads.ok) throw new Error(loads.reason);
  return loads.moments;
}

describe("the drawn squat and the linkage are one model", () => {
  const held = fc.record({
    kneeFlexionDeg: fc.double({ min: 5, max: 100, noNaN: true }),
    shankInclinationDeg: fc.double({ min: 0, max: 35, noNaN: true }),
    stance: fc.constantFrom("double" as const, "single" as const),
    armsForward: fc.boolean(),
  });

  it("drawn as the linkage stands, the pressure and the moments read from the drawing are the linkage's own", () => {
    let compared = 0;
    fc.assert(
      fc.property(held, (asked) => {
        const body = { bodyMassKg: massKg, heightM, ...asked, freeLeg: "beside" as const };
        const sum = squatLinkage(body);
        if (!sum.feasible || Math.abs(sum.trunkLeanDeg) > 75) return;
        const figure = linkageFigure(lengths, {
          ...asked,
          trunkLeanDeg: sum.trunkLeanDeg,
          freeLeg: "beside",
          barKg: 0,
          dumbbellsKg: 0,
        });
        const drawn = movementLoads(lengths, figure, { massKg, loadKg: 0 });
        if (!drawn.ok) return;
        const leg = drawn.moments[0]?.legs.w;
        if (!leg) throw new Error("it stands");
        compared += 1;
        // The knee's moment follows from shank and pressure alone, so the drawn pressure gives the drawn moment exactly.
        const model = linkageModel({ ...body, pressurePoint: leg.pressurePoint });
        expect(leg.kneeMomentNm).toBeCloseTo(kneeMomentAt(model, asked.shankInclinationDeg), 6);
        // Head, arms and trunk are one lump there and seven parts here: the pressure differs by less than a fifth of the foot.
        expect(Math.abs(leg.pressurePoint - 0.5)).toBeLessThan(0.2);
        expect(leg.kneeFlexionDeg).toBeCloseTo(asked.kneeFlexionDeg, 6);
      }),
      { numRuns: 250 },
    );
    expect(compared).toBeGreaterThan(60);
  });

  it("a drawn split squat has the front leg of splitStance, given the share that it has", () => {
    const [first] = moments("split-squat", "split-squat-free").slice(-1);
    const { figure } = loadsOf("split-squat", "split-squat-free");
    const drawn = resolveFigure(lengths, figure, 1);
    if (!drawn.ok || !first?.legs.w || !first.legs.o) throw new Error("it stands on both");
    const { w } = drawn.body.legs;
    const W = massKg * (1 - 2 * winter.mass.foot);
    const { w: front, o: rear } = first.legs;
    expect(front.share + rear.share).toBeCloseTo(1, 9);
    // splitStance's sum, written out: share·W·(x knee − x pressure) − shank·(x knee − x shank), flexion positive.
    const shank = between(w.knee, w.ankle, winter.centre.shank);
    const byHand =
      g *
      (front.share * W * (w.knee[0] - front.pressureAt[0]) -
        winter.mass.shank * massKg * (w.knee[0] - shank[0]));
    expect(front.kneeMomentNm).toBeCloseTo(byHand * w.shank.side[2], 0);
    // The same order as the registered calculation: a longer stance with an upright shin spares the front knee.
    const long = splitStance({
      bodyMassKg: massKg,
      heightM,
      stanceLengthM: 0.9,
      kneeFlexionDeg: 70,
      shankInclinationDeg: 0,
      trunkLeanDeg: 5,
    });
    const short = splitStance({
      bodyMassKg: massKg,
      heightM,
      stanceLengthM: 0.6,
      kneeFlexionDeg: 70,
      shankInclinationDeg: 20,
      trunkLeanDeg: 5,
    });
    if (!long.feasible || !short.feasible) throw new Error("both can be held");
    expect(long.frontKneeMomentNm).toBeLessThan(short.frontKneeMomentNm);
  });
});

describe("statics of every drawn moment", () => {
  it("what the feet carry together is all there is, and turns nothing about the centre of mass", () => {
    for (const [exercise, variant, load] of [
      ["two-leg-squat", "squat-free", 0],
      ["two-leg-squat", "squat-bar", 40],
      ["split-squat", "split-squat-free", 0],
      ["single-leg-squat", "wall-ball-squat-free", 0],
      ["side-step-up", "side-step-up-loaded", 10],
    ] as const) {
      const known = startingExercises.find(({ variants }) => variants.some(({ id }) => id === variant));
      for (const { legs, above } of moments(known?.id ?? exercise, variant, {}, load)) {
        const feet = [legs.w, legs.o].flatMap((leg) => leg ?? []);
        expect(feet.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        const x = feet.reduce((sum, { share, pressureAt }) => sum + share * pressureAt[0], 0);
        expect(x, `${variant}: the pressure lies under the centre of mass`).toBeCloseTo(above.at[0], 2);
        const standing = feet.length;
        expect(above.kg).toBeCloseTo(massKg * (1 - standing * winter.mass.foot) + load, 9);
      }
    }
  });

  it("moments grow with mass in proportion", () => {
    const { figure } = loadsOf("two-leg-squat", "squat-free");
    const [one, two] = [60, 120].map((kg) => movementLoads(lengths, figure, { massKg: kg, loadKg: 0 }));
    if (!one?.ok || !two?.ok) throw new Error("both stand");
    expect(peakOf(two.moments, "w", "hip")?.value).toBeCloseTo(
      2 * (peakOf(one.moments, "w", "hip")?.value ?? 0),
      6,
    );
  });
});

describe("directions that the literature and the trade agree on", () => {
  const peak = (kind: "stress" | "hip", ...asked: Parameters<typeof loadsOf>) =>
    peakOf(moments(...asked), "w", kind)?.value ?? NaN;

  it("knees kept back: less under the kneecap, more at the hip, at the same bend (Fry 2003, direction)", () => {
    const compared = compareLoads(
      moments("two-leg-squat", "squat-free", { "knee-travel": "free" }),
      moments("two-leg-squat", "squat-free", { "knee-travel": "limited" }),
      "w",
    );
    const change = (kind: string) => compared?.changes.find((one) => one.kind === kind)?.percent ?? NaN;
    expect(compared?.bend.after).toBeCloseTo(compared?.bend.before ?? NaN, 6);
    expect(change("stress")).toBeLessThan(-20);
    expect(change("hip")).toBeGreaterThan(20);
  });

  it("one leg more than two, deeper more than shallow, loaded more than free", () => {
    const squat = (deg: number, load = 0) =>
      peak("stress", "two-leg-squat", "squat-bar", { "knee-angle": deg }, load);
    expect(squat(90)).toBeGreaterThan(squat(60));
    expect(squat(60, 40)).toBeGreaterThan(squat(60));
    expect(peak("stress", "touch-down", "touch-down-free")).toBeGreaterThan(squat(60));
  });
});

describe("what cannot be read", () => {
  it.each([
    ["wall-squat", "wall-squat-near", "leans-on-something"],
    ["drop-jump", undefined, "too-fast"],
    ["bridge", undefined, "not-standing"],
  ] as const)("%s", (id, variantId, reason) => {
    const exercise = startingExercises.find(
      (one) => one.id === id || one.variants.some((v) => v.id === variantId),
    );
    const fallback = startingExercises.find((one) => one.id.includes(id));
    const found = exercise ?? fallback;
    const { loads } = loadsOf(found?.id ?? "", variantId ?? found?.variants[0]?.id ?? "");
    expect(loads.ok ? "ok" : loads.reason).toBe(reason);
  });
});

describe("the kneecap's share of a session", () => {
  const dose = { style: "strength", policy: "double-progression", restSeconds: 60, daysPerWeek: 3 } as const;
  it("is the mean stress of a repetition for as long as one leg works", () => {
    const { loads } = loadsOf("two-leg-squat", "squat-free");
    const tempo = "2-0-2-0";
    const one = kneecapShare(loads, { ...dose, sets: 1, reps: { bottom: 10, top: 10 }, tempo });
    const three = kneecapShare(loads, { ...dose, sets: 3, reps: { bottom: 10, top: 10 }, tempo });
    const curve = loads.ok ? curveOf(loads.moments, "w", "stress") : [];
    const mean = curve.reduce((sum, { value }) => sum + (value ?? NaN), 0) / curve.length;
    expect(one.sessionMPaS).toBeCloseTo(mean * 40, 9);
    expect(three.sessionMPaS).toBeCloseTo(3 * (one.sessionMPaS ?? NaN), 9);
    expect(three.peakMPa).toBe(loads.ok ? peakOf(loads.moments, "w", "stress")?.value : null);
  });
  it("is unknown of what cannot be read", () => {
    expect(
      kneecapShare({ ok: false, reason: "too-fast" }, { ...dose, sets: 1, contacts: { bottom: 9, top: 9 } }),
    ).toEqual({
      peakMPa: null,
      sessionMPaS: null,
    });
  });
});
