import { describe, expect, it } from "vitest";
import { ballSqueeze } from "~/catalogue/exercises/adductors";
import { pathwayByCode } from "~/catalogue/pathways/all";
import { dose, from } from "~/catalogue/exercises/compose";
import type { Phase } from "~/core/exercise/body";
import type { Exercise, Variant } from "~/core/exercise/exercise";
import type { Pathway } from "~/core/pathway/pathway";
import { someIntake } from "~tests/builders/intake";
import { placed } from "~tests/builders/placed";
import { squeezeLike as exercise } from "~tests/builders/squeeze-like";
import type { Intake } from "./intake";

// A pathway of one lane, and exercises that differ in one thing each, so that every reason of a choice counts.
const today = "2026-03-10";
const groin: Pathway = { ...pathwayByCode("groin-strain"), region: "groin" };
const [template] = ballSqueeze.variants;
if (!template) throw new Error("no variant");

const variant = (id: string, phase: Phase | undefined, over: Partial<Variant> = {}): Variant => {
  const { phase: _phase, ...plain } = template;
  return {
    ...plain,
    id,
    name: id,
    kit: [],
    dose: dose("isometric-clinic", { sets: 3, hold: from(10) }),
    ...(phase ? { phase } : {}),
    ...over,
  };
};

function place(exercises: Exercise[], over: Partial<Intake> = {}, named = exercises.map(({ id }) => id)) {
  const [first] = groin.stages;
  if (!first) throw new Error("no stage");
  const pathway: Pathway = {
    ...groin,
    stages: [
      {
        ...first,
        limits: [],
        lanes: [{ lane: "adductors", exercises: named.length > 0 ? named : ["nothing"] }],
      },
      ...groin.stages.slice(1),
    ],
  };
  const intake = someIntake("groin-strain", { onsetOn: today, ...over });
  return placed(intake, { pathway, exercises });
}
const laneOf = (...input: Parameters<typeof place>) => {
  const [lane] = place(...input).lanes;
  if (!lane) throw new Error("no lane");
  return lane;
};

describe("which exercise stands for a lane", () => {
  const three = [
    exercise("gentle", [variant("range-a", "range")]),
    exercise("middle", [variant("isolated-a", "isolated")]),
    exercise("far", [variant("compound-a", "compound")]),
  ];

  it.each([
    ["high", "range-a", "range"],
    ["moderate", "isolated-a", "isolated"],
    ["low", "compound-a", "compound"],
  ] as const)("irritability %s: %s, and the reason says the phase %s", (irritability, variantId, phase) => {
    const lane = laneOf(three, { irritability });
    expect(lane.chosen?.variantId).toBe(variantId);
    expect(lane.reasons).toEqual([{ code: "irritability", values: { level: irritability, phase } }]);
  });

  it("of an even number the gentler middle; of one phase that one, whatever the irritability", () => {
    expect(laneOf(three.slice(0, 2), { irritability: "moderate" }).chosen?.variantId).toBe("range-a");
    expect(laneOf(three.slice(2), { irritability: "high" }).chosen?.variantId).toBe("compound-a");
  });

  it("one without a phase comes last", () => {
    const unplaced = exercise("unplaced", [variant("no-phase", undefined)]);
    expect(laneOf([unplaced, ...three.slice(2)], { irritability: "high" }).chosen?.variantId).toBe(
      "compound-a",
    );
    const alone = laneOf([unplaced]);
    expect(alone.chosen?.variantId).toBe("no-phase");
    expect(alone.reasons).toEqual([{ code: "irritability", values: { level: "moderate", phase: "range" } }]);
  });

  it("what moves the hurt region before what does not, then less kit; kit that is needed is said", () => {
    const elsewhere = exercise("elsewhere", [variant("a", "range")], { regions: ["shoulder"] });
    const nowhere = exercise("nowhere", [variant("b", "range")], { regions: undefined as never });
    const kitted = exercise("kitted", [variant("c", "range", { kit: ["ball", "band"] })]);
    const plain = exercise("plain", [variant("d", "range", { kit: ["ball"] })]);
    expect(laneOf([elsewhere, nowhere, kitted, plain]).chosen?.variantId).toBe("d");
    const lane = laneOf([elsewhere, nowhere, kitted]);
    expect(lane.chosen?.variantId).toBe("c");
    expect(lane.reasons[1]).toEqual({ code: "kit", values: { kit: "ball,band" } });
    expect(lane.alternatives.map(({ variantId }) => variantId)).toEqual(["a", "b"]);
  });

  it("nearer to the wanted phase before nearer to the region", () => {
    const far = exercise("far-here", [variant("e", "compound")]);
    const near = exercise("near-there", [variant("f", "range")], { regions: ["shoulder"] });
    expect(laneOf([far, near], { irritability: "high" }).chosen?.variantId).toBe("f");
  });

  it("every other exercise once, by its best variant, six at most; never the chosen one again", () => {
    const many = Array.from({ length: 9 }, (_, n) =>
      exercise(`x${n}`, [variant(`x${n}-range`, "range"), variant(`x${n}-compound`, "compound")]),
    );
    const { chosen, alternatives } = laneOf(many, { irritability: "high" });
    expect(chosen).toMatchObject({ variantId: "x0-range", exerciseId: "x0", exerciseName: "x0" });
    expect(alternatives.map(({ variantId }) => variantId)).toEqual(
      [1, 2, 3, 4, 5, 6].map((n) => `x${n}-range`),
    );
  });

  it("those the stage names; all of the lane where it names none that is there; no other lane's", () => {
    const [gentle, middle] = three as [Exercise, Exercise];
    expect(laneOf([gentle, middle], { irritability: "high" }, ["middle"]).chosen?.exerciseId).toBe("middle");
    expect(laneOf([gentle, middle], { irritability: "high" }, []).chosen?.exerciseId).toBe("gentle");
    const other = exercise("other-lane", [variant("calf", "range")], { lane: "calf" });
    expect(laneOf([other], {}, []).reasons).toEqual([{ code: "none-fits", values: { lane: "adductors" } }]);
    expect(laneOf([other], {}, [])).toMatchObject({ chosen: null, alternatives: [] });
  });
});

describe("the minutes of a day", () => {
  const work = (id: string, sets: number) =>
    exercise(id, [variant(`${id}-v`, "range", { dose: dose("isometric-clinic", { sets, hold: from(60) }) })]);

  it("what fits keeps its sets; exactly as many minutes as there are fit", () => {
    const roomy = place([work("a", 5)], { minutesPerDay: 90 });
    expect(roomy.lanes[0]?.chosen?.prescription.dose.sets).toBe(5);
    expect(roomy.fits).toBe(true);
    expect(place([work("a", 5)], { minutesPerDay: Math.ceil(roomy.minutes) }).lanes[0]?.reasons).toHaveLength(
      1,
    );
    const exact = place([work("a", 5)], { minutesPerDay: roomy.minutes });
    expect([exact.fits, exact.lanes[0]?.chosen?.prescription.dose.sets]).toEqual([true, 5]);
  });

  it("too long: sets go one by one, never the last; the reason says how many are left, once", () => {
    const tight = place([work("a", 5)], { minutesPerDay: 1 });
    expect(tight.lanes[0]?.chosen?.prescription.dose.sets).toBe(1);
    expect(tight.lanes[0]?.reasons).toEqual([
      { code: "irritability", values: { level: "moderate", phase: "range" } },
      { code: "few-sets", values: { sets: 1 } },
    ]);
    expect(tight.fits).toBe(tight.minutes <= 1);
    const half = place([work("a", 5)], { minutesPerDay: 4 });
    expect(half.minutes).toBeLessThanOrEqual(4);
    expect(half.lanes[0]?.chosen?.prescription.dose.sets).toBeGreaterThan(1);
    // One set more would not have fitted.
    const { chosen } = half.lanes[0] ?? {};
    const sets = chosen?.prescription.dose.sets ?? 0;
    expect(place([work("a", sets + 1)], { minutesPerDay: 90 }).minutes).toBeGreaterThan(4);
    expect(half.lanes[0]?.chosen?.time.minutes).toBe(half.minutes);
  });

  it("the longest item gives first", () => {
    const [first] = groin.stages;
    if (!first) throw new Error("no stage");
    const calf = work("calf-work", 2);
    const both = placed(someIntake("groin-strain", { onsetOn: today, minutesPerDay: 9 }), {
      pathway: {
        ...groin,
        stages: [
          {
            ...first,
            limits: [],
            lanes: [
              { lane: "calf", exercises: ["calf-work"] },
              { lane: "adductors", exercises: ["long"] },
            ],
          },
          ...groin.stages.slice(1),
        ],
      },
      exercises: [{ ...calf, lane: "calf" }, work("long", 6)],
    });
    const sets = both.lanes.map(({ chosen }) => chosen?.prescription.dose.sets ?? 0);
    expect(sets[0]).toBe(2);
    expect(sets[1]).toBeLessThan(6);
  });
});

describe("the weeks ahead", () => {
  it("whole weeks, rounded up for what is needed and down for what is left; null without a target", () => {
    const [squeeze] = [exercise("a", [variant("a-v", "range")])];
    const answer = place([squeeze], { targetOn: "2026-03-30" });
    expect(answer.weeksToTarget).toBe(2);
    expect(answer.weeksNeeded).toBeGreaterThan(0);
    expect(Number.isInteger(answer.weeksNeeded)).toBe(true);
    expect(place([squeeze]).weeksToTarget).toBeNull();
  });
});
