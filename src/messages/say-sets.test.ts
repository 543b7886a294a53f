import { describe, expect, it } from "vitest";
import type { SetRecord } from "~/core/response/session-record";
import { saySets } from "./say-sets";

const stepUp = { name: "Side step-up", faults: [{ code: "knee-in", name: "Knee drifts inward" }] };
const set = (over: Partial<SetRecord> = {}): SetRecord => ({
  side: "both",
  reps: 12,
  painDuring: 0,
  painSite: "episode",
  effort: 6,
  faults: [],
  ...over,
});

describe("what pain came with", () => {
  it.each([
    [{ painWith: "depth", painArc: { fromDeg: 70 } }, "pain with a depth or angle, from 70°"],
    [{ painWith: "depth", painArc: { fromDeg: 30, toDeg: 50 } }, "pain with a depth or angle, 30–50°"],
    [{ painWith: "down" }, "pain with the way down"],
  ] as const)("%o", (felt, said) => {
    const line = saySets(stepUp, [set({ painDuring: 5, ...felt }), set({ painDuring: 5, ...felt })]);
    expect(line.split("; ").filter((part) => part === said)).toHaveLength(1);
  });
});

describe("a line of sets", () => {
  it("puts alike sets together, in the order they were done", () => {
    const line = saySets(stepUp, [set(), set(), set({ reps: 10, effort: 8 })]);
    expect(line).toBe("Side step-up: 2 × 12, 1 × 10; pain 0, effort 8");
  });

  it("tells one side after the other, however they alternated", () => {
    const right = { side: "right" as const };
    const left = { side: "left" as const };
    const line = saySets(stepUp, [set(right), set({ ...left, reps: 11 }), set(right), set(left), set(right)]);
    expect(line).toBe("Side step-up: 3 × 12 right; 1 × 11, 1 × 12 left; pain 0, effort 6");
  });

  it("gives the worst pain and the highest effort of all sets", () => {
    const line = saySets(stepUp, [set({ painDuring: 4, effort: 5 }), set({ painDuring: 1, effort: 9.5 })]);
    expect(line).toContain("pain 4, effort 9.5");
  });

  it("holds, contacts, minutes, load and force have their units", () => {
    const bare = ({ reps: _reps, ...rest }: SetRecord) => rest;
    const line = (over: Partial<SetRecord>, ...more: Partial<SetRecord>[]) =>
      saySets(
        stepUp,
        [over, ...more].map((each) => ({ ...bare(set()), ...each })),
      ).split(": ")[1];
    expect(line({ holdSeconds: 15 })).toMatch(/^1 × 15 s;/);
    expect(line({ reps: 8, holdSeconds: 3 })).toMatch(/^1 × 8 held 3 s;/);
    expect(line({ contacts: 20 })).toMatch(/^1 × 20 contacts;/);
    expect(line({ minutes: 12 })).toMatch(/^1 × 12 min/);
    expect(line({ reps: 8, loadKg: 12.5 })).toMatch(/^1 × 8 at 12\.5 kg;/);
    expect(line({ holdSeconds: 10, forceN: 108 }, { holdSeconds: 10, forceN: 115 })).toMatch(
      /^2 × 10 s at 108–115 N;/,
    );
    expect(line({ holdSeconds: 10, forceN: 110 })).toMatch(/^1 × 10 s at 110 N;/);
  });

  it("names each fault once, with the repetitions it spoiled, and what set the limit", () => {
    const seen = [{ fault: "knee-in", severity: "marked" as const, reps: 4 }];
    const line = saySets(stepUp, [
      set({ faults: seen }),
      set({ faults: seen, limit: { kind: "pain" } }),
      set({ faults: [{ fault: "heel-up", severity: "slight", reps: "most" }] }),
    ]);
    expect(line).toBe(
      "Side step-up: 2 × 12, 1 × 12 (limit: pain); pain 0, effort 6; Knee drifts inward, marked, reps: 4; heel-up, slight, reps: most",
    );
  });
});
