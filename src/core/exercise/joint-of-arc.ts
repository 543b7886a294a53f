import type { Lane } from "./body";
import type { Prescription } from "./prescription";

/**
 * The joint whose bend is meant when somebody says at which angle a movement hurt: the hip's where the movement is set by the angle
 * of the hip or bends the hip against something, else the knee's.
 *
 * @example jointOfArc("knee-extensors", { settings: { "knee-angle": 60 } }) // "knee"
 * Source: common practice.
 */
export function jointOfArc(lane: Lane, { settings }: Pick<Prescription, "settings">): "hip" | "knee" {
  return lane === "hip-flexors" || settings["hip-angle"] !== undefined ? "hip" : "knee";
}
