import type { LandmarkAnglesInput } from "./landmark-angles";

/** What a picture is of. */
export type StillLook =
  | { readonly view: "front"; readonly stance: "left" | "right"; readonly facing: "towards" | "away" }
  | { readonly view: "side"; readonly facing: "left" | "right" };

/** Where points stand at first: as shares of the picture, of somebody in its middle who looks to the right. */
const front = { hip: [0.56, 0.48], knee: [0.56, 0.68], ankle: [0.55, 0.9], otherHip: [0.44, 0.48] } as const;
const shoulders = [
  [0.4, 0.22],
  [0.6, 0.22],
] as const;
const side = {
  hip: [0.44, 0.5],
  knee: [0.54, 0.68],
  ankle: [0.48, 0.88],
  toe: [0.6, 0.92],
  shoulder: [0.52, 0.24],
} as const;

/**
 * Points of a body in the middle of a picture, to be moved to where they belong.
 *
 * @param size of the picture, pixels
 * @example stillTemplate({ view: "side", facing: "left" }, { width: 100, height: 100 }).hip // { x: 56, y: 50 }
 */
export function stillTemplate(
  look: StillLook,
  { width, height }: { readonly width: number; readonly height: number },
): LandmarkAnglesInput {
  const turned =
    look.view === "side" ? look.facing === "left" : (look.stance === "left") !== (look.facing === "towards");
  const at = ([x, y]: readonly [number, number]) => ({
    x: Math.round((turned ? 1 - x : x) * width),
    y: Math.round(y * height),
  });
  if (look.view === "side")
    return {
      ...look,
      hip: at(side.hip),
      knee: at(side.knee),
      ankle: at(side.ankle),
      toe: at(side.toe),
      shoulder: at(side.shoulder),
    };
  // Left shoulder first: of somebody who looks towards us it is on the picture's right.
  const [one, other] = [at(shoulders[0]), at(shoulders[1])].sort((a, b) => a.x - b.x) as [
    { x: number; y: number },
    { x: number; y: number },
  ];
  return {
    ...look,
    hip: at(front.hip),
    knee: at(front.knee),
    ankle: at(front.ankle),
    otherHip: at(front.otherHip),
    shoulders: look.facing === "towards" ? [other, one] : [one, other],
  };
}
