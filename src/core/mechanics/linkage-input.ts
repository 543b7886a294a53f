import { Type } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";

/** Ranges of the mechanics' inputs, both ends included; the same in every calculation. */
export const mechanicsFields = {
  bodyMassKg: Type.Number({ minimum: 20, maximum: 300 }),
  heightM: Type.Number({ minimum: 1, maximum: 2.4 }),
  kneeFlexionDeg: Type.Number({ minimum: 0, maximum: 150 }),
  shankInclinationDeg: Type.Number({ minimum: -30, maximum: 60 }),
  pressurePoint: Type.Number({ minimum: 0, maximum: 1 }),
  barKg: Type.Number({ minimum: 0, maximum: 500 }),
  maxStressMPa: Type.Number({ exclusiveMinimum: 0, maximum: 50 }),
} as const;

const limbM = Type.Number({ minimum: 0.15, maximum: 0.8 });
/** Limbs as somebody measured them, metres; they take the place of the shares of the height. */
export const limbFields = { shankM: Type.Optional(limbM), thighM: Type.Optional(limbM) } as const;

/** Who stands, on what, with what: everything of a linkage but its two angles. */
export const standingFields = {
  bodyMassKg: mechanicsFields.bodyMassKg,
  heightM: mechanicsFields.heightM,
  ...limbFields,
  stance: oneOf(["double", "single"]),
  pressurePoint: Type.Optional(mechanicsFields.pressurePoint),
  barKg: Type.Optional(mechanicsFields.barKg),
  dumbbellsKg: Type.Optional(mechanicsFields.barKg),
  armsForward: Type.Optional(Type.Boolean()),
  freeLeg: Type.Optional(oneOf(["front", "beside", "behind"])),
} as const;

/** A pose that cannot be held, and why. */
export const NotHeld = Type.Object({ feasible: Type.Literal(false), reason: Type.String() });
