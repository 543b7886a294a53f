import { describe, expect, it } from "vitest";
import { bookFor } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import { decideExample } from "~/core/calculation/examples";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import type { Restriction } from "~/core/limit/restriction";
import { obstacle } from "~/core/limit/obstacle";
import { decide } from "./decide";
import type { DecideInput } from "./record/decide-input";

/** What is prescribed already and a limit bars now (common practice; the surgeon's sheet wins). */
const book = bookFor({ heightM: 1.75 }, new Map());
const input = (
  variantId: string,
  restrictions: Restriction[],
  settings: Record<string, number> = {},
): DecideInput => {
  const exercise = startingExercises.find(({ variants }) => variants.some(({ id }) => id === variantId));
  if (!exercise) throw new Error(variantId);
  const first = firstPrescription(variantOf(exercise, variantId));
  return {
    ...decideExample,
    exercise,
    prescription: { ...first, settings: { ...first.settings, ...settings } },
    trainingDays: [],
    changes: [],
    restrictions,
  };
};
const bend = (mostDeg: number, origin: Restriction["origin"] = "surgeon"): Restriction => ({
  kind: "range",
  joint: "knee",
  mostDeg,
  when: "any",
  leg: "involved",
  origin,
  says: `knee to ${mostDeg}°`,
});
const judged = (...args: Parameters<typeof input>) => decide(input(...args), undefined, book);

describe("an exercise that is beyond a limit in force", () => {
  const wall = startingExercises.find(({ id }) => id === "wall-squat");
  const deep = wall?.variants.find(({ settings }) => Number(settings["knee-angle"]) >= 60)?.id ?? "";

  it("is eased to the nearest setting within all limits, which the answer names", () => {
    const proposal = judged(deep, [bend(60)], { "knee-angle": 75 });
    expect(proposal).toMatchObject({
      outcome: "ease",
      rule: "ease-beyond-limit",
      review: true,
      evidence: [{ code: "beyond-limit", values: { says: "knee to 60°", origin: "surgeon" } }],
      change: { knob: "knee-angle", from: 75 },
    });
    const to = proposal.change && "prescription" in proposal.change ? proposal.change.prescription : null;
    const { exercise } = input(deep, []);
    expect(
      to && obstacle(to, variantOf(exercise, to.variantId), exercise, [bend(60)], "2026-03-11", book),
    ).toBeNull();
  });
  it("comes down several notches at once, or variants, as far as it takes", () => {
    const lunge = judged("split-squat-rear-raised", [bend(95)]);
    expect(["ease", "stop"]).toContain(lunge.outcome);
    expect(lunge.rule).toMatch(/beyond-limit/);
  });
  it("is suspended where nothing easier of it is allowed, and has no urgency", () => {
    const none: Restriction = { kind: "weight", mostShare: 0, origin: "procedure", says: "no weight" };
    expect(judged("chair-lowering", [none])).toMatchObject({
      outcome: "stop",
      rule: "beyond-limit",
      change: { kind: "suspend", scope: "item" },
    });
  });
  it("a stage's limit and the kit are answered by moving and swapping, not by an ease", () => {
    expect(judged(deep, [bend(60, "stage")], { "knee-angle": 75 }).rule).not.toMatch(/beyond-limit/);
  });
  it("within its limits it is left alone", () => {
    expect(judged(deep, [bend(90)], { "knee-angle": 75 }).rule).not.toMatch(/beyond-limit/);
    expect(judged(deep, [{ ...bend(60), until: "2026-03-01" }], { "knee-angle": 75 }).rule).not.toMatch(
      /beyond-limit/,
    );
  });
  it("a stop signal still comes first", () => {
    const stopped = { ...input(deep, [bend(60)], { "knee-angle": 75 }) };
    const signal = { code: "calf-hot", scope: "plan" as const, raisedAt: "2026-03-10T08:00:00Z" };
    expect(decide({ ...stopped, stopSignals: [signal] }, undefined, book).rule).toBe("stop-signal");
  });
});
