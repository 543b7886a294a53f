import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { pathwayByCode, startingPathways } from "~/catalogue/pathways/all";
import type { MeasureResult } from "~/core/measure/measure";
import { bareHome, fullGym } from "~/core/exercise/kit";
import { obstacle } from "~/core/limit/obstacle";
import { variantOf } from "~/core/exercise/exercise";
import { someIntake } from "~tests/builders/intake";
import { placed, placedBody } from "~tests/builders/placed";
import { intakeProblems, personalLimits, type Intake } from "./intake";
import { mostUrgent, stopSignals } from "./stop-signal";

const today = "2026-03-10";
const book = placedBody;
const place = (intake: Intake, results: MeasureResult[] = [], on = today) =>
  placed(intake, { results, today: on });

describe.each(startingPathways.map((p) => p.code))("%s", (code) => {
  it.each([
    ["at home without kit", bareHome],
    ["in a gym", fullGym],
  ])("%s: every lane of the stage gets an exercise that no limit forbids", (_where, kit) => {
    const intake = someIntake(code, { kit: [...kit] });
    expect(intakeProblems(intake, pathwayByCode(code), today)).toEqual([]);
    const { lanes, stage } = place(intake);
    const limits = [...intake.limits, ...personalLimits(intake)];
    expect(lanes.filter((lane) => lane.chosen === null).map((lane) => lane.lane)).toEqual([]);
    for (const { lane, chosen } of lanes) {
      const exercise = startingExercises.find((e) => e.id === chosen?.exerciseId);
      if (!exercise || !chosen) throw new Error(`${stage} ${lane}`);
      expect(exercise.lane).toBe(lane);
      const variant = variantOf(exercise, chosen.variantId);
      expect(obstacle(chosen.prescription, variant, exercise, limits, today, book)).toBeNull();
    }
  });
});

describe("the stage", () => {
  const result = (
    measure: string,
    value: number,
    side: "left" | "right" | "none" = "none",
  ): MeasureResult => ({
    id: `${measure}${side}`,
    measure,
    side,
    value,
    takenOn: today,
    occasion: "since-injury",
  });
  const calm = [result("pain-step-down", 1), result("pain-worst", 2)];
  it("is the first without a baseline, and says what is missing", () => {
    expect(place(someIntake("kneecap-pain"))).toMatchObject({
      stage: "calm",
      reasons: [{ code: "criteria" }, { code: "first-stage" }],
    });
  });
  it("is further along when what was measured opens the gates before", () => {
    expect(place(someIntake("kneecap-pain"), calm).stage).toBe("capacity");
  });
  it("is never above what time allows, whatever was measured", () => {
    const fresh = someIntake("kneecap-pain", { onsetOn: "2026-03-08" });
    expect(place(fresh, calm)).toMatchObject({
      stage: "calm",
      reasons: [{ code: "time", values: { days: 5 } }, { code: "first-stage" }],
    });
  });
  it("before an operation that is planned, and after one that was done", () => {
    const surgery = { procedure: "cruciate ligament reconstruction", graft: "hamstring" };
    const planned = someIntake("ligament-reconstruction", { surgery: { ...surgery, on: "2026-04-10" } });
    expect(intakeProblems(planned, pathwayByCode("ligament-reconstruction"), today)).toEqual([]);
    expect(place(planned).stage).toBe("before-surgery");
    expect(
      place(someIntake("ligament-reconstruction", { surgery: { ...surgery, on: "2026-03-01" } })).stage,
    ).toBe("recover");
  });
});

describe("the plan", () => {
  it("is gentler for the irritable: no lane is placed further along the chain", () => {
    const order = ["range", "isometric", "isolated", "compound", "spring", "running"];
    const phaseOf = (level: Intake["irritability"]) =>
      place(someIntake("kneecap-pain", { irritability: level })).lanes.map(({ chosen }) => {
        const exercise = startingExercises.find((e) => e.id === chosen?.exerciseId);
        return order.indexOf(exercise?.variants.find((v) => v.id === chosen?.variantId)?.phase ?? "range");
      });
    const [high, moderate, low] = (["high", "moderate", "low"] as const).map(phaseOf);
    high?.forEach((phase, i) => {
      expect(phase).toBeLessThanOrEqual(moderate?.[i] ?? -1);
      expect(moderate?.[i]).toBeLessThanOrEqual(low?.[i] ?? -1);
    });
  });
  it.each([
    ["ligament-reconstruction", "knee"],
    ["hip-arthroscopy", "hip"],
    ["ankle-and-calf", "ankle"],
  ] as const)("moves the joint that was hurt first: %s, %s", (code, region) => {
    const { lanes } = place(someIntake(code));
    const mobility = lanes.find(({ lane }) => lane === "mobility")?.chosen;
    const exercise = startingExercises.find(({ id }) => id === mobility?.exerciseId);
    expect(exercise?.regions).toContain(region);
  });

  it("fits the minutes of a day by fewer sets, and says so where even that is not enough", () => {
    const roomy = place(someIntake("groin-strain", { minutesPerDay: 120 }));
    const tight = place(someIntake("groin-strain", { minutesPerDay: 10 }));
    expect(roomy.fits).toBe(true);
    expect(tight.minutes).toBeLessThan(roomy.minutes);
    expect(tight.lanes.flatMap((lane) => lane.reasons.map((r) => r.code))).toContain("few-sets");
    expect(place(someIntake("ligament-reconstruction", { minutesPerDay: 5 })).fits).toBe(false);
  });
  it("asks nobody to a floor they cannot leave, and names a lane that then stays empty", () => {
    const { lanes } = place(someIntake("groin-strain", { reachesFloor: false }));
    for (const { chosen } of lanes) {
      const exercise = startingExercises.find((e) => e.id === chosen?.exerciseId);
      const position = exercise?.variants.find((v) => v.id === chosen?.variantId)?.position;
      expect([undefined, "standing", "sitting"]).toContain(position);
    }
    const none = place(
      someIntake("groin-strain", { cannotPositions: ["standing", "sitting"], reachesFloor: false }),
    );
    expect(none.lanes.every((lane) => lane.chosen === null && lane.reasons[0]?.code === "none-fits")).toBe(
      true,
    );
  });
  it("counts the weeks that are still needed against the target", () => {
    const answer = place(someIntake("groin-strain", { onsetOn: today, targetOn: "2026-04-14" }));
    // protect 2, isometric to day 10, build, load to day 28, run 14 days after that at the earliest
    expect(answer.weeksToTarget).toBe(5);
    expect(answer.weeksNeeded).toBeGreaterThan(5);
  });
});

describe("an intake that cannot be", () => {
  const problems = (over: Partial<Intake>, pathway = "ligament-reconstruction") =>
    intakeProblems(someIntake(pathway, over), pathwayByCode(pathway), today).map((p) => p.path);
  const surgery = { on: "2026-03-01", procedure: "cruciate ligament reconstruction", graft: "hamstring" };
  it.each([
    ["an operation before the injury", { surgery: { ...surgery, on: "2020-01-01" } }, "/surgery/on"],
    ["a graft of another knee", { surgery: { ...surgery, graft: "bamboo" } }, "/surgery/graft"],
    ["no graft named", { surgery: { on: surgery.on, procedure: surgery.procedure } }, "/surgery/graft"],
    ["another procedure", { surgery: { ...surgery, procedure: "labral repair" } }, "/surgery/procedure"],
    ["an injury to come", { onsetOn: "2026-03-11" }, "/onsetOn"],
    ["a target in the past", { targetOn: "2026-03-10" }, "/targetOn"],
    ["no consent", { consent: false }, "/consent"],
    ["kit nobody has", { kit: ["anvil"] }, "/kit/0"],
    [
      "a limit that ends before it starts",
      {
        limits: [
          {
            kind: "range-limit",
            joint: "knee",
            mostDeg: 90,
            origin: "surgeon",
            says: "to 90°",
            from: "2026-04-01",
            until: "2026-03-20",
          },
        ],
      },
      "/limits/0/until",
    ],
  ] as [string, Partial<Intake>, string][])("%s", (_what, over, path) =>
    expect(problems(over)).toContain(path),
  );
  it("an operation in the future where no stage comes before it; a graft where there is none; none where one is needed", () => {
    const repair = { procedure: "meniscus repair" };
    expect(problems({ surgery: { ...repair, on: "2026-04-01" } }, "meniscus-repair")).toEqual([
      "/surgery/on",
    ]);
    expect(
      problems({ surgery: { ...repair, on: "2026-03-01", graft: "hamstring" } }, "meniscus-repair"),
    ).toEqual(["/surgery/graft"]);
    expect(problems({ surgery: undefined }, "meniscus-repair")).toEqual(["/surgery"]);
    expect(problems({ surgery }, "kneecap-pain")).toContain("/surgery");
  });
});

it("the most urgent of several signs decides; every sign stands once", () => {
  expect(mostUrgent(["bone-stress", "calf-hot", "saddle-bladder"])).toBe("emergency");
  expect(mostUrgent(["bone-stress", "calf-hot"])).toBe("same-day");
  expect(mostUrgent([])).toBeNull();
  expect(new Set(stopSignals.map((s) => s.code)).size).toBe(stopSignals.length);
});
