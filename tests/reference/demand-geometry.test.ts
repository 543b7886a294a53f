import { describe, expect, it } from "vitest";
import { bookFor } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import { figureOf } from "~/catalogue/figures/all";
import { drawnDemand, type DrawnDemandOrWhy } from "~/core/demand/drawn-demand";
import { resolveFigure } from "~/core/figure/resolve-figure";
import { bodyLengths } from "~/core/pose/body-lengths";
import { cross, dot, minus, unit, type Vec } from "~/core/pose/space";
import type { Body } from "~/core/pose/body";
import { firstPrescription, type Variant } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";

/** The shortest, the middle and the tallest; `npm run test:seeds` asks of those between as well. */
const heights = process.env["CASES_SEED"] === undefined ? [1.45, 1.75, 2.05] : [1.45, 1.6, 1.75, 1.9, 2.05];
const toDegrees = 180 / Math.PI;

/** Every setting a variant's ladders reach, one knob away from its own. */
function settingsOf(variant: Variant): Prescription["settings"][] {
  const turned = variant.turns.flatMap((turn) =>
    "ladder" in turn && turn.knob in variant.settings
      ? turn.ladder.map((value) => ({ ...variant.settings, [turn.knob]: value }))
      : [],
  );
  return [variant.settings, ...turned];
}

/** The angle at a knee from three drawn points, as a goniometer reads it; straight is 0°, and so is over-straight. */
function kneeByPoints({ points }: Body, side: "w" | "o"): number {
  const thigh = unit(minus(points[`${side}.hip`], points[`${side}.knee`]));
  const shank = unit(minus(points[`${side}.ankle`], points[`${side}.knee`]));
  return 180 - Math.acos(Math.min(1, Math.max(-1, dot(thigh, shank)))) * toDegrees;
}

/** Flexion of a hip from the drawn points: the thigh in the plane that pelvis and loin make with the line between the hips. */
function hipByPoints({ points }: Body, side: "w" | "o"): number {
  const across: Vec = unit(minus(points["w.hip"], points["o.hip"]));
  const up = unit(minus(points.lumbar, points.pelvis));
  const fore = cross(up, across);
  const thigh = minus(points[`${side}.knee`], points[`${side}.hip`]);
  return Math.atan2(dot(thigh, fore), -dot(thigh, up)) * toDegrees;
}

/** Places that the reading under test does not look at. */
const between = [0.017, 0.13, 0.29, 0.46, 0.61, 0.79, 0.94];

describe.each(heights)("at %s m", (heightM) => {
  const body = bodyLengths({ heightM });
  const kept = new Map<string, DrawnDemandOrWhy>();
  const book = bookFor({ heightM }, kept);

  it.each(startingExercises.map((exercise) => [exercise.id, exercise] as const))(
    "%s: arcs as measured between the drawn points, to a degree",
    (_id, exercise) => {
      const off: string[] = [];
      for (const variant of exercise.variants)
        for (const settings of settingsOf(variant)) {
          const figure = figureOf(exercise, { settings }, body);
          if (!figure) throw new Error("no figure");
          kept.clear();
          const told = book.demandOf(exercise, { ...firstPrescription(variant), settings });
          const [read] = kept.values();
          // What cannot be drawn is not judged.
          expect(told.ok).toBe(read?.ok);
          if (!read?.ok) continue;
          const spans = figure.timing.kind === "sequence" ? figure.keys.length : figure.keys.length - 1;
          for (let span = 0; span < Math.max(1, spans); span += 1)
            for (const share of spans === 0 ? [0] : between) {
              const drawn = resolveFigure(body, figure, span + share);
              if (!drawn.ok) throw new Error(`${variant.id}: ${drawn.why}`);
              for (const side of ["w", "o"] as const) {
                const { knee, hip } = read.demand.legs[side].angles;
                const bend = kneeByPoints(drawn.body, side);
                const fold = hipByPoints(drawn.body, side);
                const kneeIsRead =
                  bend > (Math.abs(knee[0]) < 1 ? -1 : knee[0] - 1) && bend < Math.max(knee[1], -knee[0]) + 1;
                const hipIsRead = fold > hip[0] - 1 && fold < hip[1] + 1;
                // Thousands of places: the test's own words are made for those alone that are off.
                if (!kneeIsRead) off.push(`${variant.id} ${side}.knee ${bend}, read as ${knee.join(" to ")}`);
                if (!hipIsRead) off.push(`${variant.id} ${side}.hip ${fold}, read as ${hip.join(" to ")}`);
              }
            }
        }
      expect(off).toEqual([]);
    },
  );
});

const namesAngles = ["knee-angle", "hip-angle", "arc"] as const;

it.each(heights)("a knob that names an angle is drawn at it to 2° and judged at it, at %s m", (heightM) => {
  const body = bodyLengths({ heightM });
  const book = bookFor({ heightM });
  let looked = 0;
  for (const exercise of startingExercises)
    for (const variant of exercise.variants)
      for (const settings of settingsOf(variant)) {
        const knob = namesAngles.find((name) => name in settings);
        if (!knob) continue;
        const figure = figureOf(exercise, { settings }, body);
        const read = figure && drawnDemand(body, figure);
        const told = book.demandOf(exercise, { ...firstPrescription(variant), settings });
        if (!read?.ok || !told.ok) continue;
        looked += 1;
        const named = String(settings[knob]).split("-").filter(Boolean).map(Number);
        const joint = knob === "hip-angle" ? "hip" : "knee";
        const { kneeFlexionDeg, hipFlexionDeg } = told.demand.working;
        const judged = joint === "hip" ? hipFlexionDeg : kneeFlexionDeg;
        const drawn = read.demand.legs.w.angles[joint];
        for (const angle of named) {
          expect(judged, `${variant.id} ${knob} ${String(settings[knob])}`).toContain(angle);
          // A held arc is drawn in its middle.
          if (settings["contraction"] !== "isometric" || knob !== "arc")
            expect(
              Math.min(...drawn.map((end) => Math.abs(end - angle))),
              `${variant.id} ${angle}`,
            ).toBeLessThanOrEqual(2);
        }
      }
  expect(looked).toBeGreaterThan(100);
});

describe("steps and boxes by two links", () => {
  // A thigh and a shank, the shank slanting by a share of the bend, over a flat foot: the height lost is the step.
  const heightLost = (kneeDeg: number, ankleDeg: number, heightM: number) => {
    const { shank, thigh } = bodyLengths({ heightM });
    const shin = ankleDeg / toDegrees;
    const thighSlant = (kneeDeg - ankleDeg) / toDegrees;
    return shank * (1 - Math.cos(shin)) + thigh * (1 - Math.cos(thighSlant));
  };

  it.each(heights)(
    "a seat of 45 cm is where the hips of a person of %s m are at the drawn bend",
    (heightM) => {
      const exercise = startingExercises.find(({ id }) => id === "chair-stand");
      const variant = exercise?.variants.at(-1);
      if (!exercise || !variant) throw new Error("no chair stand");
      const settings = { ...variant.settings, "box-height": 45 };
      const told = bookFor({ heightM }).demandOf(exercise, { ...firstPrescription(variant), settings });
      if (!told.ok) throw new Error(told.why);
      const { kneeFlexionDeg, ankleDorsiflexionDeg } = told.demand.working;
      const { ankleHeight, shank, thigh } = bodyLengths({ heightM });
      const hips =
        ankleHeight + shank + thigh - heightLost(kneeFlexionDeg[1], ankleDorsiflexionDeg[1], heightM);
      // The hip joint lies above the seat by half the thickness of the thigh, 5.5 % of the height.
      expect(hips).toBeCloseTo(0.45 + 0.055 * heightM, 2);
    },
  );
});
