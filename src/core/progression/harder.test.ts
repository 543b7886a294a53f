import { bookFor } from "~/catalogue/demands/book";
import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { adductorSlide, ballSqueeze } from "~/catalogue/exercises/adductors";
import { hinge } from "~/catalogue/exercises/hinges";
import { alternatives } from "./alternatives";
import { easier, easierVariant } from "./easier";
import { firstPrescription, variantOf, type Exercise } from "~/core/exercise/exercise";
import { harder } from "./harder";
import { turnedKnobs } from "~/core/exercise/knob";
import { laneProgress } from "./lane-progress";
import { notch } from "./notch";
import type { Prescription } from "~/core/exercise/prescription";
import { obstacle } from "~/core/limit/obstacle";
import type { Restriction } from "~/core/limit/restriction";

const free = { restrictions: [], today: "2026-03-10", book: bookFor({ heightM: 1.75 }) };
const first = (exercise: Exercise, variantId: string) => firstPrescription(variantOf(exercise, variantId));

/** Climbs from the easiest setting until nothing is left to turn. */
function climb(exercise: Exercise): Prescription[] {
  const easiest = exercise.variants[0];
  if (!easiest) throw new Error("an exercise has variants");
  const path = [firstPrescription(easiest)];
  for (let step = 0; step < 300; step += 1) {
    const next = harder(exercise, path.at(-1) as Prescription, free);
    if (next.found !== "change") return path;
    path.push(next.change.prescription);
  }
  throw new Error(`${exercise.id} never ends`);
}

/** True at a variant's first setting when one of its knobs can be turned back from there. */
function beginsHalfWay(exercise: Exercise, at: Prescription): boolean {
  const variant = variantOf(exercise, at.variantId);
  const isFirst = JSON.stringify(firstPrescription(variant)) === JSON.stringify(at);
  return isFirst && variant.turns.some((turn) => notch(turn, at, -1) !== null);
}

/** One restriction of every kind that bites somewhere in this exercise. */
function restrictionsOf(exercise: Exercise): Restriction[] {
  const says = "as written";
  const kit = [...new Set(exercise.variants.flatMap((v) => v.kit))];
  const turned = exercise.variants.flatMap((v) => v.turns.flatMap((t) => ("ladder" in t ? [t] : [])));
  return [
    { kind: "kit", available: kit.slice(0, -1), origin: "kit", says },
    { kind: "kit", available: kit, shelfKg: { dumbbells: [2, 5, 10], barbell: [20] }, origin: "kit", says },
    { kind: "position", cannot: ["kneeling", "supine", "prone"], origin: "person", says },
    { kind: "range-limit", joint: "knee", mostDeg: 60, origin: "surgeon", says },
    { kind: "range-limit", joint: "hip", leastDeg: 0, mostDeg: 90, origin: "surgeon", says },
    { kind: "forbid", codes: ["impact", "kneeling"], origin: "stage", says },
    { kind: "knob-limit", knob: "contraction", hardest: "isometric", origin: "stage", says },
    { kind: "variants", allowed: exercise.variants.slice(0, 1).map((v) => v.id), origin: "stage", says },
    ...turned.map(({ knob, ladder }): Restriction => ({
      kind: "knob-limit",
      knob,
      hardest: ladder[0] as string | number,
      origin: "clinician",
      says,
    })),
  ];
}

describe.each(startingExercises.map((exercise) => [exercise.id, exercise] as const))(
  "%s",
  (_id, exercise) => {
    const path = climb(exercise);

    it("reaches every variant from its easiest setting, one knob at a time", () => {
      expect([...new Set(path.map((p) => p.variantId))]).toEqual(exercise.variants.map((v) => v.id));
      path.slice(1).forEach((after, i) => {
        const before = path[i] as Prescription;
        if (before.variantId === after.variantId) expect(turnedKnobs(before, after)).toHaveLength(1);
      });
    });

    it("comes further with every step", () => {
      const progress = path.map((p) => laneProgress(exercise, p));
      progress.slice(1).forEach((value, i) => expect(value).toBeGreaterThanOrEqual(progress[i] as number));
    });

    it("easier(harder(x)) = x, also from one variant to the next, where no load has to be rounded", () => {
      path.slice(1).forEach((after, i) => {
        const before = path[i] as Prescription;
        const loaded = turnedKnobs(before, after).includes("load") || (before.dose.loadKg ?? 0) > 0;
        if (loaded) return;
        const back = easier(exercise, after, free);
        if (back.found !== "change") throw new Error("what was made harder can be made easier");
        // A variant that begins half-way up its ladder is reached from two settings: from below on the ladder too.
        if (beginsHalfWay(exercise, after)) {
          expect(harder(exercise, back.change.prescription, free)).toMatchObject({
            change: { prescription: after },
          });
        } else expect(back.change.prescription).toEqual(before);
      });
    });

    it("no step breaks a restriction, whichever stands", () => {
      const limits = restrictionsOf(exercise);
      for (const restriction of limits) {
        for (const turn of [harder, easier]) {
          for (const at of path) {
            const result = turn(exercise, at, { ...free, restrictions: [restriction] });
            if (result.found !== "change") continue;
            const { prescription } = result.change;
            const variant = variantOf(exercise, prescription.variantId);
            expect(
              obstacle(prescription, variant, exercise, [restriction], free.today, free.book),
            ).toBeNull();
          }
        }
      }
    });
  },
);

it("turns its own knobs in order, then goes to the next variant, then is spent", () => {
  const path = climb(ballSqueeze);
  expect(path.slice(1).map((after, i) => turnedKnobs(path[i] as Prescription, after)[0])).toEqual(
    expect.arrayContaining(["effort", "hold"]),
  );
  expect(harder(ballSqueeze, path.at(-1) as Prescription, free).found).toBe("spent");
});

it("easier goes round a way that is barred, and says when every way is", () => {
  const says = "no table to hold on to";
  const noSupport: Restriction = { kind: "variants", allowed: ["hinge-loaded"], origin: "clinician", says };
  const loaded = {
    ...first(hinge, "hinge-loaded"),
    dose: { ...first(hinge, "hinge-loaded").dose, loadKg: 10 },
  };
  expect(easier(hinge, loaded, { ...free, restrictions: [noSupport] })).toMatchObject({
    found: "change",
    change: { knob: "load", to: 8 },
  });
  const unloaded = { ...loaded, dose: { ...loaded.dose, loadKg: 0 } };
  expect(easier(hinge, unloaded, { ...free, restrictions: [noSupport] })).toMatchObject({
    found: "restriction",
    restriction: { says },
  });
});

it("alternatives turn one knob each, name what blocks them, and never leave the exercise", () => {
  const slide = first(adductorSlide, "adductor-slide-free");
  const limit: Restriction = {
    kind: "knob-limit",
    knob: "range",
    hardest: "part",
    origin: "clinician",
    says: "part only",
  };
  const found = alternatives(adductorSlide, slide, { ...free, restrictions: [limit] });
  expect(found.find((a) => a.knob === "range")?.blockedBy).toBe("part only");
  expect(found.find((a) => a.kind === "variant")).toMatchObject({ direction: "easier", knob: "support" });
  for (const { kind, knob, prescription } of found) {
    if (kind === "knob") expect(turnedKnobs(slide, prescription)).toEqual([knob]);
  }
});

it("the easiest variant has none before it", () => {
  expect(easierVariant(ballSqueeze, first(ballSqueeze, "ball-squeeze-bent"))).toBeNull();
  expect(easierVariant(ballSqueeze, first(ballSqueeze, "ball-squeeze-straight"))?.knob).toBe("lever");
});
