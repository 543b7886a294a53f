import type { Measure } from "~/core/measure/measure";
import { label, sayNumber, t } from "~/messages/say";
import { trialsOf, type RowEntry, type Side, type SideReading } from "./entry-draft";

interface Props {
  measure: Measure;
  row: RowEntry;
  side: Side;
  reading: SideReading;
  onTyped: (trial: number, text: string) => void;
}

/** The trials of one side: a box each, or one choice for a measure with grades. */
export default function TrialCells({ measure, row, side, reading, onTyped }: Props) {
  const typed = row.sides[side]?.trials ?? [];
  const nameOf = (trial: number) =>
    t("measures.cell", { name: measure.name, side: label("side", side), trial: trial + 1 });
  if (measure.grades) {
    return (
      <select
        className="select w-32 max-w-full"
        aria-label={nameOf(0)}
        value={typed[0] ?? ""}
        onChange={(event) => onTyped(0, event.target.value)}
      >
        <option value="">–</option>
        {measure.grades.map((grade) => (
          <option key={grade}>{grade}</option>
        ))}
      </select>
    );
  }
  const fault = reading.faults.find((f) => f !== null);
  return (
    <div>
      <div className="flex gap-1">
        {Array.from({ length: trialsOf(measure) }, (_, trial) => (
          <input
            key={trial}
            className={`input w-18 px-2 text-right max-sm:min-w-0 max-sm:flex-1 max-sm:px-1 ${reading.faults[trial] ? "input-error" : ""}`}
            inputMode="decimal"
            autoComplete="off"
            aria-label={nameOf(trial)}
            aria-invalid={reading.faults[trial] !== null && reading.faults[trial] !== undefined}
            data-code={measure.code}
            data-side={side}
            data-trial={trial}
            data-column={`${side === "none" ? "left" : side}-${trial}`}
            value={typed[trial] ?? ""}
            onChange={(event) => onTyped(trial, event.target.value)}
          />
        ))}
      </div>
      {fault && (
        <p className="text-error mt-1 text-sm" role="alert">
          {t(`fault.${fault}`, { low: measure.plausible.low, high: measure.plausible.high })}
        </p>
      )}
      {reading.repeat && reading.cvPercent !== null && (
        <p className="text-warning mt-1 text-sm">
          {t("measures.repeat", { percent: sayNumber(reading.cvPercent) })}
        </p>
      )}
    </div>
  );
}
