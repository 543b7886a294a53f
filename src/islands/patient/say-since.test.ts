import { describe, expect, it } from "vitest";
import { saySinceOnset, saySinceSurgery } from "./say-since";

describe("how long ago", () => {
  it.each([
    [0, "day 0 since injury"],
    [20, "day 20 since injury"],
    [21, "3 weeks since injury"],
    [41, "5 weeks since injury"],
  ])("%s days: %s", (days, says) => {
    expect(saySinceOnset(days)).toBe(says);
  });

  it("an operation with what was done, and its graft", () => {
    const surgery = { on: "2026-03-01", procedures: ["Ligament reconstruction", "Meniscus repair"] };
    expect(saySinceSurgery({ ...surgery, daysSince: 45, graft: "hamstring" })).toBe(
      "6 weeks since the operation (Ligament reconstruction, Meniscus repair, graft: hamstring)",
    );
    expect(saySinceSurgery({ on: "2026-03-01", procedures: [], daysSince: 3, graft: null })).toBe(
      "day 3 since the operation",
    );
  });
});
