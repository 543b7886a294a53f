import type { Figure } from "~/core/figure/figure";
import { anchored } from "~/core/figure/resolve-figure";
import { winter } from "~/core/mechanics/segments";
import type { Body } from "~/core/pose/body";
import { between, plus, scaled, type Vec } from "~/core/pose/space";

/** A mass and where it is. */
export interface PointMass {
  readonly kg: number;
  readonly at: Vec;
}

/**
 * Where an external load hangs in a drawn body: the bar, the weights in the hands, each an equal part; at the hips where nothing
 * is drawn that could be it.
 *
 * @param loadKg as prescribed, ≥ 0
 */
export function loadsCarried(body: Body, { props }: Pick<Figure, "props">, loadKg: number): PointMass[] {
  if (loadKg <= 0) return [];
  const places = props.flatMap((prop) =>
    prop.kind === "barbell" || (prop.kind === "weight" && prop.what !== "cup")
      ? [anchored(body, prop.at)]
      : [],
  );
  const hung = places.length > 0 ? places : [body.pelvis];
  return hung.map((at) => ({ kg: loadKg / hung.length, at }));
}

/** Everything of a body and its load but the feet that stand, which rest on the ground, as one mass. */
export function supported(
  body: Body,
  massKg: number,
  standing: readonly ("w" | "o")[],
  loads: readonly PointMass[],
): PointMass {
  const feet = standing.map((side) => ({
    kg: -winter.mass.foot * massKg,
    at: between(body.legs[side].heel, body.legs[side].toe, winter.centre.foot),
  }));
  const parts = [{ kg: massKg, at: body.centre }, ...feet, ...loads];
  const kg = parts.reduce((sum, part) => sum + part.kg, 0);
  const moment = parts.reduce<Vec>((sum, part) => plus(sum, part.at, part.kg), [0, 0, 0]);
  return { kg, at: scaled(moment, 1 / kg) };
}
