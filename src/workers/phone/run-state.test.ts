import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { PhoneItem } from "~/contract/phone";
import { setProblems } from "~/core/session/session-problems";
import {
  newRun,
  runAfterSign,
  sessionOf,
  runPrescription,
  runSteps,
  stepOver,
  stepsSkipped,
  wasLeft,
  toBeTold,
  turnedIn,
  withTurned,
  type RunState,
} from "./run-state";

const someItem = (itemId: string, over: Partial<PhoneItem> = {}): PhoneItem => ({
  itemId,
  name: itemId,
  lane: "adductors",
  exerciseId: "e",
  drawnLike: null,
  prescription: {
    variantId: "v",
    settings: { kneeBend: 30 },
    dose: {
      style: "strength",
      policy: "fixed",
      sets: 2,
      reps: { bottom: 8, top: 10 },
      loadKg: 10,
      restSeconds: 30,
      daysPerWeek: 3,
    },
  },
  sides: "each-side",
  first: "left",
  circuit: null,
  cues: [],
  safety: null,
  caution: null,
  stopped: false,
  easier: null,
  since: "2026-03-01T00:00:00.000Z",
  doneDays: 0,
  wantedDays: 3,
  ...over,
});
const begun = (items: readonly PhoneItem[]): RunState => ({
  ...newRun({ id: "r", startedAt: "2026-03-10T08:00:00.000Z", painBefore: 1, items }),
  touchedAt: "2026-03-10T08:30:00.000Z",
});
const felt = { pain: 1, site: "episode", effort: 5 } as const;

/** Goes through a run to its end; what a hand does at each step is drawn. */
function lived(run: RunState, hands: readonly number[]): RunState {
  let now = run;
  for (let n = 0; n < 500; n += 1) {
    const steps = runSteps(now);
    const telling = toBeTold(now, steps);
    const step = steps[now.at];
    // What was left out does not come again.
    if (step && !telling) expect(now.skipped.map(({ itemId }) => itemId)).not.toContain(step.itemId);
    if (telling) now = { ...now, felt: { ...now.felt, [telling.itemId]: felt } };
    else if (!step) return now;
    else if (hands[n % hands.length] === 0)
      now = stepsSkipped(now, steps, { itemId: step.itemId, why: "time" });
    else now = stepOver(now, steps);
  }
  throw new Error("a run without an end");
}

describe("a run on the phone", () => {
  it("ends whatever is skipped, and what goes out of it is whole and fits the plan", () => {
    const dosed = (one: PhoneItem, dose: object) => ({
      ...one,
      prescription: { ...one.prescription, dose: { ...one.prescription.dose, ...dose } },
    });
    const plans = fc
      .array(
        fc.record({
          sides: fc.constantFrom("both-together" as const, "each-side" as const, "one-side" as const),
          sets: fc.integer({ min: 1, max: 4 }),
          circuit: fc.constantFrom(null, { number: 1, restSeconds: 60 }),
        }),
        { minLength: 1, maxLength: 5 },
      )
      .map((all) => {
        const inCircuit = all.filter(({ circuit }) => circuit !== null).length > 1;
        const sorted = [...all].sort((a, b) => Number(a.circuit === null) - Number(b.circuit === null));
        return sorted.map(({ sides, sets, circuit }, n) =>
          dosed(someItem(`i${n}`, { sides, circuit: inCircuit ? circuit : null }), { sets }),
        );
      });
    fc.assert(
      fc.property(plans, fc.array(fc.nat({ max: 6 }), { minLength: 5, maxLength: 40 }), (items, hands) => {
        const over = lived(begun(items), hands);
        const session = sessionOf(over);
        const started = new Set(over.done.map(({ itemId }) => itemId));
        expect(session?.items.map(({ itemId }) => itemId) ?? []).toEqual(
          items.map(({ itemId }) => itemId).filter((id) => started.has(id)),
        );
        for (const { itemId, sets } of session?.items ?? []) {
          const item = items.find((one) => one.itemId === itemId) as PhoneItem;
          const { dose, settings } = item.prescription;
          for (const set of sets)
            expect(setProblems(set, { dose, settings, sides: item.sides }, "")).toEqual([]);
        }
      }),
    );
  });

  it("nothing done is nothing told", () => {
    const over = lived(begun([someItem("a")]), [0]);
    expect(over.skipped).toEqual([{ itemId: "a", why: "time" }]);
    expect(sessionOf(over)).toBeNull();
  });

  it("after a pinch its exercise does not come again, and is told of; after any other sign all is over", () => {
    const circuit = { number: 1, restSeconds: 30 };
    const items = [someItem("a", { circuit }), someItem("b", { circuit })];
    const run = begun(items);
    const begunWithA = stepOver(run, runSteps(run));
    const after = runAfterSign(begunWithA, { code: "pinch-or-block", itemId: "a" });
    expect(after && toBeTold(after, runSteps(after))?.itemId).toBe("a");
    const session = after && sessionOf(lived(after, [1]));
    expect(session?.items.map(({ itemId, sets }) => [itemId, sets.length])).toEqual([
      ["a", 1],
      ["b", 4],
    ]);
    expect(session?.skipped).toEqual([{ itemId: "a", why: "pain" }]);
    expect(runAfterSign(begunWithA, { code: "gives-way", itemId: "a" })).toBeNull();
    expect(runAfterSign(begunWithA, { code: "calf-hot" })).toBeNull();
  });

  it("belongs to the time at which the hand was last at it; after some hours it was left", () => {
    const over = lived(begun([someItem("a")]), [1]);
    expect(sessionOf(over)?.occurredAt).toBe("2026-03-10T08:30:00.000Z");
    expect(wasLeft(over, Date.parse("2026-03-10T14:29:00.000Z"))).toBe(false);
    expect(wasLeft(over, Date.parse("2026-03-11T07:00:00.000Z"))).toBe(true);
  });

  it("harder for a good day is told with what was turned; easier, harder and as planned exclude each other", () => {
    const prescription = someItem("a").prescription;
    const change = (kneeBend: number) => ({
      knob: "kneeBend",
      to: kneeBend,
      prescription: { ...prescription, settings: { kneeBend } },
    });
    const item = someItem("a", { sides: "both-together", easier: change(20), harder: change(45) });
    const run = begun([item]);
    const harder = withTurned(run, "a", "harder");
    if (!harder) throw new Error("the step in hand is gone");
    expect([turnedIn(harder, "a"), runPrescription(item, harder).settings]).toEqual([
      "harder",
      { kneeBend: 45 },
    ]);
    const easier = withTurned(harder, "a", "easier");
    if (!easier) throw new Error("the step in hand is gone");
    expect([turnedIn(easier, "a"), runPrescription(item, easier).settings]).toEqual([
      "easier",
      { kneeBend: 20 },
    ]);
    expect(turnedIn(withTurned(easier, "a", "planned") ?? run, "a")).toBe("planned");
    const done = { ...harder, done: [{ itemId: "a", side: "both" as const }], felt: { a: felt } };
    expect(sessionOf(done)?.items[0]?.sets[0]?.settings).toEqual({ kneeBend: 45 });
    // A run that an older version kept knows of neither.
    const { pushed: _none, ...old } = harder;
    expect(runPrescription(item, old)).toBe(item.prescription);
  });

  it("fewer repetitions, and what was made easier for the day, stand in the sets", () => {
    const easier = {
      knob: "kneeBend",
      to: 20,
      prescription: { ...someItem("a").prescription, settings: { kneeBend: 20 } },
    };
    const item = someItem("a", { sides: "both-together", easier });
    const eased = { ...begun([item]), eased: ["a"] };
    expect(runPrescription(item, eased).settings).toEqual({ kneeBend: 20 });
    const done = { ...lived(eased, [1]), felt: { a: { ...felt, amount: 7 } } };
    const session = sessionOf(done);
    expect(session?.minutes).toBe(30);
    expect(session?.items[0]?.sets).toEqual(
      Array(2).fill({
        side: "both",
        reps: 7,
        loadKg: 10,
        painDuring: 1,
        painSite: "episode",
        effort: 5,
        faults: [],
        settings: { kneeBend: 20 },
      }),
    );
  });
});
