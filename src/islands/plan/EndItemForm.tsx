import type { PlanItem, PlanView } from "~/contract/plan";
import ReasonForm from "~/islands/frame/ReasonForm";
import { t } from "~/messages/say";

interface Props {
  episodeId: string;
  item: PlanItem;
  onCancel: () => void;
  onEnded: (next: PlanView) => void;
}

/** Takes an item out of the plan, with its reason. */
export default function EndItemForm({ episodeId, item: { itemId }, onCancel, onEnded }: Props) {
  return (
    <ReasonForm
      write="endItem"
      values={{ id: episodeId }}
      body={(reason) => ({ itemId, reason })}
      about={itemId}
      label={t("plan.endReason")}
      submit={t("plan.endSign")}
      onDone={({ plan }) => onEnded(plan)}
      onCancel={onCancel}
    />
  );
}
