import { useState } from "react";
import { drawnHeights } from "~/core/pose/body-lengths";
import { t } from "~/messages/say";

interface Props {
  heightM: number;
  side: "left" | "right";
  /** False for a patient whose height nobody measured. */
  measured: boolean;
  onHeight: (heightM: number) => void;
  onSide: (side: "left" | "right") => void;
}

/** For whom a figure is drawn: how tall, and which side works. */
export default function FigureFor({ heightM, side, measured, onHeight, onSide }: Props) {
  const [typed, setTyped] = useState(String(Math.round(heightM * 100)));
  const cm = Number(typed);
  const fits = cm >= drawnHeights.low * 100 && cm <= drawnHeights.high * 100;
  return (
    <div className="mt-2 flex flex-wrap items-end gap-x-4 gap-y-1 print:hidden">
      <label className="flex flex-col text-sm">
        <span className="text-base-content/75">{t("exercise.height")}</span>
        <input
          className="input w-24 text-right"
          inputMode="numeric"
          value={typed}
          aria-invalid={!fits}
          aria-describedby={fits ? undefined : "height-problem"}
          onChange={(event) => {
            setTyped(event.target.value);
            const next = Number(event.target.value) / 100;
            if (next >= drawnHeights.low && next <= drawnHeights.high) onHeight(next);
          }}
        />
      </label>
      <fieldset className="flex gap-3">
        <legend className="text-base-content/75 text-sm">{t("exercise.side")}</legend>
        {(["left", "right"] as const).map((one) => (
          <label key={one} className="flex min-h-11 cursor-pointer items-center gap-2">
            <input
              type="radio"
              name="figure-side"
              className="radio"
              checked={side === one}
              onChange={() => onSide(one)}
            />
            {t(`side.${one}`)}
          </label>
        ))}
      </fieldset>
      {!measured && <p className="text-base-content/75 text-sm">{t("figure.heightUnknown")}</p>}
      {!fits && (
        <p id="height-problem" role="alert" className="text-error text-sm">
          {t("exercise.heightWrong")}
        </p>
      )}
    </div>
  );
}
