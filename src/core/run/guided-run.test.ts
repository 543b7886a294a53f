import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { planMinutes } from "~/core/dose/plan-minutes";
import { planPieces } from "~/core/progression/plan-time";
import type { Dose } from "~/core/dose/dose";
import { guidedRun, type RunItem } from "./guided-run";

const base = { style: "strength", policy: "fixed", daysPerWeek: 3 } as const;
const someDose = fc
  .record({
    sets: fc.integer({ min: 1, max: 5 }),
    work: fc.constantFrom(
      { reps: { bottom: 8, top: 12 }, tempo: "3-1-1-0" },
      { hold: { bottom: 20, top: 30 } },
      { contacts: { bottom: 20, top: 30 } },
      { minutes: 6 },
      { reps: { bottom: 5, top: 10 }, hold: { bottom: 5, top: 5 } },
    ),
    restSeconds: fc.constantFrom(0, 20, 60, 120),
    alternateSides: fc.constantFrom(undefined, false),
  })
  .map(({ work, alternateSides, ...rest }): Dose => ({
    ...base,
    ...rest,
    ...work,
    ...(alternateSides === undefined ? {} : { alternateSides }),
  }));
const someItem = fc
  .record({ dose: someDose, sides: fc.constantFrom("both-together", "each-side", "one-side") })
  .map(({ dose, sides }): RunItem => ({ itemId: "", dose, sides, first: "right", circuit: null }));
const named = (items: readonly RunItem[]) => items.map((item, n) => ({ ...item, itemId: `i${n}` }));

/** The same exercises as the plan counts their time. */
const timed = ({ dose, sides, circuit }: RunItem) => ({
  exercise: { sides: sides === "both-together" ? ("both-together" as const) : ("each-side" as const) },
  prescription: {
    variantId: "v",
    settings: {},
    dose,
    ...(sides === "one-side" ? { leg: "affected" as const } : {}),
  },
  circuit,
});

describe("a day as one guided run", () => {
  it("takes exactly as long as the plan says of the same exercises", () => {
    fc.assert(
      fc.property(fc.array(someItem, { minLength: 1, maxLength: 6 }), fc.boolean(), (drawn, inCircuit) => {
        const circuit = inCircuit && drawn.length > 1 ? { number: 1, restSeconds: 90 } : null;
        const items = named(drawn).map((item) => ({ ...item, circuit }));
        const seconds = guidedRun(items).reduce((sum, step) => sum + step.seconds, 0);
        expect(seconds / 60).toBeCloseTo(planMinutes(planPieces(items.map(timed))).minutes, 9);
      }),
    );
  });

  it("lets the affected leg begin, and one leg rest while the other works", () => {
    const dose: Dose = { ...base, sets: 2, hold: { bottom: 30, top: 30 }, restSeconds: 60 };
    const steps = guidedRun([{ itemId: "a", dose, sides: "each-side", first: "left", circuit: null }]);
    expect(steps.map((step) => (step.kind === "work" ? step.side : `${step.kind} ${step.seconds}`))).toEqual([
      "left",
      "change 5",
      "right",
      "change 5",
      "rest 20",
      "left",
      "change 5",
      "right",
    ]);
  });

  it("goes round a circuit, a set of each in turn", () => {
    const dose: Dose = { ...base, sets: 2, hold: { bottom: 20, top: 20 }, restSeconds: 60 };
    const one = {
      dose,
      sides: "both-together",
      first: "left",
      circuit: { number: 1, restSeconds: 90 },
    } as const;
    const steps = guidedRun([
      { ...one, itemId: "a" },
      { ...one, itemId: "b" },
    ]);
    expect(steps.map(({ kind, itemId, seconds }) => `${kind} ${itemId} ${seconds}`)).toEqual([
      "work a 20",
      "next b 10",
      "work b 20",
      "rest a 90",
      "work a 20",
      "next b 10",
      "work b 20",
    ]);
  });
});
