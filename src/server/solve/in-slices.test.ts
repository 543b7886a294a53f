import { setImmediate as nextTurn } from "node:timers/promises";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { eachInSteps, type InSteps } from "~/core/work/in-steps";
import { inSlices } from "./in-slices";

const seen: string[] = [];
const work = (name: string, steps: number): InSteps<string[]> =>
  eachInSteps(
    Array.from({ length: steps }, (_, n) => `${name}${n}`),
    (step) => {
      seen.push(step);
      return step;
    },
  );

beforeEach(() => {
  seen.length = 0;
  // A clock on which each look is later by a slice: every step fills one.
  let at = 0;
  vi.spyOn(performance, "now").mockImplementation(() => (at += 10));
});
afterEach(() => void vi.restoreAllMocks());

describe("long work in slices", () => {
  it("answers what it comes to, with everybody else let in between two slices", async () => {
    const long = inSlices(work("a", 5));
    let turns = 0;
    const others = (async () => {
      for (; seen.length < 5; turns += 1) await nextTurn();
    })();
    expect(await long).toEqual(["a0", "a1", "a2", "a3", "a4"]);
    await others;
    expect(turns).toBeGreaterThanOrEqual(5);
  });

  it("does many short steps in a slice", async () => {
    vi.spyOn(performance, "now").mockReturnValue(0);
    const turn = nextTurn().then(() => seen.length);
    await inSlices(work("a", 50));
    expect(await turn).toBe(0);
    expect(seen).toHaveLength(50);
  });

  it("gives a slice to one after the other of several", async () => {
    const turnsOf = async (long: Promise<unknown>) => {
      await long;
      return [...seen];
    };
    const [short] = await Promise.all([turnsOf(inSlices(work("a", 2))), inSlices(work("b", 6))]);
    expect(seen.slice(0, 4)).toEqual(["a0", "b0", "a1", "b1"]);
    expect(short.length).toBeLessThan(seen.length);
  });

  it("passes on what goes wrong, and tells one too many to come again", async () => {
    const fails = eachInSteps(["a"], () => {
      throw new RangeError("a step that fails");
    });
    await expect(inSlices(fails)).rejects.toThrow("a step that fails");
    const many = Array.from({ length: 41 }, (_, n) => inSlices(work(`${n}-`, 2)));
    const outcomes = await Promise.allSettled(many);
    expect(outcomes.filter(({ status }) => status === "fulfilled")).toHaveLength(40);
    expect(outcomes[40]).toMatchObject({ reason: { status: 503, type: "busy" } });
    expect(await inSlices(work("later", 1))).toEqual(["later0"]);
  });
});
