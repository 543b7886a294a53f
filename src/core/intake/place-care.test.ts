import { describe, expect, it } from "vitest";
import { ballSqueeze } from "~/catalogue/exercises/adductors";
import { pathwayByCode } from "~/catalogue/pathways/all";
import type { Lane, Phase } from "~/core/exercise/body";
import type { Exercise, Variant } from "~/core/exercise/exercise";
import type { Pathway, Stage } from "~/core/pathway/pathway";
import { daysToLastStage } from "~/core/pathway/days-to-last-stage";
import { someIntake } from "~tests/builders/intake";
import { placed } from "~tests/builders/placed";
import { squeezeLike as exercise } from "~tests/builders/squeeze-like";
import type { Intake } from "./intake";

// One lane, exercises that differ in one thing each; what is asked is what handbook and trade want of a placing (common practice).
const today = "2026-03-10";
const groin = pathwayByCode("groin-strain");
const [template] = ballSqueeze.variants;
if (!template) throw new Error("the catalogue has a squeeze");

const variant = (id: string, phase: Phase, over: Partial<Variant> = {}): Variant => ({
  ...template,
  id,
  name: id,
  kit: [],
  phase,
  ...over,
});
type StageLane = Stage["lanes"][number];
function laneOf(
  exercises: Exercise[],
  over: Partial<Intake> = {},
  stage: { lane?: Partial<StageLane>; limits?: Stage["limits"] } = {},
) {
  const pathway: Pathway = {
    ...groin,
    region: "groin",
    stages: groin.stages.map((one, n) =>
      n > 0
        ? one
        : {
            ...one,
            limits: stage.limits ?? [],
            lanes: [{ lane: "adductors", exercises: exercises.map(({ id }) => id), ...stage.lane }],
          },
    ),
  };
  const [lane] = placed(someIntake("groin-strain", { onsetOn: today, ...over }), {
    pathway,
    exercises,
  }).lanes;
  if (!lane) throw new Error("no lane");
  return lane;
}

describe("who is handled gently gets the easier of a progression first", () => {
  // The second variant needs less kit, which decides only where nobody needs gentleness.
  const ladder = exercise("ladder", [
    variant("first-with-ball", "range", { kit: ["ball"] }),
    variant("second-without", "range"),
  ]);
  const chosen = (over: Partial<Intake>) => laneOf([ladder], over).chosen?.variantId;

  it("a calm site: less kit breaks the tie", () => {
    expect(chosen({ irritability: "moderate", fellLastYear: false, fearsFalling: false })).toBe(
      "second-without",
    );
    expect(chosen({ irritability: "low", fellLastYear: false })).toBe("second-without");
  });
  it.each([
    [{ irritability: "high", fellLastYear: false }],
    [{ irritability: "moderate", fellLastYear: true }],
    [{ irritability: "moderate", fellLastYear: false, fearsFalling: true }],
  ] as const)("%j", (over) => {
    expect(chosen(over)).toBe("first-with-ball");
  });
});

describe("what the stage needs first", () => {
  const three = ["a", "b", "c"].map((id) => exercise(id, [variant(`${id}-v`, "range")]));
  it("in the order the stage gives, before those it does not name", () => {
    const lane = laneOf(three, {}, { lane: { first: ["c", "b"] } });
    expect([lane.chosen, ...lane.alternatives].map((item) => item?.exerciseId)).toEqual(["c", "b", "a"]);
  });
  it("without such an order they stand as the catalogue has them", () => {
    const lane = laneOf(three);
    expect([lane.chosen, ...lane.alternatives].map((item) => item?.exerciseId)).toEqual(["a", "b", "c"]);
    expect(lane.chosen?.drawnLike).toBeNull();
  });
});

describe("phases that the stage trains", () => {
  const mixed = exercise("mixed", [variant("held", "isometric"), variant("moved", "isolated")]);
  const phases = (lane: Lane, ...allowed: Phase[]) => ({
    limits: [
      {
        kind: "phases" as const,
        origin: "stage" as const,
        says: "stage",
        lanes: [{ lane, phases: allowed }],
      },
    ],
  });
  it("bind the lane they are said of: others of it are not proposed", () => {
    expect(laneOf([mixed], { irritability: "low" }, phases("adductors", "isometric")).chosen?.variantId).toBe(
      "held",
    );
    expect(laneOf([mixed], { irritability: "high" }, phases("adductors", "isolated")).chosen?.variantId).toBe(
      "moved",
    );
  });
  it("range work is let pass by a limit, and not proposed where the stage trains none", () => {
    const ranged = exercise("ranged", [variant("range", "range"), variant("held", "isometric")]);
    expect(
      laneOf([ranged], { irritability: "high" }, phases("adductors", "isometric")).chosen?.variantId,
    ).toBe("held");
  });
});

describe("nothing for the affected leg", () => {
  const noLoad = {
    limits: [{ kind: "resisted", muscle: "adductors", most: "none", origin: "surgeon", says: "no pull" }],
  } as const;
  const each = exercise(
    "each",
    [variant("each-v", "isometric", { settings: { contraction: "isometric", laterality: "single" } })],
    {
      sides: "each-side",
      asks: { resisted: ["adductors"] },
    },
  );
  const shared = exercise(
    "shared",
    [variant("shared-v", "isometric", { settings: { contraction: "isometric", laterality: "both" } })],
    {
      asks: { resisted: ["adductors"] },
    },
  );
  it("the other leg's work, said so; what the legs share is none of it", () => {
    const lane = laneOf([shared, each], { limits: [...noLoad.limits] });
    expect(lane.chosen?.variantId).toBe("each-v");
    expect(lane.chosen?.prescription.leg).toBe("other");
    expect(lane.reasons.map(({ code }) => code)).toContain("other-leg");
    expect(lane.leftOut).toEqual([{ says: "no pull", count: 2 }]);
  });
  it("not with both legs affected: the lane is named", () => {
    const lane = laneOf([each], { limits: [...noLoad.limits], involvedSide: "both" });
    expect(lane).toMatchObject({ chosen: null, reasons: [{ code: "none-fits" }] });
  });
});

describe("days count from what the pathway counts from", () => {
  const knee = pathwayByCode("ligament-reconstruction");
  const intake = (over: Partial<Intake>) =>
    someIntake("ligament-reconstruction", { onsetOn: "2025-12-01", ...over });
  const place = (over: Partial<Intake>) => placed(intake(over), { pathway: knee });
  const operated = (on: string) => ({ surgery: { on, graft: "hamstring" } }) as Partial<Intake>;

  it("an operation of today is done; one of tomorrow is not, and the stage is one before surgery", () => {
    expect(knee.stages.find(({ code }) => code === place(operated(today)).stage)?.beforeSurgery).not.toBe(
      true,
    );
    expect(knee.stages.find(({ code }) => code === place(operated("2026-03-11")).stage)?.beforeSurgery).toBe(
      true,
    );
  });
  it("weeks needed are those of the calendar from the operation, rounded up", () => {
    const answer = place(operated("2026-03-01"));
    const days = daysToLastStage(knee, {
      stage: answer.stage,
      enteredOn: today,
      countedFrom: "2026-03-01",
      today,
    });
    expect(answer.weeksNeeded).toBe(Math.ceil(days / 7));
    expect(answer.weeksNeeded).toBeGreaterThan(place(operated("2025-12-15")).weeksNeeded - 1);
  });
  it("where nothing was measured no ability is said, and no stage was measured open", () => {
    const { reasons } = place(operated("2026-03-01"));
    expect(reasons.map(({ code }) => code)).not.toContain("ability");
    expect(reasons.map(({ code }) => code)).not.toContain("measured");
  });
});
