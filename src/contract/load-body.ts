import { Type, type Static } from "@sinclair/typebox";
import { drawnHeights } from "~/core/pose/body-lengths";
import { closed, orNull } from "./fields";

const limbM = orNull(Type.Number({ minimum: 0.15, maximum: 0.8 }));

/** Whose loads are worked out; what nobody measured is that of an adult of middle build. */
export const LoadBody = Type.Object(
  {
    heightM: Type.Number({ minimum: drawnHeights.low, maximum: drawnHeights.high }),
    massKg: Type.Number({ minimum: 10, maximum: 400 }),
    heightMeasured: Type.Boolean(),
    massMeasured: Type.Boolean(),
    /** Limbs as measured; null: a share of the height. */
    shankM: limbM,
    thighM: limbM,
  },
  closed,
);
export type LoadBody = Static<typeof LoadBody>;
