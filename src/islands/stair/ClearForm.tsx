import { useState } from "react";
import { useForm } from "react-hook-form";
import { v7 as uuid } from "uuid";
import type { Problem, StairView, Written } from "~/core/interchange/contract";
import { callApi } from "~/islands/frame/call-api";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";
import ReasonField, { reasonRules } from "~/islands/frame/ReasonField";

interface Props {
  episodeId: string;
  itemId: string;
  onCleared: (next: StairView) => void;
}

/** A stop is cleared in writing, here. */
export default function ClearForm({ episodeId, itemId, onCleared }: Props) {
  const [problem, setProblem] = useState<Problem | null>(null);
  const { register, handleSubmit, formState } = useForm<{ reason: string }>();
  const submit = handleSubmit(async ({ reason }) => {
    const answer = await callApi<Written>(`/api/episodes/${episodeId}/clearances`, {
      id: uuid(),
      itemId,
      reason: reason.trim(),
    });
    if (answer.ok) onCleared(answer.value.stair);
    else setProblem(answer.problem);
  });
  return (
    <details className="mt-2">
      <summary className="btn">{t("sign.clear")}</summary>
      <form onSubmit={submit} className="bg-base-200 mt-2 flex flex-col gap-2 rounded-md p-2">
        <ProblemNote problem={problem} />
        <ReasonField
          label={t("sign.clearReason")}
          field={register("reason", reasonRules)}
          invalid={!!formState.errors.reason}
        />
        <button className="btn btn-primary self-start" disabled={formState.isSubmitting}>
          {t("sign.clearSubmit")}
        </button>
      </form>
    </details>
  );
}
