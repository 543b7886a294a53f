import { describe, expect, it } from "vitest";
import { day, march, reps, stepUpInput, strength } from "~tests/builders/decide-input";
import { decide } from "../decide";
import type { DecideInput, SignedChange } from "~/core/decision/record/decide-input";
import { takenByEase } from "./taken-by-ease";

const input = stepUpInput({ now: march(9, "10:00") });
const at = (sets: number, range: [number, number] = [8, 12]) => ({
  ...input.prescription,
  dose: { ...strength, sets, reps: { bottom: range[0], top: range[1] } },
});
const eased = (knob: string, before: DecideInput["prescription"], on = march(1)): SignedChange => ({
  at: on,
  direction: "easier",
  knob,
  cause: "flare",
  before,
});
const given = (knob: string, before: DecideInput["prescription"], on = march(2)): SignedChange => ({
  at: on,
  direction: "harder",
  knob,
  before,
});
const owed = (over: Partial<DecideInput>) => takenByEase({ ...input, ...over });

describe("what an ease took", () => {
  it("a set is owed until it is given back, one at a time", () => {
    const took = [eased("sets", at(3)), eased("sets", at(2))];
    expect(owed({ prescription: at(1), changes: took })).toMatchObject({ knob: "sets", from: 1, to: 2 });
    const once = [...took, given("sets", at(1))];
    expect(owed({ prescription: at(2), changes: once })).toMatchObject({ knob: "sets", from: 2, to: 3 });
    expect(owed({ prescription: at(3), changes: [...once, given("sets", at(2))] })).toBeNull();
  });

  it("so is the bottom of a range", () => {
    const change = owed({ prescription: at(3, [6, 12]), changes: [eased("reps", at(3))] });
    expect(change).toMatchObject({ knob: "reps", from: "6-12", to: "8-12" });
  });

  it("nothing is owed for a knob of the variant's own order, nor across a change of variant", () => {
    const lower = { ...at(3), settings: { "step-height": 15 } };
    expect(owed({ changes: [eased("step-height", lower)] })).toBeNull();
    const other = { ...at(3), variantId: "another" };
    expect(owed({ prescription: at(2), changes: [eased("sets", other)] })).toBeNull();
  });

  it("nor where nothing was eased, or fewer sets were prescribed from the beginning", () => {
    expect(owed({ prescription: at(1), changes: [] })).toBeNull();
    expect(owed({ prescription: at(1), changes: [given("step-height", at(1))] })).toBeNull();
  });
});

describe("the way back up", () => {
  const good = (date: number) => day(date, reps([12, 12], { effort: 6 }));
  const after = (over: Partial<DecideInput>) =>
    decide({ ...input, prescription: at(2), changes: [eased("sets", at(3))], ...over });

  it("asks for three good days after the ease, then gives the set back before anything else is turned", () => {
    expect(after({ trainingDays: [good(5), good(8)] })).toMatchObject({
      outcome: "hold",
      rule: "run-too-short",
    });
    const back = after({ trainingDays: [good(4), good(6), good(8)] });
    expect(back).toMatchObject({ outcome: "step-up", change: { knob: "sets", from: 2, to: 3 } });
    expect(back.evidence.at(-1)).toMatchObject({ code: "next-knob", values: { knob: "sets", need: 3 } });
  });

  it("is barred by a limit as every other step", () => {
    const limit = {
      kind: "knob-limit" as const,
      knob: "sets",
      hardest: 2,
      origin: "surgeon" as const,
      says: "two sets at most",
    };
    const barred = after({ trainingDays: [good(4), good(6), good(8)], restrictions: [limit] });
    expect(barred).toMatchObject({ outcome: "hold", rule: "restriction" });
  });

  it("a set that was taken twice after it was given back stays away; the variant's own knob is next", () => {
    const history = [
      eased("sets", at(3), "2026-02-10T08:00:00Z"),
      given("sets", at(2), "2026-02-12T08:00:00Z"),
      eased("sets", at(3), "2026-02-14T08:00:00Z"),
      given("sets", at(2), "2026-02-16T08:00:00Z"),
      eased("sets", at(3)),
    ];
    const next = after({ trainingDays: [good(4), good(6), good(8)], changes: history });
    expect(next).toMatchObject({ outcome: "step-up", change: { knob: "step-height", from: 10, to: 15 } });
  });
});
