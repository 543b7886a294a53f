import type { KeptTrace } from "~/core/device/pack-trace";
import type { MeasuredTrial } from "~/core/device/taken-by";
import type { Measure } from "~/core/measure/measure";
import type { InvolvedSide } from "~/core/measure/side-value";
import { trialSummary } from "~/core/measure/trial-summary";
import type { RowEntry, Side, SideEntry } from "./entry-draft";
import { trialsOf } from "./entry-draft";

/** One trial of one side, to be taken or taken. */
export interface Slot {
  readonly side: Side;
  readonly trial: number;
  readonly taken: (MeasuredTrial & { readonly kept: KeptTrace }) | null;
  /** It stands although there was a reason to repeat it. */
  readonly accepted: boolean;
  /** It was held inside a band: whatever it is, it is no maximum. */
  readonly held: boolean;
}

/**
 * The trials of a measure in the order in which they are taken: the sound side first, so that the hurt one knows what is asked.
 *
 * @example slotsOf({ trials: 3, sides: "each" }, "left")[0]?.side // "right"
 */
export function slotsOf(measure: Pick<Measure, "trials" | "sides">, involved: InvolvedSide): Slot[] {
  const sides: readonly Side[] =
    measure.sides === "none" ? ["none"] : involved === "left" ? ["right", "left"] : ["left", "right"];
  return sides.flatMap((side) =>
    Array.from({ length: measure.trials ?? 1 }, (_, trial) => ({
      side,
      trial,
      taken: null,
      accepted: false,
      held: false,
    })),
  );
}

/** Whether a trial can stand: it has a value, and nothing speaks against it, or somebody has said that it stands. */
export const isSettled = ({ taken, accepted }: Slot): boolean =>
  taken !== null && taken.value !== null && (taken.faults.length === 0 || accepted);

/** A trial that stands, with its value; none otherwise. */
const standing = (slot: Slot) =>
  isSettled(slot) && slot.taken && slot.taken.value !== null
    ? [{ ...slot, value: slot.taken.value, kept: slot.taken.kept }]
    : [];

/** The next to be taken: the first that does not stand yet; none when all do. */
export const nextSlot = (slots: readonly Slot[]): number => slots.findIndex((slot) => !isSettled(slot));

/** The best of a side so far, and whether its trials lie too far apart. */
export function sideSoFar(
  slots: readonly Slot[],
  side: Side,
  { summary, better }: Pick<Measure, "summary" | "better">,
) {
  const trials = slots
    .flatMap((slot) => (slot.side === side ? standing(slot) : []))
    .map(({ value }) => value);
  return trials.length > 0 ? trialSummary({ trials, summary, better }) : null;
}

/** A row of the grid with the trials that stand, in the row's unit, each with what the device told. */
export function rowWith(row: RowEntry, slots: readonly Slot[], measure: Measure): RowEntry {
  const factor = measure.entryUnits?.find(({ unit }) => unit === row.unit)?.factor ?? 1;
  const sides = { ...row.sides };
  for (const slot of slots.flatMap(standing)) {
    const before: SideEntry = sides[slot.side] ?? { trials: [] };
    const length = Math.max(trialsOf(measure), before.trials.length);
    const trials = Array.from({ length }, (_, n) => before.trials[n] ?? "");
    const traces = Array.from({ length }, (_, n) => before.traces?.[n] ?? null);
    trials[slot.trial] = String(Number((slot.value / factor).toFixed(2)));
    traces[slot.trial] = slot.kept;
    sides[slot.side] = { ...before, trials, traces };
  }
  const held = slots.flatMap(standing).some((slot) => slot.held);
  return { ...row, sides, ...(held ? { submaximal: true } : {}) };
}
