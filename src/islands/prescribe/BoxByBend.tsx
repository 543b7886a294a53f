import { useState } from "react";
import { useFormContext } from "react-hook-form";
import { typedNumber } from "~/islands/frame/typed-number";
import { t } from "~/messages/say";
import { boxForBend } from "./box-for-bend";
import type { PrescribeFields } from "./prescribe-draft";

/** The box that these legs touch at a wanted knee bend: a tall person gets a taller one. */
export default function BoxByBend({ heightM }: { heightM: number }) {
  const { setValue } = useFormContext<PrescribeFields>();
  const [typed, setTyped] = useState("");
  const deg = typedNumber(typed);
  return (
    <label className="text-sm">
      {t("prescribe.boxFor")}
      <input
        className="input w-full"
        inputMode="decimal"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          const box = boxForBend({ heightM }, typedNumber(event.target.value));
          if (box !== null) setValue("settings.box-height", String(box), { shouldDirty: true });
        }}
      />
      {deg !== null && boxForBend({ heightM }, deg) === null && (
        <span className="text-error block">{t("prescribe.boxOutside")}</span>
      )}
    </label>
  );
}
