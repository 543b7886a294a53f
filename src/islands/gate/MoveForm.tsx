import { useState } from "react";
import { useForm } from "react-hook-form";
import type { GateBody, GateView } from "~/contract/gate";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import ReasonField from "~/islands/frame/ReasonField";
import { reasonRules } from "~/islands/frame/reason-rules";
import { t } from "~/messages/say";

interface Props {
  view: GateView;
  onSigned: (now: GateView) => void;
}

type Action = GateBody["action"];

/** Signs the move through the gate; past a closed one or back only with a reason. */
export default function MoveForm({ view, onSigned }: Props) {
  const { gate, stages, stage, maySign } = view;
  const at = stages.findIndex(({ code }) => code === stage);
  const next = stages[at + 1];
  const earlier = stages.slice(0, at);
  const [action, setAction] = useState<Action | null>(null);
  const { register, handleSubmit, formState, reset } = useForm<{ reason: string; stage: string }>();

  const write = useWrite("signGate", { id: view.episodeId }, ({ gate: now }) => onSigned(now));

  const sign = async (kind: Action, to: string, reason?: string) => {
    const written = await write.send(
      { expectedVersion: view.version, action: kind, stage: to, ...(reason ? { reason } : {}) },
      `${kind} ${to}`,
    );
    if (!written) return;
    setAction(null);
    reset();
    onSigned(written.gate);
  };
  const submit = handleSubmit(({ reason, stage: chosen }) =>
    action === "back"
      ? sign("back", chosen || (earlier.at(-1)?.code ?? ""), reason.trim())
      : sign("override", next?.code ?? "", reason.trim()),
  );

  if (!maySign) return <p className="text-base-content/75">{t("sign.mayNot")}</p>;
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="move">
      <h2 className="font-semibold">{t("gate.sign")}</h2>
      <p className="text-base-content/80 text-sm">{t("gate.signNotice")}</p>
      <ProblemNote problem={write.problem} />
      {action === null && (
        <div className="mt-2 flex flex-wrap gap-2">
          {next && gate?.outcome === "open" && (
            <button type="button" className="btn btn-primary" onClick={() => sign("pass", next.code)}>
              {t("gate.pass", { stage: next.name })}
            </button>
          )}
          {next && gate?.outcome !== "open" && gate?.rule !== "gate-stop" && (
            <button type="button" className="btn" onClick={() => setAction("override")}>
              {t("gate.override")}
            </button>
          )}
          {earlier.length > 0 && (
            <button type="button" className="btn" onClick={() => setAction("back")}>
              {t("gate.back")}
            </button>
          )}
        </div>
      )}
      {action !== null && (
        <form onSubmit={submit} className="mt-2 flex flex-col gap-2">
          {action === "override" && (
            <p className="text-error text-sm font-medium">{t("gate.overrideNotice")}</p>
          )}
          {action === "back" && (
            <label className="flex flex-col gap-1 text-sm font-medium">
              {t("gate.backTo")}
              <select className="select w-full" {...register("stage")} defaultValue={earlier.at(-1)?.code}>
                {earlier.map(({ code, name }) => (
                  <option key={code} value={code}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
          )}
          <ReasonField
            label={t("sign.reason")}
            field={register("reason", reasonRules)}
            invalid={!!formState.errors.reason}
          />
          <div className="flex gap-2">
            <button className="btn btn-primary" disabled={formState.isSubmitting}>
              {action === "back" ? t("gate.signBack") : t("gate.signOverride")}
            </button>
            <button type="button" className="btn btn-ghost" onClick={() => setAction(null)}>
              {t("sign.cancel")}
            </button>
          </div>
        </form>
      )}
    </section>
  );
}
