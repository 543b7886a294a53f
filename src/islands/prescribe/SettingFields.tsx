import { useFormContext } from "react-hook-form";
import { offeredWords } from "~/catalogue/figures/offered";
import type { Exercise, Variant } from "~/core/exercise/exercise";
import { knobByName } from "~/core/exercise/knob";
import { sayKnobValue } from "~/messages/say-knob-value";
import { label } from "~/messages/say";
import BoxByBend from "./BoxByBend";
import type { PrescribeFields } from "./prescribe-draft";

interface Props {
  exercise: Pick<Exercise, "id" | "drawnLike">;
  variant: Variant;
  heightM: number | null;
}

/** How the movement stands: each of its knobs, by the words that it shows or as a number. */
export default function SettingFields({ exercise, variant, heightM }: Props) {
  const { register, getValues } = useFormContext<PrescribeFields>();
  /** A word that somebody prescribed stays, whatever the movement offers. */
  const wordsFor = (name: string) => {
    const present = getValues(`settings.${name}`) ?? String(variant.settings[name]);
    const offered = offeredWords(exercise, name);
    return offered.includes(present) ? offered : [present, ...offered];
  };
  return (
    <div className="grid grid-cols-2 items-end gap-2 sm:grid-cols-3">
      {Object.keys(variant.settings).map((name) => {
        const { words, unit } = knobByName(name);
        const field = register(`settings.${name}`);
        return (
          <label key={`${variant.id} ${name}`} className="text-sm">
            {label("knob", name)}
            {words === undefined && ` (${label("unit", unit) || unit})`}
            {words ? (
              <select className="select w-full" {...field}>
                {wordsFor(name).map((word) => (
                  <option key={word} value={word}>
                    {sayKnobValue(name, word)}
                  </option>
                ))}
              </select>
            ) : (
              <input className="input w-full" inputMode={name === "arc" ? "text" : "decimal"} {...field} />
            )}
          </label>
        );
      })}
      {variant.settings["box-height"] !== undefined && heightM !== null && <BoxByBend heightM={heightM} />}
    </div>
  );
}
