import { useFormContext } from "react-hook-form";
import type { Variant } from "~/core/exercise/exercise";
import { knobByName } from "~/core/exercise/knob";
import { sayKnobValue } from "~/messages/describe";
import { label } from "~/messages/say";
import BoxByBend from "./BoxByBend";
import type { PrescribeFields } from "./prescribe-draft";

/** How the movement stands: each of its knobs, by its words or as a number. */
export default function SettingFields({ variant, heightM }: { variant: Variant; heightM: number | null }) {
  const { register } = useFormContext<PrescribeFields>();
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
                {words.map((word) => (
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
