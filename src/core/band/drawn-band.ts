import type { Anchor, Figure } from "~/core/figure/figure";
import { loopPlace, loopRadius, type LoopLimb } from "~/core/figure/loop-place";
import { anchored } from "~/core/figure/resolve-figure";
import type { Body } from "~/core/pose/body";
import type { PointName } from "~/core/pose/pose";
import { minus, size, unit, type Vec } from "~/core/pose/space";

/** A band of a figure at one moment: how long it is, and how it pulls at the body. */
export interface DrawnBand {
  readonly form: "strip" | "loop";
  readonly lengthM: number;
  /** Where it pulls, and which way; a unit vector. */
  readonly at: Vec;
  readonly towards: Vec;
  /** The leg it pulls at, and from which joint down; null where it pulls at something else. */
  readonly pulls: { readonly side: "w" | "o"; readonly below: "hip" | "knee" } | null;
  /** Its middle, to be written beside. */
  readonly middle: Vec;
}

const belowKnee: readonly string[] = ["ankle", "heel", "ball", "toe"];

/**
 * The band of a drawn movement: the first line of band, or the loop round both legs; a ring only reminds and pulls at nothing.
 *
 * @param heightM of the body
 * @returns null where the figure has none
 */
export function drawnBand(body: Body, { props }: Pick<Figure, "props">, heightM: number): DrawnBand | null {
  for (const prop of props) {
    if (prop.kind === "line" && prop.what === "band") return strip(body, prop.through);
    if (prop.kind === "loop") return loop(body, prop.limb, heightM);
  }
  return null;
}

function strip(body: Body, drawn: readonly Anchor[]): DrawnBand | null {
  // From the end that holds a leg, where one does.
  const through = pulledLeg(drawn[0]) ? drawn : [...drawn].reverse();
  const places = through.map((anchor) => anchored(body, anchor));
  const [first, second] = places;
  if (!first || !second) return null;
  const lengths = places.slice(1).map((place, n) => size(minus(place, places[n] ?? place)));
  const lengthM = lengths.reduce((sum, length) => sum + length, 0);
  if (lengthM === 0) return null;
  return {
    form: "strip",
    lengthM,
    at: first,
    towards: unit(minus(second, first)),
    pulls: pulledLeg(through[0]),
    middle: midway(first, second),
  };
}

/** Which leg an anchor hangs on. */
function pulledLeg(anchor: Anchor | undefined): DrawnBand["pulls"] {
  const name = typeof anchor === "string" ? anchor : anchor && "of" in anchor ? anchor.of : null;
  const [side, part = ""] = (name satisfies PointName | null)?.split(".") ?? [];
  if (side !== "w" && side !== "o") return null;
  if (belowKnee.includes(part)) return { side, below: "knee" };
  return part === "knee" ? { side, below: "hip" } : null;
}

function loop(body: Body, limb: LoopLimb, heightM: number): DrawnBand | null {
  const [w, o] = [loopPlace(body, "w", limb), loopPlace(body, "o", limb)];
  const apart = size(minus(o, w));
  if (apart === 0) return null;
  return {
    form: "loop",
    // Lying flat a loop is half as long as all the way round both limbs.
    lengthM: apart + Math.PI * loopRadius[limb] * heightM,
    at: w,
    towards: unit(minus(o, w)),
    pulls: { side: "w", below: limb === "thigh" ? "hip" : "knee" },
    middle: midway(w, o),
  };
}

const midway = (a: Vec, b: Vec): Vec => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2];
