import { useForm } from "react-hook-form";
import { v7 as uuid } from "uuid";
import type { Problem } from "~/contract/problem";
import type { PlanItem, PlanView, PlanWritten } from "~/contract/plan";
import { callApi } from "~/islands/frame/call-api";
import ReasonField, { reasonRules } from "~/islands/frame/ReasonField";
import { t } from "~/messages/say";

interface Props {
  episodeId: string;
  item: PlanItem;
  onCancel: () => void;
  onProblem: (problem: Problem) => void;
  onEnded: (next: PlanView) => void;
}

/** Takes an item out of the plan, with its reason. */
export default function EndItemForm({ episodeId, item, onCancel, onProblem, onEnded }: Props) {
  const { register, handleSubmit, formState } = useForm<{ reason: string }>();
  const submit = handleSubmit(async ({ reason }) => {
    const body = { id: uuid(), itemId: item.itemId, reason: reason.trim() };
    const answer = await callApi<PlanWritten>(`/api/episodes/${episodeId}/endings`, body);
    if (answer.ok) onEnded(answer.value.plan);
    else onProblem(answer.problem);
  });
  return (
    <form onSubmit={submit} className="bg-base-200 mt-2 flex flex-col gap-2 rounded-md p-2">
      <ReasonField
        label={t("plan.endReason")}
        field={register("reason", reasonRules)}
        invalid={!!formState.errors.reason}
      />
      <div className="flex gap-2">
        <button className="btn btn-primary" disabled={formState.isSubmitting}>
          {t("plan.endSign")}
        </button>
        <button type="button" className="btn btn-ghost" onClick={onCancel}>
          {t("sign.cancel")}
        </button>
      </div>
    </form>
  );
}
