import { describe, expect, it } from "vitest";
import { check } from "~/core/schema/check";
import { Exercise, type Variant } from "~/core/exercise/exercise";
import { exerciseProblems, missingFields } from "~/core/progression/exercise-problems";
import { bareHome, kitByCode } from "~/core/exercise/kit";
import { startingExercises } from "./all";

const all = startingExercises.flatMap((exercise) =>
  exercise.variants.map((variant) => ({ exercise, variant })),
);
const families = new Map<string | undefined, Exercise[]>();
for (const exercise of startingExercises) {
  families.set(exercise.family, [...(families.get(exercise.family) ?? []), exercise]);
}

/** A weight hung on for the first time is another load, not another variant; where it hangs after that is one. */
function withoutFirstLoad(settings: Variant["settings"]): Variant["settings"] {
  const { "load-place": place, ...others } = settings;
  const first = ["none", "ankle", "hips", "goblet", "hands"];
  return place === undefined || first.includes(String(place)) ? others : settings;
}

describe("the starting catalogue", () => {
  it.each(startingExercises.map((e) => [e.id, e] as const))("%s is whole and sound", (_id, exercise) => {
    expect(check(Exercise, exercise)).toMatchObject({ ok: true });
    expect(missingFields(exercise)).toEqual([]);
    expect(exerciseProblems(exercise)).toEqual([]);
  });

  it("has at least 26 families and 140 variants, each id once", () => {
    expect(families.size).toBeGreaterThanOrEqual(26);
    expect(all.length).toBeGreaterThanOrEqual(140);
    expect(new Set(all.map(({ variant }) => variant.id)).size).toBe(all.length);
    expect(new Set(startingExercises.map((e) => e.id)).size).toBe(startingExercises.length);
  });

  it.each([...families])(
    "family %s: at least three variants that differ in a knob of the movement",
    (_family, members) => {
      const movements = members.flatMap(({ id, variants }) =>
        variants.map(({ settings, position }) => JSON.stringify([id, position, withoutFirstLoad(settings)])),
      );
      expect(new Set(movements).size).toBeGreaterThanOrEqual(3);
    },
  );

  it("loads stand on the usual shelf of what they are made of, and move by its smallest step", () => {
    let seen = 0;
    for (const { exercise, variant } of all) {
      const turn = variant.turns.find((one) => "stepPercent" in one);
      if (!turn || !("kit" in turn) || turn.kit === undefined) continue;
      seen += 1;
      const shelf = kitByCode(turn.kit)?.shelfKg ?? [];
      const step = Math.min(...shelf.slice(1).map((kg, i) => kg - (shelf[i] ?? 0)));
      const { loadKg = 0 } = variant.dose;
      expect([exercise.id, variant.id, turn.incrementKg]).toEqual([exercise.id, variant.id, step]);
      expect(loadKg === 0 || shelf.includes(loadKg), `${variant.id}: ${loadKg} kg`).toBe(true);
    }
    expect(seen).toBeGreaterThan(30);
  });

  it("names exercises that exist where one leads to another", () => {
    const ids = new Set(startingExercises.map((e) => e.id));
    for (const { leadsTo = [] } of startingExercises) for (const id of leadsTo) expect(ids).toContain(id);
  });

  it("gives every figure its source, and every exercise a mark", () => {
    for (const { source, activation = [] } of startingExercises) {
      expect(source.kind).toMatch(/common-practice|published/);
      for (const entry of activation) {
        expect(entry.source).toMatchObject({ kind: "published", recalled: true });
        expect(entry.source.cite).toMatch(/^[A-Z]\w+ \d{4}$/);
        expect(entry.leftOut.length).toBeGreaterThan(20);
      }
    }
  });

  it("says no cue twice in other words' place: cues of one exercise are its own", () => {
    const cues = startingExercises.flatMap((e) => e.cues);
    expect(new Set(cues).size / cues.length).toBeGreaterThan(0.9);
    for (const cue of cues) expect(cue).not.toMatch(/!|\bdon't\b/);
  });

  it("has work for a bare home in every lane but none that leans on bought kit", () => {
    const home = new Set(bareHome);
    const lanes = new Set(
      all.filter(({ variant }) => variant.kit.every((k) => home.has(k))).map(({ exercise }) => exercise.lane),
    );
    expect(lanes.size).toBe(new Set(startingExercises.map((e) => e.lane)).size);
    for (const piece of bareHome) {
      const kit = kitByCode(piece);
      expect(kit?.where === "household" || kit?.standIn !== undefined).toBe(true);
    }
  });
});
