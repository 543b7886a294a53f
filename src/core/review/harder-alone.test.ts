import { describe, expect, it } from "vitest";
import { ballSqueeze } from "~/catalogue/exercises/adductors";
import { startingExercises } from "~/catalogue/exercises/all";
import { labelBook } from "~/core/demand/label-book";
import type { Evidence, EvidenceCode } from "~/core/decision/record/evidence";
import { firstPrescription, type Exercise } from "~/core/exercise/exercise";
import type { Restriction } from "~/core/limit/restriction";
import { harder } from "~/core/progression/harder";
import { harderAlone } from "./harder-alone";
import type { ItemReview } from "./review-case";

const options = { book: labelBook, restrictions: [], today: "2026-03-10" };
const byId = (id: string): Exercise => {
  const found = startingExercises.find((exercise) => exercise.id === id);
  if (!found) throw new Error(id);
  return found;
};
const bridge = startingExercises.find(
  ({ lane, variants }) => lane === "hip-extensors" && (variants[0]?.turns.length ?? 0) > 0,
) as Exercise;
const review = (
  exercise: Exercise,
  {
    outcome = "hold",
    rule = "hold",
    codes = [],
  }: { outcome?: string; rule?: string; codes?: EvidenceCode[] } = {},
): ItemReview => {
  const evidence: Evidence[] = codes.map((code) => ({ code, values: {} }));
  return {
    itemId: exercise.id,
    exerciseId: exercise.id,
    lane: exercise.lane,
    prescription: firstPrescription(exercise.variants[0] as Exercise["variants"][number]),
    proposal: { outcome, rule, evidence, engineVersion: "1" },
  } as unknown as ItemReview;
};
const said = (item: ItemReview, exercise = bridge, plan: ItemReview[] = []) => {
  const answer = harderAlone(item, plan, exercise, options);
  return answer.found === "bar" ? answer.bar : answer.change.knob;
};

describe("harder on a good day, alone", () => {
  it("is the engine's own next knob, one notch, and never another variant", () => {
    for (const exercise of startingExercises) {
      const item = review(exercise);
      const answer = harderAlone(item, [], exercise, options);
      const next = harder(exercise, item.prescription, options);
      if (answer.found === "bar") continue;
      expect(next).toEqual({ found: "change", change: answer.change });
      expect(answer.change.prescription.variantId).toBe(item.prescription.variantId);
    }
    expect(said(review(bridge))).toBe(bridge.variants[0]?.turns[0]?.knob);
  });

  it("never under a stop anywhere, a due ease, a flare anywhere, a ceiling, or a last day that nobody told of", () => {
    expect(said(review(bridge, { outcome: "stop", rule: "stop-signal" }))).toBe("stop");
    const other = byId("clam");
    expect(said(review(bridge), bridge, [review(other, { outcome: "stop", rule: "stop-signal" })])).toBe(
      "stop",
    );
    expect(said(review(bridge, { outcome: "ease", rule: "ease-pain" }))).toBe("ease");
    expect(said(review(bridge), bridge, [review(other, { outcome: "ease", rule: "ease-pain" })])).not.toBe(
      "ease",
    );
    expect(said(review(bridge), bridge, [review(other, { outcome: "ease", rule: "ease-flare" })])).toBe(
      "flare",
    );
    expect(said(review(bridge, { codes: ["flare-elsewhere"] }))).toBe("flare");
    for (const code of [
      "pain-ceiling",
      "mean-rising",
      "effusion-high",
      "effusion-raised",
      "rebaseline",
    ] as const)
      expect(said(review(bridge, { codes: [code] }))).toBe("ceiling");
    for (const code of ["report-missing", "open-day"] as const)
      expect(said(review(bridge, { codes: [code] }))).toBe("unknown");
    expect(said(review(bridge, { codes: ["policy-fixed"] }))).toBe("none");
  });

  it("landings and running never; a limit is named as one", () => {
    for (const lane of ["landing", "running"] as const) {
      const exercise = startingExercises.find((one) => one.lane === lane) as Exercise;
      expect(said(review(exercise), exercise)).toBe("impact");
    }
    const limit: Restriction = {
      kind: "knob-limit",
      knob: "effort",
      hardest: "30-40",
      origin: "stage",
      says: "as written",
    };
    const squeeze = review(ballSqueeze);
    expect(harderAlone(squeeze, [], ballSqueeze, options)).toMatchObject({ change: { knob: "effort" } });
    expect(harderAlone(squeeze, [], ballSqueeze, { ...options, restrictions: [limit] })).toEqual({
      found: "bar",
      bar: "limit",
    });
  });
});
