import type { VoidedKind } from "~/core/schema/voided";
import ReasonForm from "~/islands/frame/ReasonForm";
import { t } from "~/messages/say";

interface Props {
  episodeId: string;
  kind: VoidedKind;
  targetId: string;
  onDone: () => void;
  onCancel: () => void;
}

/** Takes an entry out of the judgement, with a reason. */
export default function VoidForm({ episodeId, kind, targetId, onDone, onCancel }: Props) {
  return (
    <ReasonForm
      write="voidEntry"
      values={{ id: episodeId }}
      body={(reason) => ({ kind, targetId, reason })}
      about={targetId}
      label={t("record.voidReason")}
      submit={t("record.voidSubmit")}
      onDone={onDone}
      onCancel={onCancel}
    >
      <p className="text-sm">{t("record.voidStays")}</p>
    </ReasonForm>
  );
}
