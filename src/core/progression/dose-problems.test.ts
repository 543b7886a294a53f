import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { dose, from, load } from "~/catalogue/exercises/compose";
import { doseStyles, type Dose } from "~/core/dose/dose";
import { doseProblems } from "./dose-problems";
import { doseStyle, doseStyleList } from "~/core/dose/dose-style";

const moving = {
  settings: { contraction: "concentric-eccentric" },
  turns: [load("dumbbells", 40, 2)],
  kit: [],
};
const still = { settings: { contraction: "isometric" }, turns: [], kit: [] };
const springy = { settings: { contraction: "plyometric" }, turns: [], kit: [] };
const suited = { "isometric-clinic": still, "isometric-tendon": still, squeeze: still, plyometric: springy };

describe("every style", () => {
  it.each(doseStyles)("%s has a definition whose usual dose makes sense", (name) => {
    const movement = (suited as Record<string, typeof moving>)[name] ?? moving;
    expect(doseProblems(dose(name), movement, "/dose")).toEqual([]);
    expect(doseStyle(name).policies).toContain(dose(name).policy);
  });
  it("stands once in the list", () => {
    expect(doseStyleList.map((style) => style.name).sort()).toEqual([...doseStyles].sort());
  });
});

describe("a dose that makes no sense is refused with field and reason", () => {
  const strength = dose("strength");
  const refused: [string, Dose, typeof moving, string, RegExp][] = [
    [
      "hops counted in repetitions",
      { ...dose("plyometric"), reps: from(8) },
      springy,
      "/reps",
      /counts its work/,
    ],
    ["strength work held still", strength, still, "/style", /no sense for isometric/],
    [
      "springs four days a week",
      dose("plyometric", { daysPerWeek: 4 }),
      springy,
      "/daysPerWeek",
      /more than the 3/,
    ],
    [
      "141 contacts",
      dose("plyometric", { sets: 3, contacts: from(47) }),
      springy,
      "/contacts",
      /141 a session; 140/,
    ],
    [
      "heavy slow work without a load",
      dose("heavy-slow"),
      { ...moving, turns: [] },
      "/style",
      /needs a load/,
    ],
    [
      "a load that nothing carries",
      { ...strength, loadKg: 5 },
      { ...moving, turns: [] },
      "/loadKg",
      /cannot be carried/,
    ],
    ["a band's pull without a band", { ...strength, bandN: 40 }, moving, "/bandN", /with a band/],
    [
      "an effort band in moving work",
      { ...strength, effort: { lowPercent: 50, highPercent: 70 } },
      moving,
      "/effort",
      /maximal hold/,
    ],
    ["a tempo that lasts no time", { ...strength, tempo: "0-0-0-0" }, moving, "/tempo", /no time/],
    ["a tempo for a hold", dose("endurance", { tempo: "3-0-3-0" }), moving, "/tempo", /repetitions/],
    ["a stretch that would step up", dose("stretch", { policy: "hold" }), still, "/policy", /does not go/],
    [
      "two hours of planks",
      dose("endurance", { sets: 12, hold: from(600) }),
      still,
      "",
      /minutes; 60 at most/,
    ],
    ["a range upside down", dose("strength", { reps: { bottom: 12, top: 8 } }), moving, "/reps", /above top/],
    ["nothing at all", { ...strength, reps: undefined }, moving, "", /asks for nothing/],
  ];
  it.each(refused)("%s", (_what, given, movement, field, reason) => {
    const found = doseProblems(given, movement, "/dose").filter((p) => p.path === `/dose${field}`);
    expect(found.map((p) => p.problem).join()).toMatch(reason);
  });
});

it("no first dose of the catalogue asks for more than half an hour, runs and cycling apart", async () => {
  const { doseMinutes } = await import("~/core/dose/dose-minutes");
  const { sidesOf } = await import("~/core/exercise/sides-of");
  for (const exercise of startingExercises) {
    for (const variant of exercise.variants) {
      const { minutes } = doseMinutes({ dose: variant.dose, sides: sidesOf(exercise, variant) });
      expect(minutes, variant.id).toBeGreaterThan(0);
      expect(minutes, variant.id).toBeLessThan(30);
    }
  }
});
