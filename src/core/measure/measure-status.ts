import { Type, type Static } from "@sinclair/typebox";
import { EarlyPercent, earlyReference, firstUninvolved } from "./early-reference";
import { limbSymmetry } from "./limb-symmetry";
import { standingResults, type Measure, type MeasureResult } from "./measure";
import { realChange } from "./real-change";
import { latestValue, otherSide, type DayValue, type InvolvedSide } from "./side-value";
import { valueError } from "./value-error";

const numberOrNull = Type.Union([Type.Number(), Type.Null()]);

/** One side's last value, and how it moved since the day before it. */
export const SideStatus = Type.Object({
  value: Type.Number(),
  takenOn: Type.String({ format: "date" }),
  way: Type.Union([Type.String(), Type.Null()]),
  change: numberOrNull,
  /** Whether the change is beyond error; null where no error is known or there is nothing before. */
  real: Type.Union([Type.Boolean(), Type.Null()]),
  mdc95: numberOrNull,
  /** True when it was taken another way than the value before it: the two do not compare. */
  wayChanged: Type.Boolean(),
});
export type SideStatus = Static<typeof SideStatus>;

export const MeasureStatus = Type.Object({
  code: Type.String(),
  left: Type.Union([SideStatus, Type.Null()]),
  right: Type.Union([SideStatus, Type.Null()]),
  none: Type.Union([SideStatus, Type.Null()]),
  lsiPercent: numberOrNull,
  early: Type.Union([EarlyPercent, Type.Null()]),
});
export type MeasureStatus = Static<typeof MeasureStatus>;

/** Where a measure stands: last values, change beyond error, symmetry, and symmetry against the early reference. */
export function measureStatus(
  measure: Measure,
  results: readonly MeasureResult[],
  involved: InvolvedSide,
  surgeryOn: string | undefined,
): MeasureStatus {
  const own = standingResults(results).filter((r) => r.measure === measure.code);
  const side = (which: "left" | "right" | "none") => sideStatus(measure, which, own);
  const [left, right, none] = [side("left"), side("right"), side("none")];
  const other = otherSide(involved);
  const now = involved === "left" ? left : involved === "right" ? right : null;
  const uninvolved = other === "left" ? left : other === "right" ? right : null;
  const first = firstUninvolved(measure, involved, own, surgeryOn);
  const percent = (a: number, b: number) =>
    (measure.better === "higher" ? b : a) > 0 ? ([a, b] as const) : null;
  const today = now && uninvolved ? percent(now.value, uninvolved.value) : null;
  const early = now && first ? percent(now.value, first.value) : null;
  const { better } = measure;
  return {
    code: measure.code,
    left,
    right,
    none,
    lsiPercent: today ? limbSymmetry({ involved: today[0], uninvolved: today[1], better }).lsiPercent : null,
    early:
      early && first
        ? {
            percent: earlyReference({ involvedNow: early[0], uninvolvedFirst: early[1], better }).percent,
            takenOn: first.takenOn,
            kind: first.kind,
          }
        : null,
  };
}

function sideStatus(
  measure: Measure,
  side: "left" | "right" | "none",
  results: readonly MeasureResult[],
): SideStatus | null {
  const last = latestValue(measure, side, results);
  if (!last) return null;
  const before = latestValue(
    measure,
    side,
    results.filter((r) => r.takenOn < last.takenOn),
  );
  const error = before ? (valueError(measure, last.results) ?? valueError(measure, before.results)) : null;
  const change =
    before && error ? realChange({ before: before.value, after: last.value, sem: error.sem }) : null;
  const [way, wayBefore] = [wayOf(last), before ? wayOf(before) : null];
  return {
    value: last.value,
    takenOn: last.takenOn,
    way,
    change: before ? last.value - before.value : null,
    real: change?.real ?? null,
    mdc95: change?.mdc95 ?? null,
    wayChanged: way !== null && wayBefore !== null && way !== wayBefore,
  };
}

function wayOf({ results }: DayValue): string | null {
  return results.map((r) => r.position).find((position) => position !== undefined) ?? null;
}
