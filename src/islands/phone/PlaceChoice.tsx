import { useState } from "react";
import type { PhoneItem } from "~/contract/phone";
import { bodyPlaces, type BodyPlace } from "~/core/exercise/body-place";
import { t } from "~/messages/say";

interface Props {
  items: readonly PhoneItem[];
  chosen: BodyPlace | null;
  onChoose: (place: BodyPlace | null) => void;
}

/** For whoever asks for it: only what is done on the floor, sitting, or standing; the rest waits for another time. */
export default function PlaceChoice({ items, chosen, onChoose }: Props) {
  const [open, setOpen] = useState(false);
  const places = bodyPlaces.filter((place) => items.some((item) => item.place === place));
  if (places.length < 2 && chosen === null) return null;
  if (!open && chosen === null)
    return (
      <button type="button" className="btn phone-plain self-start" onClick={() => setOpen(true)}>
        {t("phone.placeAsk")}
      </button>
    );
  const choices = [null, ...bodyPlaces.filter((place) => places.includes(place) || place === chosen)];
  const count = (place: BodyPlace | null) =>
    items.filter((item) => place === null || item.place === place).length;
  return (
    <fieldset className="border-base-300 rounded-box border p-2">
      <legend className="px-1 text-base font-semibold">{t("phone.placeTitle")}</legend>
      <div className="grid grid-cols-2 gap-2">
        {choices.map((place) => (
          <label
            key={place ?? "all"}
            className="border-base-300 has-checked:border-primary has-checked:bg-primary/10 flex min-h-12 items-center gap-2 rounded border-2 px-2 text-base leading-tight"
          >
            <input
              type="radio"
              name="place"
              className="radio radio-primary shrink-0"
              checked={chosen === place}
              onChange={() => onChoose(place)}
            />
            {t(`phone.place.${place ?? "all"}`)} ({count(place)})
          </label>
        ))}
      </div>
    </fieldset>
  );
}
