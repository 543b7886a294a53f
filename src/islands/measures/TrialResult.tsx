import { RotateCcw } from "lucide-react";
import type { Measure } from "~/core/measure/measure";
import { label, sayNumber, t } from "~/messages/say";
import type { Slot } from "./trial-slots";

interface Props {
  slot: Slot;
  name: string;
  measure: Measure;
  leverM: number | null;
  onAccept: () => void;
}

/** What came of a trial: its number, what belongs beside it, or why it should be repeated. */
export default function TrialResult({ slot, name, measure, leverM, onAccept }: Props) {
  const { taken, accepted } = slot;
  if (!taken) return null;
  const unit = label("unit", measure.unit);
  const { value, bestSecond, rise100, rise200, faults } = taken;
  const [fault] = faults;
  const whole = (newtons: number | null) => (newtons === null ? "–" : sayNumber(Math.round(newtons)));
  return (
    <div className="min-w-0 flex-1 basis-72" data-testid="trial-result">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="text-sm">{name}</span>
        {value !== null && (
          <span className="text-2xl font-bold tabular-nums">
            {t("device.result", { value: sayNumber(value), unit })}
          </span>
        )}
        {value !== null && leverM !== null && (
          <span className="text-sm">{t("device.torque", { torque: sayNumber(value * leverM) })}</span>
        )}
      </p>
      {bestSecond !== null && (
        <p className="text-base-content/80 text-sm tabular-nums">
          {t("device.beside", {
            second: sayNumber(bestSecond),
            rise100: whole(rise100),
            rise200: whole(rise200),
            unit,
          })}
        </p>
      )}
      {fault && !accepted && (
        <p className="text-warning mt-1 flex flex-wrap items-center gap-2 font-medium" role="alert">
          <RotateCcw className="size-5 shrink-0" aria-hidden />
          <span className="min-w-0 flex-1">{t("device.repeat", { why: t(`repeat.${fault}`) })}</span>
          {value !== null && (
            <button type="button" className="btn btn-sm min-h-11 sm:min-h-8" onClick={onAccept}>
              {t("device.keepAnyway")}
            </button>
          )}
        </p>
      )}
    </div>
  );
}
