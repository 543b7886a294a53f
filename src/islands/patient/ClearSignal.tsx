import type { StairView } from "~/contract/episode";
import ReasonForm from "~/islands/frame/ReasonForm";
import { t } from "~/messages/say";

interface Props {
  episodeId: string;
  signalId: string;
  onChange: (next: StairView) => void;
}

/** Clears a signal in writing. */
export default function ClearSignal({ episodeId, signalId, onChange }: Props) {
  return (
    <details className="mt-1">
      <summary className="btn">{t("signals.clear")}</summary>
      <ReasonForm
        write="clearSignal"
        values={{ id: episodeId }}
        body={(reason) => ({ signalId, reason })}
        about={signalId}
        label={t("sign.clearReason")}
        submit={t("sign.clearSubmit")}
        onDone={(written) => onChange(written.stair)}
      />
    </details>
  );
}
