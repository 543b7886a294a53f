import { describe, expect, it } from "vitest";
import type { Lane } from "~/core/exercise/body";
import type { Proposal } from "~/core/decision/record/decide-input";
import { adherenceNeeded } from "~/core/response/lane-adherence";
import { laneReadiness } from "./lane-readiness";
import { stepQueue, type QueuedItem } from "./step-queue";

const knob = { kind: "turn", direction: "harder", knob: "load", from: 10, to: 12 };
const item = (itemId: string, lane: Lane, outcome: Proposal["outcome"], change?: object): QueuedItem => ({
  itemId,
  lane,
  proposal: { outcome, rule: "step-up", evidence: [], ...(change ? { change } : {}) } as unknown as Proposal,
});

describe("the queue for a week's change budget", () => {
  const plan = [
    item("squat", "knee-extensors", "step-up", knob),
    item("bridge", "hip-extensors", "hold"),
    item("squeeze", "adductors", "step-up", knob),
    item("plank", "trunk", "step-up", knob),
    item("ride", "mobility", "step-up", { kind: "next-week" }),
    item("hinge", "hamstrings", "ease", knob),
  ];

  it("holds those who would turn a knob, in the order of the plan", () => {
    expect([...stepQueue(plan, new Set())]).toEqual([
      ["squat", 0],
      ["squeeze", 1],
      ["plank", 2],
    ]);
  });

  it("lanes that block the gate come first", () => {
    expect([...stepQueue(plan, new Set<Lane>(["trunk", "adductors"]))]).toEqual([
      ["squeeze", 0],
      ["plank", 1],
      ["squat", 2],
    ]);
  });

  it("who the week counts already takes nobody's place", () => {
    expect([...stepQueue(plan, new Set(), new Set(["squat"]))]).toEqual([
      ["squat", 0],
      ["squeeze", 0],
      ["plank", 1],
    ]);
  });

  it("is empty where nobody steps up", () => {
    expect(stepQueue([item("a", "trunk", "hold"), item("b", "trunk", "stop")], new Set()).size).toBe(0);
    expect(stepQueue([], new Set<Lane>(["trunk"])).size).toBe(0);
  });
});

describe("how a lane stands to the gate", () => {
  const adherence = (percent: number | null) => new Map<Lane, number | null>([["adductors", percent]]);
  const of = (percent: number | null, ...far: boolean[]) =>
    laneReadiness(
      ["adductors"],
      far.map((asFarAsItGoes) => ({ lane: "adductors", asFarAsItGoes })),
      adherence(percent),
    )[0];

  it("ready only when every item of it has come as far as the stage lets it", () => {
    expect(of(100, true, true)?.state).toBe("ready");
    expect(of(100, true, false)?.state).toBe("on-the-way");
  });

  it("left out below 70 per cent of its days, however far its items have come", () => {
    expect(of(adherenceNeeded - 0.1, true)).toMatchObject({ state: "left-out", adherencePercent: 69.9 });
    expect(of(adherenceNeeded, true)?.state).toBe("ready");
  });

  it("not judged by its days while it is too early to say", () => {
    expect(of(null, false)).toEqual({ lane: "adductors", state: "on-the-way", adherencePercent: null });
  });

  it("empty where nothing trains it, and each lane of the stage is there once", () => {
    const lanes = laneReadiness(["adductors", "trunk"], [{ lane: "trunk", asFarAsItGoes: true }], new Map());
    expect(lanes.map(({ lane, state }) => [lane, state])).toEqual([
      ["adductors", "empty"],
      ["trunk", "ready"],
    ]);
  });
});
