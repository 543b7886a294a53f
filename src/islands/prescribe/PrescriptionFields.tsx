import { useFormContext, useWatch } from "react-hook-form";
import { workingSide } from "~/core/case/working-side";
import { variantOf, type Exercise } from "~/core/exercise/exercise";
import { sidesOf } from "~/core/exercise/sides-of";
import type { InvolvedSide } from "~/core/measure/side-value";
import { label, t } from "~/messages/say";
import DoseFields from "./DoseFields";
import DoseLine from "./DoseLine";
import SettingFields from "./SettingFields";
import {
  movedTo,
  prescriptionOf,
  styled,
  stylesFor,
  type PrescribeDraft,
  type PrescribeFields,
} from "./prescribe-draft";

interface Props {
  exercise: Exercise;
  involvedSide: InvolvedSide;
  /** For boxes by the wanted knee bend; null where nobody measured it. */
  heightM: number | null;
  /** The line may say what the exercise is in the plan for. */
  takesRole?: boolean;
}

/** Variant, style, dose, settings and leg of an exercise, in the form around it. */
export default function PrescriptionFields({ exercise, involvedSide, heightM, takesRole = false }: Props) {
  const { register, reset, getValues } = useFormContext<PrescribeFields>();
  const draft = useWatch<PrescribeFields>() as PrescribeFields;
  const variant = variantOf(exercise, draft.variantId);
  /** The form with another variant or style, or as the line says it; what stands in it besides stays. */
  const change = (next: Partial<PrescribeFields>) => reset({ ...getValues(), ...next });
  return (
    <>
      <DoseLine
        key={`${draft.variantId} ${draft.style}`}
        exercise={exercise}
        involvedSide={involvedSide}
        takesRole={takesRole}
        onChange={change}
      />
      <div className="grid gap-2 sm:grid-cols-2">
        <label className="text-sm font-medium">
          {t("prescribe.variant")}
          <select
            className="select w-full"
            value={draft.variantId}
            onChange={(event) => change(movedTo(getValues(), variantOf(exercise, event.target.value)))}
          >
            {exercise.variants.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm font-medium">
          {t("prescribe.style")}
          <select
            className="select w-full"
            value={draft.style}
            onChange={(event) => change(styled(getValues(), event.target.value as PrescribeDraft["style"]))}
          >
            {stylesFor(draft).map((style) => (
              <option key={style} value={style}>
                {label("style", style)}
              </option>
            ))}
          </select>
        </label>
      </div>
      <DoseFields variant={variant} />
      <SettingFields exercise={exercise} variant={variant} heightM={heightM} />
      {sidesOf(exercise, prescriptionOf(draft)) !== "both-together" && involvedSide !== "both" && (
        <fieldset className="flex flex-wrap gap-x-4 text-sm">
          <legend className="font-medium">{t("prescribe.legs")}</legend>
          {(["", "affected", "other"] as const).map((leg) => (
            <label key={leg} className="flex min-h-11 cursor-pointer items-center gap-2">
              <input type="radio" className="radio" value={leg} {...register("leg")} />
              {leg === ""
                ? t("prescribe.eachLeg")
                : t("prescribe.onlyLeg", { side: t(`side.${workingSide({ leg }, involvedSide)}`) })}
            </label>
          ))}
        </fieldset>
      )}
    </>
  );
}
