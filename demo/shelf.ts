import type { ClinicShelf } from "~/contract/shelf";
import type { Band } from "~/core/band/band";
import { demoId } from "./identity";

/** An invented band: what it pulls with rises steeply at first, as rubber does. */
function band(
  key: string,
  more: Pick<Band, "name" | "form" | "where" | "restCm">,
  forcesN: readonly number[],
): Band {
  const percents = [0, 25, 50, 100, 150, 200];
  return {
    id: demoId("band", key),
    ...more,
    points: forcesN.map((forceN, n) => ({ stretchCm: ((percents[n] ?? 0) * more.restCm) / 100, forceN })),
  };
}

/** What stands in the invented clinic to load with. */
export const demoShelf: ClinicShelf = {
  loadsKg: {
    dumbbells: [1, 2, 3, 4, 5, 6, 8, 10, 12.5, 15, 17.5, 20],
    kettlebell: [4, 8, 12, 16, 20],
    "ankle-weight": [0.5, 1, 1.5, 2, 3, 4, 5],
  },
  bands: [
    band("thin", { name: "Thin, sand", form: "strip", where: "home", restCm: 100 }, [0, 7, 12, 20, 26, 33]),
    band(
      "middle",
      { name: "Middle, moss", form: "strip", where: "home", restCm: 100 },
      [0, 13, 21, 33, 43, 54],
    ),
    band(
      "tube",
      { name: "Tube with handles", form: "strip", where: "clinic", restCm: 110 },
      [0, 24, 40, 62, 80, 101],
    ),
    band(
      "loop",
      { name: "Short loop, slate", form: "loop", where: "clinic", restCm: 26 },
      [0, 22, 37, 60, 78, 96],
    ),
  ],
};
