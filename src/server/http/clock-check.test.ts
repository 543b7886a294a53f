import { describe, expect, it } from "vitest";
import { clockProblem } from "./clock-check";

describe("two clocks", () => {
  const database = "2026-03-10T09:00:00.000Z";
  it.each([
    ["2026-03-10T08:59:01.000Z", null],
    ["2026-03-10T09:01:00.000Z", null],
    ["2026-03-10T09:03:00.000Z", "3 min ahead of"],
    ["2026-03-10T08:56:00.000Z", "4 min behind"],
  ])("at %s beside the database's 9:00: %s", (own, said) => {
    const problem = clockProblem(own, database);
    expect([problem?.status, problem?.message ?? null]).toEqual(
      said === null ? [undefined, null] : [503, expect.stringContaining(said)],
    );
  });
});
