import { describe, expect, it } from "vitest";
import { limitField, toLimit, type LimitField } from "./limit-field";

const line = (over: Partial<LimitField>): LimitField => ({
  what: "note",
  degrees: "",
  says: "as written",
  from: "2026-03-01",
  until: "2026-04-12",
  ...over,
});

describe("a limit as a line of the form", () => {
  it.each([
    line({ what: "knee", degrees: "90" }),
    line({ what: "hip", degrees: "70", from: "" }),
    line({ what: "bearing-none" }),
    line({ what: "bearing-two-legs", until: "" }),
    line({ what: "impact" }),
    line({ what: "note", says: "brace at night" }),
  ])("comes back as it was typed: $what", (typed) => {
    expect(limitField(toLimit(typed))).toEqual(typed);
  });

  it("gets the usual words where none were typed, with the angle", () => {
    expect(toLimit(line({ what: "knee", degrees: "60", says: " " })).says).toBe("knee bend to 60°");
  });

  it("is not shown where the form has no words for it, so that it is not changed by accident", () => {
    const common = { origin: "surgeon", says: "from 30° to 90°" } as const;
    expect(
      limitField({ kind: "range-limit", joint: "knee", leastDeg: 30, mostDeg: 90, ...common }),
    ).toBeNull();
    expect(limitField({ kind: "forbid", codes: ["impact", "kneeling"], ...common })).toBeNull();
  });
});
