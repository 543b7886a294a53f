import type { Side } from "~/core/demand/contacts";
import { loadFields, type LoadKind } from "./load-kind";
import type { LoadsAt } from "./movement-loads";

/** One kind of load on one leg, place by place; null where nobody can say. */
export const curveOf = (
  moments: readonly LoadsAt[],
  side: Side,
  kind: LoadKind,
): readonly {
  readonly place: number;
  readonly kneeFlexionDeg: number | null;
  readonly value: number | null;
}[] =>
  moments.map(({ place, legs }) => ({
    place,
    kneeFlexionDeg: legs[side]?.kneeFlexionDeg ?? null,
    value: legs[side]?.[loadFields[kind]] ?? null,
  }));
