import { useState } from "react";
import { kgFromPounds, poundsFromKg } from "~/core/load/pounds";
import { t } from "~/messages/say";
import { ways } from "~/messages/ways";
import { typedNumber } from "./typed-number";

interface Props {
  /** What the pounds are of, for the ear. */
  label: string;
  /** Kilograms as typed. */
  kg: string;
  onKg: (kg: string) => void;
}

/** Kilograms as pounds: what is typed in the one box stands in the other. */
const asPounds = (kg: string): string => {
  const value = typedNumber(kg);
  return value === null || Number.isNaN(value) ? "" : String(poundsFromKg(value));
};

/** Beside a box of kilograms, the same in pounds, for whoever reads weights so; typed in either. Kept are kilograms. */
export default function InPounds({ label, kg, onKg }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  if (ways().weight !== "lb") return null;
  const value = typed === null ? null : typedNumber(typed);
  const stands = value !== null && !Number.isNaN(value) && String(kgFromPounds(value)) === kg;
  return (
    <label className="flex flex-col gap-1 text-sm font-medium">
      {t("frame.inPounds")}
      <span className="input w-24">
        <input
          inputMode="decimal"
          autoComplete="off"
          aria-label={t("frame.inPoundsOf", { what: label })}
          value={typed !== null && (stands || typed.trim() === "") ? typed : asPounds(kg)}
          onChange={(event) => {
            const text = event.target.value;
            const pounds = typedNumber(text);
            setTyped(text);
            if (pounds === null) onKg("");
            else if (!Number.isNaN(pounds)) onKg(String(kgFromPounds(pounds)));
          }}
          onBlur={() => setTyped(null)}
        />
        <span className="text-base-content/70">lb</span>
      </span>
    </label>
  );
}
