import { variantOf, type Exercise } from "./exercise";
import type { Prescription } from "./prescription";

/** Where the body is while an exercise is done: down on the floor, on a seat, or on the feet. */
export const bodyPlaces = ["floor", "seat", "feet"] as const;
export type BodyPlace = (typeof bodyPlaces)[number];

/**
 * Where the body is in an exercise as it is prescribed; kneeling and hands and knees are on the floor.
 *
 * @example bodyPlace({ id: "bridge", variants: [{ id: "a", position: "supine" }] }, { variantId: "a" }) // "floor"
 */
export function bodyPlace(
  exercise: Pick<Exercise, "id" | "variants">,
  { variantId }: Pick<Prescription, "variantId">,
): BodyPlace {
  const { position } = variantOf(exercise, variantId);
  if (position === "standing") return "feet";
  return position === "sitting" ? "seat" : "floor";
}
