import { describe, expect, it } from "vitest";
import { amountsOfDose, amountsOfSets, mostOf } from "./amounts";
import { doseJumps } from "./dose-jump";

const keysOf = (...input: Parameters<typeof doseJumps>) => doseJumps(...input).map(({ key }) => key);

describe("typed amounts against what was done before", () => {
  it.each([
    ["twice the load", { loadKg: 20 }, { loadKg: 10 }, []],
    ["more than twice", { loadKg: 20.5 }, { loadKg: 10 }, ["loadKg"]],
    ["more than twice, but 2 kg more only", { loadKg: 3 }, { loadKg: 1 }, []],
    ["more than twice and more than 2 kg more", { loadKg: 3.5 }, { loadKg: 1 }, ["loadKg"]],
    ["twice the sets", { sets: 6 }, { sets: 3 }, []],
    ["seven sets after three", { sets: 7 }, { sets: 3 }, ["sets"]],
    ["twenty minutes after ten", { minutes: 20 }, { minutes: 10 }, []],
    ["21 minutes after ten", { minutes: 21 }, { minutes: 10 }, ["minutes"]],
    ["contacts", { contacts: 41 }, { contacts: 20 }, ["contacts"]],
    ["nothing before and no load", { sets: 5, minutes: 40, contacts: 100 }, {}, []],
    ["several at once", { loadKg: 50, sets: 9 }, { loadKg: 10, sets: 3 }, ["loadKg", "sets"]],
    ["less than before", { loadKg: 5, sets: 1 }, { loadKg: 50, sets: 5 }, []],
  ] as const)("%s", (_what, now, before, expected) => expect(keysOf(now, before, 70)).toEqual(expected));

  it("a first load is weighed against the body: above twice it is asked, above five times refused", () => {
    expect(doseJumps({ loadKg: 140 }, {}, 70)).toEqual([]);
    expect(doseJumps({ loadKg: 140.5 }, {}, 70)).toEqual([
      { key: "loadKg", now: 140.5, before: 70, against: "body", beyond: false },
    ]);
    expect(doseJumps({ loadKg: 350 }, { loadKg: 300 }, 70)).toEqual([]);
    expect(doseJumps({ loadKg: 351 }, { loadKg: 300 }, 70)).toMatchObject([{ beyond: true, before: 70 }]);
  });
  it("no load before is no load: a first one is not infinitely more", () => {
    expect(doseJumps({ loadKg: 12 }, { loadKg: 0 }, 70)).toEqual([]);
  });
});

describe("amounts", () => {
  it("of sets: heaviest, longest, and the busier leg", () => {
    const sets = [
      { side: "left", loadKg: 8, contacts: 10 },
      { side: "left", loadKg: 10, contacts: 10 },
      { side: "right", loadKg: 12, contacts: 5 },
      { side: "both", minutes: 4, contacts: 6 },
    ] as const;
    expect(amountsOfSets(sets)).toEqual({ loadKg: 12, sets: 3, minutes: 4, contacts: 26 });
  });
  it("of a dose at its top; contacts of all its sets", () => {
    const dose = { sets: 3, contacts: { bottom: 6, top: 8 } };
    expect(amountsOfDose(dose)).toEqual({ sets: 3, contacts: 24 });
    expect(amountsOfDose({ sets: 1, minutes: 12, loadKg: 0 })).toEqual({ loadKg: 0, sets: 1, minutes: 12 });
  });
  it("the most of several, and nothing where none has any", () => {
    expect(mostOf([{ loadKg: 5, sets: 3 }, { sets: 4 }])).toEqual({ loadKg: 5, sets: 4 });
    expect(mostOf([])).toEqual({});
  });
});
