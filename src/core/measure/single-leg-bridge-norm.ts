import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";

export const CountInput = Type.Object(
  { reps: Type.Integer({ minimum: 0, maximum: 200 }) },
  { additionalProperties: false },
);
export const BridgeNormOutput = Type.Object({ band: oneOf(["poor", "average", "good"]) });

const poorBelow = 20;
const goodAbove = 30;

/**
 * Clean single-leg bridges against the published bands: below 20 poor, above 30 good, between them average (25 is the
 * middle).
 *
 * @example singleLegBridgeNorm({ reps: 25 }) // { band: "average" }
 * Source: Freckleton 2014, recalled.
 */
export function singleLegBridgeNorm({ reps }: Static<typeof CountInput>): Static<typeof BridgeNormOutput> {
  if (reps < poorBelow) return { band: "poor" };
  return { band: reps > goodAbove ? "good" : "average" };
}
