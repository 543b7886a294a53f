import { expect, it } from "vitest";
import type { PlanItem } from "~/contract/plan";
import { arrangementOf, beginsCircuit, inUsualOrder, moved, rowsOf, withRow } from "./arrange-draft";

const item = (itemId: string, over: Partial<PlanItem> = {}) =>
  ({ itemId, name: itemId, role: "main", circuit: null, usualPlace: 0, ...over }) as PlanItem;
const circuit = { number: 1, restSeconds: 45 };
const plan = [
  item("a", { usualPlace: 3 }),
  item("b", { circuit, usualPlace: 2 }),
  item("c", { circuit, role: "optional", usualPlace: 1 }),
  item("d", { usualPlace: 0 }),
];

it("a plan goes into the form and comes out as it was", () => {
  expect(arrangementOf(rowsOf(plan))).toEqual({
    entries: [
      { itemId: "a", role: "main" },
      { itemId: "b", role: "main" },
      { itemId: "c", role: "optional" },
      { itemId: "d", role: "main" },
    ],
    circuits: [{ items: ["b", "c"], restSeconds: 45 }],
  });
});
it("a row leaves its circuit when it is moved; one that would stand alone in it ends it", () => {
  const rows = moved(rowsOf(plan), 2, 0);
  expect(rows.map(({ itemId }) => itemId)).toEqual(["c", "a", "b", "d"]);
  expect(arrangementOf(rows).circuits).toEqual([]);
  expect(moved(rowsOf(plan), 0, -1)).toEqual(rowsOf(plan));
  expect(moved(rowsOf(plan), 3, 4)).toEqual(rowsOf(plan));
});
it("nobody stands above the first row", () => {
  const rows = withRow(rowsOf(plan), 0, { joined: true });
  expect(rows[0]?.joined).toBe(false);
  expect(moved(rowsOf(plan), 0, 3)[0]).toMatchObject({ itemId: "b", joined: false });
});
it("joining makes a circuit with the row above; its first row has the rest, which must be readable", () => {
  const rows = withRow(withRow(rowsOf(plan), 1, { roundRest: "soon" }), 3, { joined: true });
  expect([0, 1, 2, 3].map((n) => beginsCircuit(rows, n))).toEqual([false, true, false, false]);
  expect(arrangementOf(rows).circuits).toEqual([{ items: ["b", "c", "d"], restSeconds: NaN }]);
});
it("the usual order", () => {
  const rows = inUsualOrder(rowsOf(plan));
  expect(rows.map(({ itemId }) => itemId)).toEqual(["d", "c", "b", "a"]);
  expect(arrangementOf(rows).circuits).toEqual([]);
});
