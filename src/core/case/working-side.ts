import type { Prescription } from "~/core/exercise/prescription";
import { otherSide, type InvolvedSide } from "~/core/measure/side-value";

/**
 * The side whose sets decide and whose leg is drawn at work: the affected one; of work that only the other leg does, that one.
 *
 * @example workingSide({ leg: "other" }, "left") // "right"
 */
export function workingSide({ leg }: Pick<Prescription, "leg">, involved: InvolvedSide): InvolvedSide {
  return leg === "other" ? (otherSide(involved) ?? involved) : involved;
}
