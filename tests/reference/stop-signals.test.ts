import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { suspends, type ScopedItem } from "~/core/decision/stop-scope";
import { mostUrgent, stopSignal, stopSignals, type StopSignalCode } from "~/core/intake/stop-signal";
import { firstPrescription, type Exercise } from "~/core/exercise/exercise";

/** Signs, what each suspends and how soon somebody else has to see it: common practice, the same in every school. */
const table: [StopSignalCode, string, string][] = [
  ["pinch-or-block", "item", "review"],
  ["gives-way", "lane", "review"],
  ["sudden-pop", "plan", "same-day"],
  ["leg-nerve", "plan", "same-day"],
  ["saddle-bladder", "plan", "emergency"],
  ["calf-hot", "plan", "same-day"],
  ["infection", "plan", "same-day"],
  ["chest-breath-faint", "plan", "emergency"],
  ["night-weight-cancer", "plan", "soon"],
  ["bone-stress", "impact", "soon"],
  ["child-limp", "plan", "same-day"],
  ["sit-bone-tear", "hamstrings", "soon"],
  ["not-examined", "plan", "soon"],
  ["dizziness", "session", "review"],
  ["knee-locked", "plan", "same-day"],
  ["cannot-lift-leg", "plan", "same-day"],
  ["nerve-worse", "plan", "emergency"],
  ["groin-hop-night", "impact", "same-day"],
  ["leg-pain-standing", "extension", "soon"],
];

describe("the table of stop signals", () => {
  it.each(table)("%s suspends the %s, urgency %s", (code, scope, urgency) => {
    expect(stopSignal(code)).toMatchObject({ suspends: scope, urgency });
  });

  it("has every signal and no other", () => {
    expect(stopSignals.map(({ code }) => code).sort()).toEqual(table.map(([code]) => code).sort());
  });

  it("whatever suspends a whole plan is asked at intake", () => {
    for (const { code, suspends: scope, asked } of stopSignals)
      if (scope === "plan") expect([code, asked]).toEqual([code, true]);
  });

  it("of several signs the most urgent one says how soon", () => {
    expect(mostUrgent(["calf-hot", "saddle-bladder", "bone-stress"])).toBe("emergency");
    expect(mostUrgent(["bone-stress", "infection"])).toBe("same-day");
    expect(mostUrgent(["dizziness", "night-weight-cancer"])).toBe("soon");
    expect(mostUrgent(["gives-way"])).toBe("review");
    expect(mostUrgent(["a-sneeze"])).toBeNull();
    expect(mostUrgent([])).toBeNull();
  });
});

const scoped = (exercise: Exercise): ScopedItem => ({
  itemId: exercise.id,
  exercise,
  prescription: firstPrescription(exercise.variants[0] as Exercise["variants"][number]),
});
const named = (id: string): ScopedItem => {
  const exercise = startingExercises.find((entry) => entry.id === id);
  if (!exercise) throw new Error(`${id} is not in the catalogue`);
  return scoped(exercise);
};
const struck = (scope: Parameters<typeof suspends>[0], seenIn: ScopedItem | null) =>
  startingExercises.map(scoped).filter((item) => suspends(scope, item, seenIn));

describe("what a scope reaches in the catalogue", () => {
  it("an item: that one and nothing else", () => {
    expect(struck("item", named("side-step-up")).map(({ itemId }) => itemId)).toEqual(["side-step-up"]);
    expect(struck("item", null)).toEqual([]);
  });

  it("a lane: everything of the lane it was seen in", () => {
    const reached = struck("lane", named("side-step-up"));
    expect(reached.length).toBeGreaterThan(3);
    expect(new Set(reached.map(({ exercise }) => exercise.lane))).toEqual(new Set(["knee-extensors"]));
    expect(struck("lane", null)).toEqual([]);
  });

  it("impact: jumps, landings and running, and nothing that keeps a foot on the ground", () => {
    const reached = new Set(struck("impact", null).map(({ itemId }) => itemId));
    for (const { id, lane, variants } of startingExercises) {
      const first = variants[0]?.settings["contraction"] === "plyometric";
      expect([id, reached.has(id)]).toEqual([id, lane === "landing" || lane === "running" || first]);
    }
    expect(reached.size).toBeGreaterThan(5);
    expect(reached).not.toContain("ball-squeeze");
  });

  it("hamstrings: their lane and whatever else trains them", () => {
    const reached = struck("hamstrings", null);
    expect(reached.map(({ exercise }) => exercise.lane)).toContain("hip-extensors");
    for (const { exercise } of reached)
      expect([exercise.lane, ...(exercise.alsoTrains ?? [])]).toContain("hamstrings");
    const others = startingExercises.length - reached.length;
    expect(others).toBeGreaterThan(reached.length);
  });

  it("extension: what bends the back backwards, and nothing else", () => {
    const reached = struck("extension", null);
    expect(reached.length).toBeGreaterThan(0);
    expect(new Set(reached.map(({ exercise }) => exercise.regions?.includes("back")))).toEqual(
      new Set([true]),
    );
  });

  it("a plan or a session: everything", () => {
    expect(struck("plan", null)).toHaveLength(startingExercises.length);
    expect(struck("session", null)).toHaveLength(startingExercises.length);
  });
});
