import type { StairItem, StairView } from "~/contract/episode";
import type { Prescription } from "~/core/exercise/prescription";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { sayField } from "~/islands/prescribe/field-words";
import { t } from "~/messages/say";

interface Props {
  stair: StairView;
  item: StairItem;
  wanted: Prescription;
  /** What the lab compared: it is the reason. */
  sentence: string;
  onSigned: (next: StairView) => void;
}

/** Signs a form of the lab into the plan, as any change by the clinician's own hand. */
export default function UseForm({ stair, item, wanted, sentence, onSigned }: Props) {
  const { send, busy, problem } = useWrite("signDecision", { id: stair.episodeId }, (now) =>
    onSigned(now.stair),
  );
  if (!stair.maySign) return <p className="text-sm">{t("lab.onlyClinician")}</p>;
  const sign = async (isMeant: boolean) => {
    const written = await send(
      {
        itemId: item.itemId,
        expectedVersion: stair.version,
        action: "change",
        prescription: wanted,
        reason: t("lab.reason", { sentence }),
        ...(isMeant ? { meant: true } : {}),
      },
      `lab ${item.itemId} ${stair.version} ${JSON.stringify(wanted)}`,
    );
    if (written) onSigned(written.stair);
  };
  return (
    <div className="flex flex-col gap-2">
      <ProblemNote problem={problem} sayPath={sayField} onMeant={() => void sign(true)} />
      <button
        type="button"
        className="btn btn-primary self-start"
        title={t("lab.useHelp")}
        disabled={busy}
        onClick={() => void sign(false)}
      >
        {t("lab.use")}
      </button>
    </div>
  );
}
