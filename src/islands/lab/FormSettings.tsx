import { useWatch } from "react-hook-form";
import { variantOf, type Exercise, type Variant } from "~/core/exercise/exercise";
import NumberField from "~/islands/prescribe/NumberField";
import type { PrescribeFields } from "~/islands/prescribe/prescribe-draft";
import SettingFields from "~/islands/prescribe/SettingFields";
import { t } from "~/messages/say";

interface Props {
  exercise: Exercise;
  heightM: number;
  onVariant: (variant: Variant) => void;
  /** Back to what the plan says; null while nothing is turned. */
  onBack: (() => void) | null;
}

/** What of an exercise can be turned: its variant, its settings, its load. */
export default function FormSettings({ exercise, heightM, onVariant, onBack }: Props) {
  const { variantId } = useWatch<PrescribeFields>() as PrescribeFields;
  const variant = variantOf(exercise, variantId);
  return (
    <fieldset className="flex flex-col gap-2" data-testid="form-settings">
      <legend className="font-semibold">{t("lab.form")}</legend>
      <div className="grid grid-cols-[1fr_6rem] items-end gap-2">
        <label className="text-sm">
          {t("prescribe.variant")}
          <select
            className="select w-full"
            value={variantId}
            onChange={(event) => onVariant(variantOf(exercise, event.target.value))}
          >
            {exercise.variants.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <NumberField label={t("prescribe.load")} unit="kg" name="loadKg" />
      </div>
      <SettingFields exercise={exercise} variant={variant} heightM={heightM} />
      {onBack && (
        <button type="button" className="btn btn-ghost self-start" onClick={onBack}>
          {t("lab.back")}
        </button>
      )}
    </fieldset>
  );
}
