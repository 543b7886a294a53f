import { useState } from "react";
import { useForm } from "react-hook-form";
import { v7 as uuid } from "uuid";
import type { Problem } from "~/contract/problem";
import type { GateView, GateWritten } from "~/contract/gate";
import { callApi } from "~/islands/frame/call-api";
import ReasonField, { reasonRules } from "~/islands/frame/ReasonField";
import { t } from "~/messages/say";

interface Props {
  view: GateView;
  onSet: (now: GateView) => void;
  onProblem: (problem: Problem | null) => void;
}

/** How this patient's gates are passed: by the measured value, or only when its error allows no doubt. */
export default function PassingBox({ view, onSet, onProblem }: Props) {
  const inForce = view.gate?.passing ?? "point";
  const other = inForce === "point" ? "confident" : "point";
  const [changing, setChanging] = useState(false);
  const { register, handleSubmit, formState, reset } = useForm<{ reason: string }>();
  const submit = handleSubmit(async ({ reason }) => {
    const body = { id: uuid(), passing: other, reason: reason.trim() };
    const answer = await callApi<GateWritten>(`/api/episodes/${view.episodeId}/passing`, body);
    if (!answer.ok) return onProblem(answer.problem);
    reset();
    setChanging(false);
    onSet(answer.value.gate);
  });
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="passing">
      <h2 className="font-semibold">{t("gate.passing")}</h2>
      <p className="text-sm">{t(`passing.${inForce}`)}</p>
      {view.maySign && !changing && (
        <button type="button" className="btn mt-2" onClick={() => setChanging(true)}>
          {t("gate.passingChange", { to: t(`passing.name.${other}`) })}
        </button>
      )}
      {changing && (
        <form onSubmit={submit} className="mt-2 flex flex-col gap-2">
          <ReasonField
            label={t("sign.reason")}
            field={register("reason", reasonRules)}
            invalid={!!formState.errors.reason}
          />
          <div className="flex gap-2">
            <button className="btn btn-primary" disabled={formState.isSubmitting}>
              {t("schoolForm.save")}
            </button>
            <button type="button" className="btn btn-ghost" onClick={() => setChanging(false)}>
              {t("sign.cancel")}
            </button>
          </div>
        </form>
      )}
    </section>
  );
}
