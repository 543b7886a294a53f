import { describe, expect, it } from "vitest";
import { day, march, reps, stepUpInput } from "~tests/builders/decide-input";
import { decide } from "./decide";
import type { DecideInput } from "~/core/decision/record/decide-input";
import { viewRecord } from "~/core/decision/record/record-view";

const good = (date: number) => day(date, reps([12, 12, 12], { effort: 6 }));
const input = (over: Partial<DecideInput> = {}) =>
  stepUpInput({ trainingDays: [good(5), good(8)], now: march(9, "10:00"), ...over });

describe("what lies after now is not seen", () => {
  const later = march(10);
  const step = { at: later, direction: "harder" as const, knob: "step-height" };
  const cases: [string, Partial<DecideInput>][] = [
    ["a change signed later", { changes: [step] }],
    ["an answer given later", { answeredAt: later }],
    ["a 'leave it' said later", { leftAsIsAt: later }],
    ["a signal raised later", { stopSignals: [{ code: "dizziness", scope: "plan", raisedAt: later }] }],
    ["a training day to come", { trainingDays: [good(5), good(8), day(11, reps([2], { painDuring: 9 }))] }],
    ["a clearance to come", { clearedAt: later }],
  ];
  it.each(cases)("%s: the answer is the same as without it", (_what, over) => {
    expect(decide(input(over))).toEqual(decide(input()));
  });

  it("a signal that is cleared only later stands", () => {
    const raisedAt = march(8, "12:00");
    const signal = { code: "dizziness" as const, scope: "plan" as const, raisedAt, clearedAt: later };
    expect(decide(input({ stopSignals: [signal] })).outcome).toBe("stop");
    expect(decide(input({ stopSignals: [signal], now: march(10, "10:00") })).outcome).not.toBe("stop");
  });

  it("changes are read in the order they were signed, whatever order they come in", () => {
    const changes = [march(7), march(2), later].map((at) => ({ ...step, at }));
    const view = viewRecord(input({ changes }));
    expect(view.input.changes.map(({ at }) => at)).toEqual([march(2), march(7)]);
    expect(view.lastChange?.at).toBe(march(7));
  });
});

describe("a grade of effusion is known from the beginning of the clinic's own day", () => {
  const grown = { ...good(8), effusionUpOn: "2026-03-09" };
  const outcome = (now: string, zone: string) =>
    decide(input({ trainingDays: [good(5), grown], now, zone })).outcome;
  it.each([
    ["Europe/Vienna", "2026-03-08T22:59:00Z", "2026-03-08T23:00:00Z"],
    ["Pacific/Auckland", "2026-03-08T10:59:00Z", "2026-03-08T11:00:00Z"],
    ["America/Los_Angeles", "2026-03-09T06:59:00Z", "2026-03-09T07:00:00Z"],
  ])("%s", (zone, before, from) => {
    expect([outcome(before, zone), outcome(from, zone)]).toEqual([expect.not.stringMatching("ease"), "ease"]);
  });
});
