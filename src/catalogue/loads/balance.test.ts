import { expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { loadsOf } from "./loads-of";

/** How far beyond heel or toe the drawn pressure may lie, shares of the foot: bodies of other heights are drawn to the same centimetre. */
const drawnTo = 0.06;

const variants = startingExercises.flatMap((exercise) =>
  exercise.variants.map((variant) => ({ exercise, variant })),
);
const told = (heightM: number, { exercise, variant }: (typeof variants)[number]) =>
  loadsOf(
    { heightM, massKg: 75 },
    { exercise, settings: variant.settings, loadKg: variant.dose.loadKg ?? 0 },
  );

// Statics: what is held up by feet alone has its centre of mass over them.
it("every standing variant is drawn in balance over its feet, or leans on a wall, or lies on a table", () => {
  for (const heightM of [1.5, 1.75, 2])
    for (const asked of variants) {
      const loads = told(heightM, asked);
      const { id, kit } = asked.variant;
      if (!loads.ok) {
        if (loads.reason === "leans-on-something")
          expect(kit.includes("wall") || kit.includes("table"), `${id} at ${heightM} m`).toBe(true);
        continue;
      }
      for (const { legs } of loads.moments)
        for (const leg of [legs.w, legs.o])
          if (leg) {
            expect(leg.pressurePoint, `${id} at ${heightM} m`).toBeGreaterThan(-drawnTo);
            expect(leg.pressurePoint, `${id} at ${heightM} m`).toBeLessThan(1 + drawnTo);
          }
    }
});

it("standing up from a chair is read until the seat takes the weight, and says which share that is", () => {
  const stand = variants.find(({ variant }) => variant.id === "chair-stand-free");
  if (!stand) throw new Error("there is a chair stand");
  const loads = told(1.75, stand);
  if (!loads.ok) throw new Error(loads.reason);
  expect(loads.readShare).toBeGreaterThan(0.5);
  expect(loads.readShare).toBeLessThan(1);
  const bends = loads.moments.map(({ legs }) => legs.w?.kneeFlexionDeg ?? NaN);
  expect(Math.min(...bends)).toBeLessThan(10);
  expect(Math.max(...bends)).toBeGreaterThan(60);
});
