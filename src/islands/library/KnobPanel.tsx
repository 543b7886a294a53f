import type { Exercise } from "~/core/exercise/exercise";
import type { KnobValue, Prescription } from "~/core/exercise/prescription";
import FilterSelect from "~/islands/frame/FilterSelect";
import { sayKnobValue } from "~/messages/say-knob-value";
import { label, t } from "~/messages/say";
import { knobChoices } from "./knob-values";

interface Props {
  exercise: Exercise;
  prescription: Prescription;
  onTurn: (name: string, value: KnobValue) => void;
  onReset: () => void;
}

/** Every knob of a variant, live: what is turned here shows in the figure at once. */
export default function KnobPanel({ exercise, prescription, onTurn, onReset }: Props) {
  const choices = knobChoices(exercise, prescription);
  return (
    <section aria-label={t("exercise.knobs")} data-testid="knobs">
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="font-semibold">{t("exercise.knobs")}</h2>
        <button type="button" className="btn btn-ghost" onClick={onReset}>
          {t("exercise.reset")}
        </button>
      </div>
      <p className="text-base-content/75 text-sm">{t("exercise.knobsHint")}</p>
      <div className="mt-1 grid grid-cols-2 gap-2">
        {choices.map(({ name, value, values }) =>
          values.length < 2 ? (
            <p key={name} className="text-sm">
              <span className="text-base-content/75 block">{label("knob", name)}</span>
              <span className="flex min-h-11 items-center">{sayKnobValue(name, value)}</span>
            </p>
          ) : (
            <FilterSelect
              key={name}
              name={label("knob", name)}
              value={String(value)}
              options={values.map((one) => [String(one), sayKnobValue(name, one)] as const)}
              onValue={(chosen) => {
                const found = values.find((one) => String(one) === chosen);
                if (found !== undefined) onTurn(name, found);
              }}
            />
          ),
        )}
      </div>
    </section>
  );
}
