import { v7 as uuid } from "uuid";
import type { StairView, Written } from "~/contract/episode";
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
      <ReasonForm<Written>
        path={`/api/episodes/${episodeId}/clearances`}
        body={() => ({ id: uuid(), itemId })}
        label={t("sign.clearReason")}
        submit={t("sign.clearSubmit")}
        onDone={({ stair }) => onCleared(stair)}
      />
    </details>
  );
}
