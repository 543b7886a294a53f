import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bookFor } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import { startingPathways } from "~/catalogue/pathways/all";
import type { DrawnDemandOrWhy } from "~/core/demand/drawn-demand";
import { firstPrescription, variantOf, type Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { brokenBy } from "~/core/limit/broken-by";
import { obstacle } from "~/core/limit/obstacle";
import { predicatesOf } from "~/core/limit/predicates-of";
import type { Restriction } from "~/core/limit/restriction";
import { alternatives } from "~/core/progression/alternatives";
import { easier } from "~/core/progression/easier";
import { harder } from "~/core/progression/harder";
import { someIntake } from "~tests/builders/intake";
import { placed } from "~tests/builders/placed";

const today = "2026-03-10";
const kept = new Map<string, DrawnDemandOrWhy>();
const books = [1.5, 1.75, 1.95].map((heightM) => bookFor({ heightM }, kept));
const by = { origin: "surgeon", says: "as written" } as const;

/** Limits as surgeons, procedures and people set them, of every kind that a drawing answers. */
const limits: readonly Restriction[] = [
  ...[30, 60, 90].flatMap((mostDeg): Restriction[] => [
    { kind: "range", joint: "knee", mostDeg, when: "any", leg: "involved", ...by },
    { kind: "range", joint: "knee", mostDeg, when: "loaded", leg: "involved", ...by },
    { kind: "range", joint: "hip", mostDeg, when: "any", leg: "involved", ...by },
    { kind: "range-limit", joint: "knee", mostDeg, ...by },
  ]),
  { kind: "range", joint: "knee", leastDeg: 45, mostDeg: 90, when: "any", leg: "involved", ...by },
  { kind: "range", joint: "hip", leastDeg: 0, when: "any", leg: "involved", ...by },
  { kind: "range", joint: "hip-rotation", mostDeg: 20, when: "any", leg: "involved", ...by },
  ...[0, 0.2, 0.5, 1].map((mostShare): Restriction => ({ kind: "weight", mostShare, ...by })),
  { kind: "bearing", most: "none", ...by },
  { kind: "bearing", most: "two-legs", ...by },
  { kind: "legs", most: "both", ...by },
  { kind: "spring", most: "none", ...by },
  { kind: "spring", most: "two-leg-landing", ...by },
  { kind: "resisted", muscle: "hamstrings", most: "none", ...by },
  { kind: "resisted", muscle: "quadriceps", most: "own-weight", ...by },
  { kind: "lengthened", muscle: "hamstrings", ...by },
  { kind: "stretched", muscle: "hip-flexors", ...by },
  { kind: "straight-leg-raise", ...by },
  { kind: "kneeling", ...by },
  { kind: "floor", ...by },
  { kind: "balance", most: "hands", ...by },
  { kind: "forbid", codes: ["kneeling", "impact"], ...by },
  { kind: "knob-limit", knob: "arc", hardest: "45-90", ...by },
];

const anySetting = fc.constantFrom(...startingExercises).chain((exercise) =>
  fc.constantFrom(...exercise.variants).chain((variant) =>
    fc
      .tuple(
        ...variant.turns.map((turn) =>
          "ladder" in turn && turn.knob in variant.settings
            ? fc.constantFrom(...turn.ladder.map((value) => [turn.knob, value] as const))
            : fc.constant(null),
        ),
      )
      .map((turned) => {
        const first = firstPrescription(variant);
        const settings = { ...first.settings, ...Object.fromEntries(turned.filter((t) => t !== null)) };
        return { exercise, prescription: { ...first, settings } };
      }),
  ),
);
const some = fc.subarray([...limits], { minLength: 1, maxLength: 4 });
const book = fc.constantFrom(...books);

/** Whether a setting keeps every limit, asked without the function that guards the roads. */
function keeps(
  exercise: Exercise,
  prescription: Prescription,
  under: readonly Restriction[],
  told: (typeof books)[number],
): boolean {
  const asked = told.demandOf(exercise, prescription);
  const all = under.flatMap(predicatesOf);
  if (!asked.ok)
    return all.every(({ kind }) => !["range", "weight", "legs", "straight-leg-raise"].includes(kind));
  // Where only one leg works, the affected one works, or is the other one.
  const involved = { affected: "working", other: "other", each: "both" } as const;
  const leg = involved[prescription.leg ?? "each"];
  return all.every((ask) => brokenBy(ask, { demand: asked.demand, involved: leg, kit: [] }) === null);
}

describe("whatever comes out breaks no limit in force", () => {
  it("harder and easier, from any setting, at any height, under any limits", () => {
    let offered = 0;
    fc.assert(
      fc.property(anySetting, some, book, ({ exercise, prescription }, under, told) => {
        for (const turn of [harder, easier]) {
          const found = turn(exercise, prescription, { restrictions: under, today, book: told });
          if (found.found !== "change") continue;
          offered += 1;
          expect(keeps(exercise, found.change.prescription, under, told)).toBe(true);
        }
      }),
      { numRuns: 1500, seed: 13 },
    );
    expect(offered).toBeGreaterThan(300);
  });

  it("alternatives that are not called blocked", () => {
    fc.assert(
      fc.property(anySetting, some, book, ({ exercise, prescription }, under, told) => {
        const all = alternatives(exercise, prescription, { restrictions: under, today, book: told });
        for (const { blockedBy, prescription: next } of all)
          if (blockedBy === null) expect(keeps(exercise, next, under, told)).toBe(true);
      }),
      { numRuns: 400, seed: 14 },
    );
  });

  it.each(startingPathways.map(({ code }) => code))("placing: %s, under each limit by itself", (code) => {
    const [, told] = books;
    if (!told) throw new Error("no book");
    for (const limit of limits) {
      const { lanes } = placed(someIntake(code, { limits: [limit] }), { book: told });
      for (const { chosen, alternatives: others } of lanes)
        for (const item of [...(chosen ? [chosen] : []), ...others]) {
          const exercise = startingExercises.find(({ id }) => id === item.exerciseId);
          if (!exercise) throw new Error(item.exerciseId);
          expect(keeps(exercise, item.prescription, [limit], told), `${item.variantId} ${limit.kind}`).toBe(
            true,
          );
        }
    }
  });
});

describe("laws of limits", () => {
  it("adding a limit never makes more allowed; the strictest of several wins", () => {
    fc.assert(
      fc.property(
        anySetting,
        some,
        fc.constantFrom(...limits),
        book,
        ({ exercise, prescription }, under, more, told) => {
          const variant = variantOf(exercise, prescription.variantId);
          const free = (list: readonly Restriction[]) =>
            obstacle(prescription, variant, exercise, list, today, told) === null;
          if (!free(under)) expect(free([...under, more])).toBe(false);
          expect(free([...under, more])).toBe(free(under) && free([more]));
        },
      ),
      { numRuns: 800, seed: 15 },
    );
  });

  it("what cannot be drawn for somebody is not let pass by a limit that a drawing must answer, and is free without one", () => {
    const exercise = startingExercises.find(({ id }) => id === "three-way-reach");
    const variant = exercise?.variants.find(({ id }) => id === "reach-across");
    if (!exercise || !variant) throw new Error("no reach");
    const told = bookFor({ heightM: 1.45 });
    const far = { ...firstPrescription(variant), settings: { ...variant.settings, reach: 70 } };
    expect(told.demandOf(exercise, far)).toMatchObject({ ok: false });
    const limit: Restriction = {
      kind: "range",
      joint: "knee",
      mostDeg: 150,
      when: "any",
      leg: "involved",
      ...by,
    };
    expect(obstacle(far, variant, exercise, [limit], today, told)).toBe(limit);
    expect(obstacle(far, variant, exercise, [], today, told)).toBeNull();
    // That it is no jump, and stands on one foot, needs no drawing to know.
    const of = (ask: object) =>
      obstacle(far, variant, exercise, [{ ...ask, ...by } as Restriction], today, told);
    expect(of({ kind: "forbid", codes: ["impact", "kneeling"] })).toBeNull();
    expect(of({ kind: "balance", most: "hands" })).not.toBeNull();
  });

  it("the surgeon's is named first, then the procedure's", () => {
    const [exercise] = startingExercises.filter(({ id }) => id === "rebounds");
    const [variant] = exercise?.variants ?? [];
    if (!exercise || !variant) throw new Error("no rebounds");
    const of = (origin: Restriction["origin"]): Restriction => ({
      kind: "spring",
      most: "none",
      origin,
      says: origin,
    });
    const named = (...origins: Restriction["origin"][]) =>
      obstacle(firstPrescription(variant), variant, exercise, origins.map(of), today, books[0] as never)
        ?.says;
    expect(named("stage", "procedure", "surgeon")).toBe("surgeon");
    expect(named("person", "procedure")).toBe("procedure");
  });
});
