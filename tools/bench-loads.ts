import { startingExercises } from "~/catalogue/exercises/all";
import { loadsOf } from "~/catalogue/loads/loads-of";
import { sitBack } from "~/core/mechanics/sit-back";
import { squatLinkage } from "~/core/mechanics/squat-linkage";
import { compare, type Row } from "./bench-compare";

const body = { bodyMassKg: 75, heightM: 1.75, stance: "double" } as const;
const solves = 10_000;
const searches = 200;

/** The load lab's sums: set-ups solved, sit-back forms found, and a whole catalogue read for one person. */
export async function loadRows(): Promise<{ rows: Row[]; said: string }> {
  const angles = Array.from({ length: solves }, (_, n) => ({ knee: n % 120, shank: (n % 60) - 10 }));
  const sines = () => angles.reduce((sum, { knee, shank }) => sum + Math.sin(knee) * Math.cos(shank), 0);
  const solved = await compare(
    () =>
      angles.forEach(({ knee, shank }) =>
        squatLinkage({ ...body, kneeFlexionDeg: knee, shankInclinationDeg: shank }),
      ),
    sines,
  );
  const found = await compare(
    () => {
      for (let n = 0; n < searches; n += 1)
        sitBack({ ...body, kneeFlexionDeg: 30 + (n % 60), maxStressMPa: 1 + (n % 5) });
    },
    () => {
      for (let n = 0; n < searches; n += 1)
        squatLinkage({ ...body, kneeFlexionDeg: 30 + (n % 60), shankInclinationDeg: n % 5 });
    },
  );
  const catalogue = () =>
    startingExercises.forEach((exercise) =>
      exercise.variants.forEach(({ settings, dose }) =>
        loadsOf({ heightM: 1.75, massKg: 75 }, { exercise, settings, loadKg: dose.loadKg ?? 0 }),
      ),
    );
  const read = await compare(catalogue, sines);
  return {
    rows: [
      {
        what: `${solves} set-ups of a squat`,
        baseline: "two sines for each",
        target: "≥ 100 000 a second",
        ...solved,
      },
      { what: `${searches} sit-back forms`, baseline: "as many set-ups", target: "< 5 ms each", ...found },
      { what: "loads of every variant, one person", baseline: "20 000 sines", target: "< 1 s", ...read },
    ],
    said:
      `set-ups a second: ${Math.round(solves / (solved.oursMs / 1000))}; ` +
      `a sit-back form: ${(found.oursMs / searches).toFixed(3)} ms; the catalogue: ${Math.round(read.oursMs)} ms`,
  };
}
