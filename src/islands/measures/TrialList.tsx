import { Check, CircleDashed, RotateCcw } from "lucide-react";
import type { Measure } from "~/core/measure/measure";
import type { Side } from "./entry-draft";
import { label, sayNumber, t } from "~/messages/say";
import { isSettled, sideSoFar, type Slot } from "./trial-slots";

interface Props {
  slots: readonly Slot[];
  measure: Measure;
  at: number;
  disabled: boolean;
  onPick: (at: number) => void;
}

export const nameOfSlot = ({ side, trial }: Pick<Slot, "side" | "trial">) =>
  t("device.trial", { side, trial: trial + 1 });

/** The trials in their order, each with what came of it; any can be taken again. */
export default function TrialList({ slots, measure, at, disabled, onPick }: Props) {
  const unit = label("unit", measure.unit);
  const sides = [...new Set(slots.map(({ side }) => side))];
  return (
    <section aria-label={t("device.trials")} className="flex flex-col gap-1">
      <ol className="flex flex-col gap-1">
        {slots.map((slot, n) => (
          <li key={`${slot.side} ${slot.trial}`}>
            <button
              type="button"
              className={`btn h-auto min-h-11 w-full justify-start gap-2 font-normal ${n === at ? "border-primary border-2" : ""}`}
              aria-pressed={n === at}
              disabled={disabled}
              onClick={() => onPick(n)}
            >
              <SlotMark slot={slot} />
              <span className="font-semibold">{nameOfSlot(slot)}</span>
              <span className="ml-auto tabular-nums">{valueSaid(slot, unit)}</span>
            </button>
          </li>
        ))}
      </ol>
      {sides.map((side) => (
        <SideLine key={side} side={side} slots={slots} measure={measure} />
      ))}
    </section>
  );
}

function valueSaid({ taken }: Slot, unit: string): string {
  if (taken === null) return t("device.open");
  if (taken.value === null) return t("device.repeatMark");
  return t("device.result", { value: sayNumber(taken.value), unit });
}

function SlotMark({ slot }: { slot: Slot }) {
  if (slot.taken === null)
    return <CircleDashed className="text-base-content/60 size-5 shrink-0" aria-hidden />;
  return isSettled(slot) ? (
    <Check className="text-success size-5 shrink-0" aria-label={t("device.stands")} />
  ) : (
    <RotateCcw className="text-warning size-5 shrink-0" aria-label={t("device.repeatMark")} />
  );
}

function SideLine({ side, slots, measure }: { side: Side } & Pick<Props, "slots" | "measure">) {
  const summary = sideSoFar(slots, side, measure);
  if (!summary?.repeat || summary.cvPercent === null) return null;
  return (
    <p className="text-warning text-sm font-medium" role="status">
      {t("device.differ", { side, percent: sayNumber(summary.cvPercent) })}
    </p>
  );
}
