import { Type, type Static } from "@sinclair/typebox";
import { minimalDetectableChange, SemInput } from "./minimal-detectable-change";

export const RealChangeInput = Type.Object(
  { before: Type.Number(), after: Type.Number(), sem: SemInput.properties.sem },
  { additionalProperties: false },
);
export const RealChangeOutput = Type.Object({
  change: Type.Number(),
  mdc95: Type.Number(),
  real: Type.Boolean(),
});

/**
 * Whether a change is beyond the error of both measurements: strictly more than the MDC95.
 *
 * @param input before and after in one unit, sem in the same
 * @example realChange({ before: 200, after: 220, sem: 5 }) // { change: 20, mdc95: 13.85…, real: true }
 * Source: common practice; Weir 2005, recalled.
 */
export function realChange({
  before,
  after,
  sem,
}: Static<typeof RealChangeInput>): Static<typeof RealChangeOutput> {
  const change = after - before;
  const { mdc95 } = minimalDetectableChange({ sem });
  return { change, mdc95, real: Math.abs(change) > mdc95 };
}
