import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { figureOf } from "~/catalogue/figures/all";
import { bodyLengths } from "~/core/pose/body-lengths";
import { minus, size } from "~/core/pose/space";
import { bandAtLength } from "./band-at-length";
import { bandMoment } from "./band-moment";
import { bandThrough } from "./band-through";
import { bandProblems, type Band } from "./band";

const band: Band = {
  id: "0198f000-0000-7000-8000-000000000001",
  name: "Red",
  form: "strip",
  where: "clinic",
  restCm: 100,
  points: [
    { stretchCm: 20, forceN: 10 },
    { stretchCm: 50, forceN: 20 },
    { stretchCm: 100, forceN: 40 },
  ],
};
const lengths = bodyLengths({ heightM: 1.75 });
const movement = (exerciseId: string, variantId: string) => {
  const exercise = startingExercises.find(({ id }) => id === exerciseId);
  const variant = exercise?.variants.find(({ id }) => id === variantId);
  const figure = exercise && variant && figureOf(exercise, { settings: variant.settings }, lengths);
  if (!figure) throw new Error(`no ${variantId}`);
  return bandThrough(lengths, figure);
};

describe("a band at a length", () => {
  it("pulls alike at the same share of stretch, however short it is held", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        fc.double({ min: 10, max: 300, noNaN: true }),
        (share, heldCm) => {
          const [whole, short] = [
            bandAtLength(band, 100, 100 * (1 + share)),
            bandAtLength(band, heldCm, heldCm * (1 + share)),
          ];
          if (!whole.ok || !short.ok) throw new Error("it was measured so far");
          expect(short.forceN).toBeCloseTo(whole.forceN, 6);
        },
      ),
      { seed: 4 },
    );
  });
  it("says slack, never measured so little, and never measured so far; nothing is guessed", () => {
    expect(bandAtLength(band, 50, 49)).toEqual({ ok: false, reason: "slack" });
    expect(bandAtLength(band, 50, 55)).toEqual({ ok: false, reason: "below-measured" });
    expect(bandAtLength(band, 50, 101)).toEqual({ ok: false, reason: "beyond-measured" });
    expect(bandAtLength(band, 50, 100)).toMatchObject({ ok: true, forceN: 40 });
  });
});

it("a list of bands: points that fall or stand still, one name twice, one id twice", () => {
  const falls = {
    ...band,
    id: "0198f000-0000-7000-8000-000000000002",
    name: " red ",
    points: [
      { stretchCm: 0, forceN: 10 },
      { stretchCm: 20, forceN: 9 },
      { stretchCm: 20, forceN: 12 },
    ],
  };
  expect(bandProblems([band], "/bands")).toEqual([]);
  expect(bandProblems([band, falls], "/bands").map(({ path }) => path)).toEqual([
    "/bands/1/points/1/forceN",
    "/bands/1/points/2/stretchCm",
    "/bands/1/name",
  ]);
  expect(bandProblems([band, { ...band, name: "Other" }], "/bands").map(({ path }) => path)).toEqual([
    "/bands/1/id",
  ]);
});

describe("bands of the catalogue's figures", () => {
  it("a variant that needs a band to pull shows one that can be told through its movement", () => {
    const drawn = startingExercises.flatMap((exercise) =>
      exercise.variants.flatMap(({ id, settings, dose }) => {
        const figure = dose.bandN === undefined ? null : figureOf(exercise, { settings }, lengths);
        return figure ? [{ id, moments: bandThrough(lengths, figure) }] : [];
      }),
    );
    expect(drawn.length).toBeGreaterThan(9);
    for (const { id, moments } of drawn) {
      expect(moments.length, id).toBeGreaterThan(0);
      for (const { band: at } of moments) {
        expect(at.lengthM, id).toBeGreaterThan(0.05);
        expect(size(at.towards), id).toBeCloseTo(1, 9);
      }
    }
  });

  it("a loop round both thighs is longer the farther the knees are apart, and pulls at the upper one downwards", () => {
    const moments = movement("clam", "clam-band");
    const [first, last] = [moments[0], moments.at(-1)];
    if (!first || !last) throw new Error("it has a loop");
    expect(last.band).toMatchObject({ form: "loop", pulls: { side: "w", below: "hip" } });
    expect(last.band.lengthM).toBeGreaterThan(first.band.lengthM + 0.05);
    expect(last.band.towards[1]).toBeLessThan(-0.5);
  });
  it("turns the joints by force times the arm to its line, worked out by the triangle it spans", () => {
    const moments = movement("terminal-extension", "terminal-extension-held");
    for (const { band: at, body } of moments) {
      const moment = bandMoment(body, at, 50);
      if (!moment || !at.pulls) throw new Error("it pulls at the knee");
      // Twice the triangle hip–hold–hold plus a unit along the band is the arm (Heron, from the three sides).
      const hip = body.legs[at.pulls.side].hip;
      const far = [at.at[0] + at.towards[0], at.at[1] + at.towards[1], at.at[2] + at.towards[2]] as const;
      const [a, b, c] = [size(minus(at.at, hip)), 1, size(minus(far, hip))];
      const s = (a + b + c) / 2;
      expect(moment.hipNm).toBeCloseTo(50 * 2 * Math.sqrt(s * (s - a) * (s - b) * (s - c)), 6);
      expect(moment.kneeNm).toBeNull();
    }
  });
});
