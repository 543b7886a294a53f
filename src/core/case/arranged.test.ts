import { describe, expect, it } from "vitest";
import { caseExample } from "~/core/calculation/examples";
import { reviewCase } from "~/core/review/review-case";
import { startingExercises } from "~/catalogue/exercises/all";
import { nextHarder } from "~/core/decision/record/next-harder";
import { labelBook } from "~/core/demand/label-book";
import { firstPrescription } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { sameSetting } from "~/core/exercise/same-setting";
import { arrangedItems } from "./arranged";
import { arrangementProblems, type Arrangement } from "./arrangement";
import type { CaseFile, CaseItem } from "./case-file";

const [first] = caseExample.items;
if (!first) throw new Error("the example has an item");
const item = (id: string, over: Partial<CaseItem> = {}): CaseItem => ({ ...first, id, ...over });
const later = "2026-03-01T10:00:00Z";
const asOf = "2026-03-20T10:00:00Z";
const plan = (over: Partial<CaseFile> = {}): CaseFile => ({
  ...caseExample,
  asOf,
  items: [item("a"), item("b"), item("c"), item("d")],
  ...over,
});
const entries = (...ids: string[]): Arrangement["entries"] =>
  ids.map((itemId) => ({ itemId, role: "main" as const }));
const arranged = (at: string, arrangement: Arrangement) => ({ id: at, at, ...arrangement });
const order = (file: CaseFile) => arrangedItems(file).map((entry) => entry.item.id);

describe("the order of a plan", () => {
  it("is that in which exercises joined, until one is signed; what joins later comes after", () => {
    expect(order(plan())).toEqual(["a", "b", "c", "d"]);
    const signed = plan({
      arrangements: [arranged(later, { entries: entries("c", "a"), circuits: [] })],
    });
    expect(order(signed)).toEqual(["c", "a", "b", "d"]);
    expect(order({ ...signed, asOf: "2026-02-28T10:00:00Z" })).toEqual(["a", "b", "c", "d"]);
  });
  it("the latest holds, whatever the order in the file; what left the plan is not in it", () => {
    const newer = arranged("2026-03-02T10:00:00Z", { entries: entries("d", "c"), circuits: [] });
    const older = arranged(later, { entries: entries("a", "b"), circuits: [] });
    expect(order(plan({ arrangements: [newer, older] }))).toEqual(["d", "c", "a", "b"]);
    const ended = plan({ items: [item("a"), item("b", { endedAt: later }), item("c")] });
    expect(order(ended)).toEqual(["a", "c"]);
  });
  it("a role of its own until an arrangement says otherwise", () => {
    const items = [item("a", { role: "primer" }), item("b")];
    const roles = (file: CaseFile) => arrangedItems(file).map(({ role }) => role);
    expect(roles(plan({ items }))).toEqual(["primer", "main"]);
    const signed: Arrangement = {
      entries: [
        { itemId: "a", role: "main" },
        { itemId: "b", role: "test" },
      ],
      circuits: [],
    };
    expect(roles(plan({ items, arrangements: [arranged(later, signed)] }))).toEqual(["main", "test"]);
  });
  it("of a circuit of which one is left nothing remains", () => {
    const arrangements = [
      arranged(later, {
        entries: entries("a", "b", "c"),
        circuits: [{ items: ["a", "b"], restSeconds: 45 }],
      }),
    ];
    const numbers = (file: CaseFile) =>
      arrangedItems(file).map(({ circuit }) => circuit?.restSeconds ?? null);
    expect(numbers(plan({ arrangements }))).toEqual([45, 45, null, null]);
    expect(numbers(plan({ arrangements, items: [item("a"), item("b", { endedAt: later })] }))).toEqual([
      null,
    ]);
  });
});

describe("what is wrong with an arrangement, at its field", () => {
  const whole = entries("a", "b", "c", "d");
  const problems = (over: Partial<Arrangement>) =>
    arrangementProblems({ entries: whole, circuits: [], ...over }, ["a", "b", "c", "d"]).map(
      ({ path, problem }) => `${path} ${problem}`,
    );
  const circuit = (...items: string[]) => ({ circuits: [{ items, restSeconds: 60 }] });
  it.each([
    [{}, []],
    [circuit("b", "c"), []],
    [circuit("c", "b"), []],
    [{ entries: entries("a", "b", "c") }, ["/entries leave out an exercise of the plan"]],
    [{ entries: entries("a", "b", "c", "d", "x") }, ["/entries/4/itemId is not in this patient's plan"]],
    [{ entries: entries("a", "b", "b", "c", "d") }, ["/entries/2/itemId stands twice"]],
    [circuit("a"), ["/circuits/0/items needs two exercises or more"]],
    [circuit(), ["/circuits/0/items needs two exercises or more"]],
    [circuit("a", "c"), ["/circuits/0/items is torn apart: its exercises must follow each other"]],
    [circuit("a", "x"), ["/circuits/0/items has an exercise that is not in this plan"]],
    [circuit("a", "a"), ["/circuits/0/items has an exercise that stands in a circuit twice"]],
    [
      {
        circuits: [
          { items: ["a", "b"], restSeconds: 0 },
          { items: ["b", "c"], restSeconds: 0 },
        ],
      },
      [
        "/circuits/0/items has an exercise that stands in a circuit twice",
        "/circuits/1/items has an exercise that stands in a circuit twice",
      ],
    ],
  ])("%j", (over, said) => {
    expect(problems(over)).toEqual(said);
  });
});

describe("what a role, and a setting beside it, mean for the next step", () => {
  const ready = (over: Partial<CaseFile> = {}) => reviewCase({ ...caseExample, ...over }).items[0]?.proposal;
  it("the example steps up; as a primer, or as a test, it is kept, and said so", () => {
    expect(ready()?.outcome).toBe("step-up");
    for (const role of ["primer", "test"] as const) {
      const kept = ready({ items: [{ ...first, role }] });
      expect(kept?.outcome).toBe("hold");
      expect(kept?.evidence.map(({ code }) => code)).toContain("role-kept");
    }
    expect(ready({ items: [{ ...first, role: "optional" }] })?.outcome).toBe("step-up");
  });
  it("nothing climbs into a setting that stands in the plan by itself; the same setting in another role is none of its business", () => {
    const exercise = startingExercises.find(({ id }) => id === "side-step-up");
    const variant = exercise?.variants[0];
    if (!exercise || !variant) throw new Error("the catalogue has side step-ups");
    const prescription = firstPrescription(variant);
    const next = (beside: Prescription[]) =>
      nextHarder({ exercise, prescription, changes: [], restrictions: [], beside }, "2026-03-20", labelBook);
    const free = next([]);
    if (free.found !== "change") throw new Error("a first step is free");
    expect(sameSetting(free.change.prescription, prescription)).toBe(false);
    expect(next([free.change.prescription])).toMatchObject({
      found: "restriction",
      restriction: { origin: "plan" },
      knob: free.change.knob,
    });
    expect(next([prescription])).toEqual(free);
  });
});
