import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { listNeeds, type NeedCode } from "~/catalogue/composer/needs";
import { bookFor } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import type { Dose } from "~/core/dose/dose";
import { firstPrescription, type Exercise } from "~/core/exercise/exercise";
import { turnedKnobs } from "~/core/exercise/knob";
import { Prescription } from "~/core/exercise/prescription";
import { sidesOf } from "~/core/exercise/sides-of";
import { composeList } from "~/core/intake/compose-list";
import { obstacle } from "~/core/limit/obstacle";
import type { Restriction } from "~/core/limit/restriction";
import { harder } from "~/core/progression/harder";
import { prescriptionProblems } from "~/core/progression/prescription-problems";
import { variantOf } from "~/core/exercise/exercise";
import { check } from "~/core/schema/check";
import { placedBody } from "~tests/builders/placed";

const today = "2026-03-10";
const book = bookFor({ heightM: 1.75 }, new Map());
const by = { origin: "surgeon", says: "as written" } as const;
const limits: readonly Restriction[] = [
  { kind: "range", joint: "knee", mostDeg: 60, when: "any", leg: "involved", ...by },
  { kind: "range", joint: "knee", mostDeg: 90, when: "loaded", leg: "involved", ...by },
  { kind: "weight", mostShare: 0.5, ...by },
  { kind: "spring", most: "none", ...by },
  { kind: "legs", most: "both", ...by },
];

const whole = (min: number, max: number) => fc.integer({ min, max });
/** What a clinician types over the usual dose: any of it, in steps no ladder knows. */
const typed: fc.Arbitrary<Partial<Dose>> = fc.record(
  {
    sets: whole(1, 6),
    reps: whole(3, 25).map((bottom) => ({ bottom, top: bottom + (bottom % 4) })),
    restSeconds: whole(0, 180),
    daysPerWeek: whole(1, 7),
    loadKg: whole(1, 60).map((half) => half / 2),
    tempo: fc.constantFrom("3-1-1-0", "2-0-2-1", "4-2-1-0", "1-0-1-0"),
    halfwayPauseSeconds: whole(1, 3),
    boutsPerDay: whole(1, 3),
  },
  { requiredKeys: [] },
);

/** Any variant, any of its angles and heights a few more or fewer, any dose that makes sense for it. */
const freely = fc.constantFrom(...startingExercises).chain((exercise) =>
  fc.constantFrom(...exercise.variants).chain((variant) =>
    fc.tuple(typed, whole(-4, 4)).map(([dose, by]): { exercise: Exercise; prescription: Prescription } => {
      const first = firstPrescription(variant);
      const settings = Object.fromEntries(
        Object.entries(first.settings).map(([name, value]) => [
          name,
          typeof value === "number" && value > 8 ? value + by : value,
        ]),
      );
      const { reps, loadKg, tempo, halfwayPauseSeconds, ...rest } = dose;
      const counts = first.dose.reps !== undefined && first.dose.style !== "heavy-slow";
      return {
        exercise,
        prescription: {
          ...first,
          settings,
          dose: {
            ...first.dose,
            ...rest,
            ...(counts && reps ? { reps } : {}),
            ...(first.dose.loadKg !== undefined && loadKg !== undefined ? { loadKg } : {}),
            ...(counts && tempo ? { tempo } : {}),
            ...(counts && tempo && halfwayPauseSeconds ? { halfwayPauseSeconds } : {}),
          },
        },
      };
    }),
  ),
);

describe("from any dose of the clinician's own", () => {
  it("what makes sense is written and read again the same", () => {
    let sound = 0;
    fc.assert(
      fc.property(freely, ({ exercise, prescription }) => {
        if (prescriptionProblems(exercise, prescription, false).length > 0) return;
        sound += 1;
        const read: unknown = JSON.parse(JSON.stringify(prescription));
        expect(check(Prescription, read)).toEqual({ ok: true, value: prescription });
      }),
      { numRuns: 1000, seed: 21 },
    );
    expect(sound).toBeGreaterThan(500);
  });

  it("the next step is one knob (a calendar takes its load along), and inside every limit", () => {
    let stepped = 0;
    fc.assert(
      fc.property(freely, fc.subarray([...limits]), ({ exercise, prescription }, restrictions) => {
        const found = harder(exercise, prescription, { restrictions, today, book });
        if (found.found !== "change") return;
        stepped += 1;
        const { change } = found;
        const target = variantOf(exercise, change.prescription.variantId);
        expect(obstacle(change.prescription, target, exercise, restrictions, today, book)).toBeNull();
        if (change.kind !== "knob") return;
        const also = turnedKnobs(prescription, change.prescription).filter((name) => name !== change.knob);
        expect(also).toEqual(change.knob === "repetition-maximum" && also.length > 0 ? ["load"] : []);
      }),
      { numRuns: 1500, seed: 22 },
    );
    expect(stepped).toBeGreaterThan(400);
  });
});

/** Minutes by the handbook's sum, written again: sets × (reps × tempo, or holds) × sides + rests + changing over (common practice). */
function minutesByHand({ dose }: Pick<Prescription, "dose">, eachSide: boolean): number {
  const tempo = (dose.tempo ?? "1.5-0-1.5-0").split("-").reduce((sum, part) => sum + Number(part), 0);
  const hold = dose.hold?.top ?? 0;
  const set = dose.reps
    ? dose.reps.top * (tempo + hold + (dose.halfwayPauseSeconds ?? 0))
    : hold || (dose.contacts ? dose.contacts.top / 2 : (dose.minutes ?? 0) * 60);
  // Where legs alternate one rests while the other works: of the rest only what is left over is waited.
  const waited = eachSide
    ? (dose.sets * 2 - 1) * 5 + (dose.sets - 1) * Math.max(0, dose.restSeconds - set - 10)
    : (dose.sets - 1) * dose.restSeconds;
  return ((dose.boutsPerDay ?? 1) * (dose.sets * set * (eachSide ? 2 : 1) + waited)) / 60;
}

const lists: readonly (readonly [minutes: number, needs: readonly NeedCode[]])[] = [
  [10, ["hurt-groin"]],
  [12, ["hurt-calf", "asks-running"]],
  [15, ["asks-jumping", "asks-turning"]],
  [15, ["found-side-plank", "hurt-groin"]],
  [20, ["asks-overhead", "found-heel-raises"]],
  [20, ["asks-running", "asks-sprinting", "hurt-calf"]],
  [8, ["asks-jumping"]],
  [6, ["hurt-groin", "asks-running"]],
  [25, ["hurt-calf", "found-side-plank", "asks-turning"]],
  [30, ["asks-running", "asks-jumping", "asks-overhead", "hurt-groin"]],
];

describe.each(lists)("a list of %d minutes for %o", (minutes, codes) => {
  it("takes the minutes of its sum, half a minute between two exercises", () => {
    const needs = listNeeds.filter(({ code }) => codes.includes(code));
    const list = composeList({
      needs,
      exercises: startingExercises,
      limits: [],
      present: [],
      minutes,
      today,
      book: placedBody,
    });
    const each = list.items.map(({ exerciseId, prescription }) => {
      const exercise = startingExercises.find(({ id }) => id === exerciseId);
      if (!exercise) throw new Error(exerciseId);
      return minutesByHand(prescription, sidesOf(exercise, prescription) === "each-side");
    });
    expect(each.length).toBeGreaterThan(0);
    expect(list.minutes).toBeCloseTo(each.reduce((sum, one) => sum + one, 0) + (each.length - 1) / 2, 9);
    expect(list.minutes).toBeLessThanOrEqual(minutes);
    expect(Math.max(...each)).toBeLessThanOrEqual(2);
  });
});
