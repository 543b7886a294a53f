import type { StairView } from "~/contract/episode";
import ReasonForm from "~/islands/frame/ReasonForm";
import { t } from "~/messages/say";

interface Props {
  episodeId: string;
  itemId: string;
  onCleared: (next: StairView) => void;
}

/** A stop is cleared in writing, here. */
export default function ClearForm({ episodeId, itemId, onCleared }: Props) {
  return (
    <details className="mt-2">
      <summary className="btn">{t("sign.clear")}</summary>
      <ReasonForm
        write="clearStop"
        values={{ id: episodeId }}
        body={(reason) => ({ itemId, reason })}
        about={itemId}
        label={t("sign.clearReason")}
        submit={t("sign.clearSubmit")}
        onDone={({ stair }) => onCleared(stair)}
      />
    </details>
  );
}
