import type { StillLook } from "~/core/measure/still-template";
import { label, t } from "~/messages/say";

const sides = ["left", "right"] as const;

/** Who stands how in the picture: the leg that is stood on, and which way it is looked at. */
export default function LookSelect({ look, onLook }: { look: StillLook; onLook: (look: StillLook) => void }) {
  return (
    <>
      {look.view === "front" && (
        <label className="flex flex-col text-sm">
          <span>{t("still.stance")}</span>
          <select
            className="select w-32"
            value={look.stance}
            onChange={({ target }) => onLook({ ...look, stance: target.value as "left" | "right" })}
          >
            {sides.map((side) => (
              <option key={side} value={side}>
                {label("side", side)}
              </option>
            ))}
          </select>
        </label>
      )}
      <label className="flex flex-col text-sm">
        <span>{t("still.facing")}</span>
        <select
          className="select w-56"
          value={look.facing}
          onChange={({ target }) => onLook({ ...look, facing: target.value } as StillLook)}
        >
          {(look.view === "front" ? (["towards", "away"] as const) : sides).map((facing) => (
            <option key={facing} value={facing}>
              {t(`still.facing.${facing}`)}
            </option>
          ))}
        </select>
      </label>
    </>
  );
}
