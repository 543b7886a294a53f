import { expect, it } from "vitest";
import { problemAt, problemElsewhere } from "./problem-at";

const refused = {
  type: "/problems/refused-input",
  title: "Some of this cannot be recorded.",
  status: 422,
  problems: [{ path: "/password", problem: "needs at least 12 letters or digits" }],
};
const tooMany = { type: "/problems/too-many-tries", title: "Too many tries.", status: 429 };

it("what is said of a field stands at that field, and nowhere else", () => {
  expect(problemAt(refused, "/password")).toBe("needs at least 12 letters or digits");
  expect(problemAt(refused, "/current")).toBeNull();
  expect(problemElsewhere(refused)).toBeNull();
});

it("what is said of no field stands above the form", () => {
  expect(problemAt(tooMany, "/password")).toBeNull();
  expect(problemElsewhere(tooMany)).toBe(tooMany);
  expect([problemAt(null, "/password"), problemElsewhere(null)]).toEqual([null, null]);
});
