import { t } from "~/messages/say";

/** Shares of the best that a squeeze or a push is held at, per cent. Common practice; bands of the early stages. */
const bands = { low: [30, 40], middle: [50, 70], high: [70, 80] } as const;
export type Aim = "none" | keyof typeof bands;

/** The band in the unit of the best; null where all the strength is asked for, or no best is known. */
export function bandOf(aim: Aim, best: number | null): readonly [number, number] | null {
  if (aim === "none" || best === null) return null;
  const [low, high] = bands[aim];
  return [(best * low) / 100, (best * high) / 100];
}

interface Props {
  aim: Aim;
  best: string;
  unit: string;
  onAim: (aim: Aim) => void;
}

/** All the strength there is, or a share of it to be held: then the values are no maximum. */
export default function AimSelect({ aim, best, unit, onAim }: Props) {
  return (
    <label className="flex flex-col text-sm">
      <span>{t("device.aim")}</span>
      <select className="select w-56" value={aim} onChange={({ target }) => onAim(target.value as Aim)}>
        <option value="none">{t("device.aim.none")}</option>
        {(Object.keys(bands) as (keyof typeof bands)[]).map((code) => (
          <option key={code} value={code}>
            {t("device.aim.band", { low: bands[code][0], high: bands[code][1], best, unit })}
          </option>
        ))}
      </select>
    </label>
  );
}
