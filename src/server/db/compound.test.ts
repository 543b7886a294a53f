import { expect, it } from "vitest";
import { compound } from "./compound";

it("one statement stands as it is; several keep their order, each with the values of its own", () => {
  const one = { sql: "INSERT INTO a VALUES (?, ?)", values: [1, "b"] };
  expect(compound([one])).toEqual(one);
  expect(
    compound([one, { sql: "UPDATE c SET d = ?", values: [null] }, { sql: "COMMIT", values: [] }]),
  ).toEqual({
    sql: "BEGIN NOT ATOMIC\nINSERT INTO a VALUES (?, ?);\nUPDATE c SET d = ?;\nCOMMIT;\nEND",
    values: [1, "b", null],
  });
});
