import { knobByName } from "~/core/exercise/knob";
import type { KnobValue } from "~/core/exercise/prescription";
import { isKey, label, sayQuantity, t } from "./say";

/** Where a knob stands, with its unit: 15 cm, 50–70 %, single. */
export function sayKnobValue(name: string, value: KnobValue): string {
  const { unit } = knobByName(name);
  const text = String(value);
  const said = `knobValue.${name}.${text}`;
  if (isKey(said)) return t(said);
  const [low, high] = text.split("-");
  const isRange = /^\d+-\d+$/.test(text);
  // A tempo such as 3-1-1-0 is written as it is spoken; ranges get a dash, codes a space.
  const words =
    name === "tempo"
      ? text
      : isRange
        ? low === high
          ? `${low}`
          : `${low}–${high}`
        : text.replaceAll("-", " ");
  if (typeof value === "number" && (unit === "cm" || unit === "kg")) return sayQuantity(value, unit);
  const sign = label("unit", unit);
  return sign ? `${words}${sign === "°" ? "" : " "}${sign}` : words;
}
