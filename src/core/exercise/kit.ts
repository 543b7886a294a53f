/**
 * A piece of kit. What stands in every household needs nothing bought; `standIn` says what replaces a piece there.
 * Loads in kilograms are what a shelf usually offers; a clinic or home may state its own.
 */
export interface Kit {
  readonly code: string;
  readonly where: "household" | "home" | "gym";
  /** Something found at home that does the same safely. */
  readonly standIn?: string;
  /** The loads a usual shelf has, kilograms, light to heavy. */
  readonly shelfKg?: readonly number[];
}

const steps = (from: number, to: number, by: number) =>
  Array.from({ length: Math.floor((to - from) / by) + 1 }, (_, n) => Math.round((from + n * by) * 100) / 100);

/** Everything an exercise may ask for; adding a piece is adding a line. Usual shelves: common practice. */
export const kitList: readonly Kit[] = [
  { code: "wall", where: "household" },
  { code: "chair", where: "household" },
  { code: "table", where: "household" },
  { code: "towel", where: "household" },
  { code: "pillow", where: "household" },
  { code: "doorway", where: "household" },
  { code: "step", where: "home", standIn: "the bottom stair, books for less height" },
  { code: "ball", where: "home", standIn: "a firm pillow" },
  { code: "slider", where: "home", standIn: "a cloth on a smooth floor" },
  { code: "stick", where: "home", standIn: "a broomstick" },
  { code: "strap", where: "home", standIn: "a belt or a long towel" },
  { code: "pad", where: "home", standIn: "a folded blanket" },
  { code: "bench", where: "gym", standIn: "the seat of a sofa against the wall" },
  { code: "wedge", where: "home", standIn: "two thin books under the heels" },
  { code: "band", where: "home" },
  { code: "gym-ball", where: "home" },
  { code: "soft-mat", where: "home", standIn: "a sofa cushion" },
  { code: "ankle-weight", where: "home", shelfKg: steps(0.5, 10, 0.5) },
  { code: "dumbbells", where: "home", shelfKg: steps(2, 60, 2) },
  { code: "kettlebell", where: "home", shelfKg: steps(4, 32, 4) },
  { code: "helper", where: "home" },
  { code: "box", where: "gym" },
  { code: "barbell", where: "gym", shelfKg: steps(20, 200, 2.5) },
  { code: "plates", where: "gym", shelfKg: steps(2.5, 40, 2.5) },
  { code: "leg-press", where: "gym", shelfKg: steps(10, 300, 5) },
  { code: "knee-extension-machine", where: "gym", shelfKg: steps(5, 120, 2.5) },
  { code: "leg-curl-machine", where: "gym", shelfKg: steps(5, 100, 2.5) },
  { code: "calf-machine", where: "gym", shelfKg: steps(5, 160, 2.5) },
  { code: "cable", where: "gym", shelfKg: steps(2.5, 60, 2.5) },
  { code: "back-extension-bench", where: "gym" },
  { code: "bicycle", where: "gym" },
];

const byCode = new Map(kitList.map((kit) => [kit.code, kit]));

/** The piece with this code, or null. */
export function kitByCode(code: string): Kit | null {
  return byCode.get(code) ?? null;
}

/** Kit of a home where nothing was bought: household things and whatever has a stand-in. */
export const bareHome: readonly string[] = kitList
  .filter((kit) => kit.where === "household" || kit.standIn !== undefined)
  .map((kit) => kit.code);

/** Kit of a gym: everything but a helper. */
export const fullGym: readonly string[] = kitList.map((kit) => kit.code).filter((code) => code !== "helper");
