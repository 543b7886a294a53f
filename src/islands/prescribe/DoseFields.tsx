import InPounds from "~/islands/frame/InPounds";
import { useFormContext, useWatch } from "react-hook-form";
import { steadyTempo } from "~/core/dose/tempo";
import type { Variant } from "~/core/exercise/exercise";
import { t } from "~/messages/say";
import NumberField from "./NumberField";
import { asksEffort, workOf, type PrescribeFields } from "./prescribe-draft";

/** Words for an effort, and the band of the maximum that each is (common practice). */
const efforts = { light: [30, 40], moderate: [50, 70], hard: [70, 85], most: [85, 100] } as const;

/** Sets, work, load or effort, tempo, rest and days. */
export default function DoseFields({ variant }: { variant: Variant }) {
  const { setValue } = useFormContext<PrescribeFields>();
  const draft = useWatch<PrescribeFields>() as PrescribeFields;
  const work = workOf(draft.style);
  const canLoad = variant.turns.some(({ knob }) => knob === "load") || draft.loadKg !== "";
  return (
    <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
      <NumberField label={t("prescribe.sets")} name="sets" needed />
      {work.includes("reps") && <NumberField label={t("prescribe.reps")} name="reps.bottom" to="reps.top" />}
      {work.includes("hold") && (
        <NumberField label={t("prescribe.hold")} unit="s" name="hold.bottom" to="hold.top" />
      )}
      {work.includes("contacts") && (
        <NumberField label={t("prescribe.contacts")} name="contacts.bottom" to="contacts.top" />
      )}
      {work.includes("minutes") && <NumberField label={t("prescribe.minutes")} unit="min" name="minutes" />}
      {canLoad && <NumberField label={t("prescribe.load")} unit="kg" name="loadKg" />}
      {canLoad && (
        <InPounds label={t("prescribe.load")} kg={draft.loadKg} onKg={(kg) => setValue("loadKg", kg)} />
      )}
      {variant.kit.includes("band") && <NumberField label={t("prescribe.band")} unit="N" name="bandN" />}
      {asksEffort(draft) && (
        <div className="flex items-end gap-1">
          <NumberField label={t("prescribe.effort")} unit="%" name="effort.low" to="effort.high" />
          {Object.entries(efforts).map(([word, [low, high]]) => (
            <button
              key={word}
              type="button"
              className="btn btn-sm min-h-11"
              onClick={() => {
                setValue("effort.low", String(low));
                setValue("effort.high", String(high));
              }}
            >
              {t(`prescribe.effort.${word as keyof typeof efforts}`)}
            </button>
          ))}
        </div>
      )}
      <NumberField label={t("prescribe.rest")} unit="s" name="restSeconds" needed />
      <NumberField label={t("prescribe.days")} name="daysPerWeek" needed />
      <NumberField label={t("prescribe.bouts")} name="boutsPerDay" empty="1" />
      {work.includes("reps") && (
        <fieldset>
          <legend className="text-sm font-medium">{t("prescribe.tempo")}</legend>
          <div className="flex gap-1">
            {(["down", "bottom", "up", "top"] as const).map((part, n) => (
              <NumberField
                key={part}
                small
                label={t(`prescribe.tempo.${part}`)}
                name={`tempo.${n as 0 | 1 | 2 | 3}`}
                empty={steadyTempo.split("-")[n] ?? ""}
              />
            ))}
            <NumberField small label={t("prescribe.tempo.halfway")} name="halfway" empty="0" />
          </div>
        </fieldset>
      )}
    </div>
  );
}
