import { describe, expect, it } from "vitest";
import { listNeeds, type NeedCode } from "~/catalogue/composer/needs";
import { startingExercises } from "~/catalogue/exercises/all";
import { doseMinutes } from "~/core/dose/dose-minutes";
import { laneCodes } from "~/core/exercise/body";
import { variantOf } from "~/core/exercise/exercise";
import { bareHome } from "~/core/exercise/kit";
import { sidesOf } from "~/core/exercise/sides-of";
import { obstacle } from "~/core/limit/obstacle";
import type { Restriction } from "~/core/limit/restriction";
import { placedBody } from "~tests/builders/placed";
import { composeList, mostItems, usualItems, type ComposeInput } from "./compose-list";

const home: Restriction = { kind: "kit", available: [...bareHome], origin: "kit", says: "a bare home" };
const compose = (codes: readonly NeedCode[], over: Partial<ComposeInput> = {}) =>
  composeList({
    needs: listNeeds.filter(({ code }) => codes.includes(code)),
    exercises: startingExercises,
    limits: [home],
    present: [],
    minutes: 30,
    today: "2026-03-10",
    book: placedBody,
    ...over,
  });
const lanes = (codes: readonly NeedCode[], over: Partial<ComposeInput> = {}) =>
  compose(codes, over).items.map(({ lane }) => lane);

describe("a list is composed from needs", () => {
  const courier = ["asks-running", "asks-jumping", "asks-turning"] as const;

  it("somebody with a history gets another list than one without: what was hurt comes first, and must", () => {
    const without = compose(courier);
    const withGroin = compose([...courier, "hurt-groin"]);
    expect(without.items.every(({ role }) => role === "optional")).toBe(true);
    expect(withGroin.items[0]).toMatchObject({ lane: "adductors", role: "main" });
    expect(withGroin.items[0]?.reasons[0]).toBe("hurt-groin");
    expect(withGroin.items.map(({ exerciseId }) => exerciseId)).not.toEqual(
      without.items.map(({ exerciseId }) => exerciseId),
    );
  });
  it("what screening found must be in it as well; what is only asked may be left out", () => {
    const { items } = compose(["asks-overhead", "found-heel-raises"]);
    expect(items.map(({ lane, role }) => [lane, role])).toEqual([
      ["calf", "main"],
      ["upper-body", "optional"],
      ["trunk", "optional"],
    ]);
  });
  it("of a lane that much is asked of there are two, by different exercises", () => {
    const found = lanes(["hurt-calf", "asks-running", "asks-sprinting"]);
    expect(found.filter((lane) => lane === "calf")).toHaveLength(2);
    const ids = compose(["hurt-calf", "asks-running", "asks-sprinting"]).items.map((item) => item.exerciseId);
    expect(new Set(ids).size).toBe(ids.length);
  });
  it("eight at most, each of two minutes at most, all within the minutes; what has no room is named", () => {
    const all = compose(
      listNeeds.map(({ code }) => code),
      { minutes: 120 },
    );
    expect(all.items).toHaveLength(usualItems);
    expect(usualItems).toBeLessThan(mostItems);
    expect(all.left.some(({ why }) => why === "full")).toBe(true);
    const short = compose(
      listNeeds.map(({ code }) => code),
      { minutes: 6 },
    );
    expect(short.minutes).toBeLessThanOrEqual(6);
    expect(short.items.length).toBeLessThan(6);
    expect(short.left.some(({ why }) => why === "minutes")).toBe(true);
    for (const { exerciseId, prescription, minutes } of [...all.items, ...all.spare]) {
      const exercise = startingExercises.find(({ id }) => id === exerciseId);
      if (!exercise) throw new Error(exerciseId);
      // The minutes of the doses, by hand of the calculation that the plan uses.
      expect(minutes).toBe(
        doseMinutes({ dose: prescription.dose, sides: sidesOf(exercise, prescription) }).minutes,
      );
      expect(minutes).toBeLessThanOrEqual(2);
    }
  });
  it("minutes of the whole are those of the exercises and half a minute between, by hand", () => {
    const { items, minutes } = compose(["hurt-groin", "found-side-plank"]);
    const sum = items.reduce((all, item) => all + item.minutes, 0);
    expect(minutes).toBeCloseTo(sum + (items.length - 1) / 2, 9);
  });
  it("nothing that a limit bars, for every need by itself; a lane that nothing fits is named", () => {
    const noSpring: Restriction = { kind: "spring", most: "none", origin: "surgeon", says: "no springs" };
    for (const { code } of listNeeds) {
      const { items, spare } = compose([code], { limits: [home, noSpring] });
      for (const { exerciseId, prescription } of [...items, ...spare]) {
        const exercise = startingExercises.find(({ id }) => id === exerciseId);
        if (!exercise) throw new Error(exerciseId);
        const variant = variantOf(exercise, prescription.variantId);
        expect(
          obstacle(prescription, variant, exercise, [home, noSpring], "2026-03-10", placedBody),
        ).toBeNull();
      }
    }
    expect(compose(["asks-jumping"], { limits: [home, noSpring] }).left).toContainEqual({
      lane: "landing",
      why: "none-fits",
    });
  });
  it("what stands in the plan is not proposed again; what comes next stands ready", () => {
    const first = compose(["hurt-groin"]);
    const again = compose(["hurt-groin"], { present: first.items.map((item) => item.exerciseId) });
    for (const { exerciseId } of first.items)
      expect([...again.items, ...again.spare].map((item) => item.exerciseId)).not.toContain(exerciseId);
    const ids = first.items.map((item) => item.exerciseId);
    for (const { exerciseId } of first.spare) expect(ids).not.toContain(exerciseId);
    expect(first.spare.length).toBeGreaterThan(0);
  });
  it("nothing asked, nothing composed; the same asked twice is composed the same", () => {
    expect(compose([])).toEqual({ items: [], spare: [], minutes: 0, left: [] });
    expect(compose(["hurt-knee"])).toEqual(compose(["hurt-knee"]));
  });
});

it("needs name lanes that exist, with weights from 1 to 4, and history weighs most", () => {
  for (const { lanes: named } of listNeeds)
    for (const [lane, weight] of Object.entries(named)) {
      expect(laneCodes).toContain(lane);
      expect(weight).toBeGreaterThanOrEqual(1);
      expect(weight).toBeLessThanOrEqual(4);
    }
  for (const { kind, lanes: named } of listNeeds)
    expect(Math.max(...Object.values(named))).toBe(
      { asks: 2, hurt: Math.max(...Object.values(named)), found: 3 }[kind],
    );
});
