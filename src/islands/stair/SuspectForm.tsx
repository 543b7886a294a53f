import { useState } from "react";
import type { StairItem, StairView } from "~/contract/episode";
import ReasonForm from "~/islands/frame/ReasonForm";
import { t } from "~/messages/say";

interface Props {
  stair: StairView;
  item: StairItem;
  /** The training day that the site reacted to. */
  trainingDate: string;
  onSigned: (next: StairView) => void;
}

/** The clinician's own choice of what a reaction is traced to. */
export default function SuspectForm({ stair, item, trainingDate, onSigned }: Props) {
  const others = stair.items.filter((other) => other.itemId !== item.itemId);
  const [chosen, setChosen] = useState(others[0]?.itemId ?? "");
  if (others.length === 0) return null;
  return (
    <details className="mt-2">
      <summary className="btn">{t("suspect.button")}</summary>
      <ReasonForm
        write="attributeFlare"
        values={{ id: stair.episodeId }}
        body={(reason) => ({ trainingDate, itemId: chosen, reason })}
        about={`${trainingDate} ${chosen}`}
        label={t("sign.reason")}
        submit={t("suspect.submit")}
        onDone={(written) => onSigned(written.stair)}
      >
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("suspect.which")}
          <select
            className="select w-full"
            value={chosen}
            onChange={(event) => setChosen(event.target.value)}
          >
            {others.map((other) => (
              <option key={other.itemId} value={other.itemId}>
                {other.name}
              </option>
            ))}
          </select>
        </label>
      </ReasonForm>
    </details>
  );
}
