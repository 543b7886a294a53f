import { useForm } from "react-hook-form";
import type { LiftsView } from "~/contract/lifts";
import { addDays } from "~/core/schedule/local-day";
import { lookAgainDays } from "~/core/lift/small-dose";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { label, sayDate, t } from "~/messages/say";

interface Props {
  view: LiftsView;
  onWritten: (next: LiftsView) => void;
}

/** What is tried where planned loads stall: one small thing, the day to look again, then more of it, then somebody else. */
export default function SmallDoseBox({ view, onWritten }: Props) {
  const { next, forwardOn, backwardOn, steps, inPlan } = view.smallDose;
  const here = `/episodes/${view.episodeId}`;
  const last = steps.at(-1);
  const looked = (on: string | null) => (on === null ? t("lifts.dose.never") : sayDate(on));
  const date = last ? sayDate(next === "referred" ? last.at.slice(0, 10) : last.lookOn) : "";
  const step = next === "begin" || next === "more" || next === "refer" ? next : null;
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="small-dose">
      <h2 className="text-lg font-semibold">{t("lifts.dose")}</h2>
      <p className="font-medium" data-testid="small-dose-next">
        {t(`lifts.dose.${next}`, { date })}
      </p>
      {(next === "screen" || next === "begin") && (
        <>
          <p className="text-warning mt-1 text-sm font-medium">{t("lifts.dose.caution")}</p>
          <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3 text-sm">
            <dt>{t("lifts.dose.forward")}</dt>
            <dd className="font-medium">{looked(forwardOn)}</dd>
            <dt>{t("lifts.dose.backward")}</dt>
            <dd className="font-medium">{looked(backwardOn)}</dd>
          </dl>
        </>
      )}
      {next === "screen" && (
        <a
          className="btn btn-primary mt-2"
          href={`${here}/measures?take=limit-back-flexion&take=limit-back-extension`}
        >
          {t("lifts.dose.measure")}
        </a>
      )}
      {step && view.maySign && <StepForm view={view} step={step} onWritten={onWritten} />}
      {step && !view.maySign && <p className="text-sm">{t("lifts.dose.byClinician")}</p>}
      {steps.length > 0 && (
        <>
          <ol className="mt-2 text-sm">
            {steps.map(({ id, at, step: done, lookOn, note, by }) => (
              <li key={id} className="border-base-300 border-t py-1">
                <span className="font-medium">{label("lifts.dose.step", done)}</span> ·{" "}
                {sayDate(at.slice(0, 10))} · {by}
                {done !== "refer" && ` · ${t("lifts.dose.look", { date: sayDate(lookOn) })}`}
                {note !== "" && ` · ${note}`}
              </li>
            ))}
          </ol>
          {inPlan ? (
            <p className="text-base-content/75 text-sm">{t("lifts.dose.inPlan")}</p>
          ) : (
            <a className="btn mt-1" href={`${here}/plan`}>
              {t("lifts.dose.plan")}
            </a>
          )}
        </>
      )}
    </section>
  );
}

interface StepProps extends Props {
  step: "begin" | "more" | "refer";
}

function StepForm({ view, step, onWritten }: StepProps) {
  const { send, busy, problem } = useWrite("signSmallDose", { id: view.episodeId });
  const { register, handleSubmit } = useForm({
    defaultValues: { lookOn: addDays(view.today, lookAgainDays.usual), note: "" },
  });
  const sign = handleSubmit(async ({ lookOn, note }) => {
    const done = await send({ step, lookOn, ...(note.trim() === "" ? {} : { note: note.trim() }) }, step);
    if (done) onWritten(done.lifts);
  });
  return (
    <form onSubmit={sign} className="mt-2 flex flex-wrap items-end gap-2" noValidate>
      {step !== "refer" && (
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("lifts.dose.lookOn")}
          <input
            className="input w-40"
            type="date"
            min={addDays(view.today, lookAgainDays.least)}
            max={addDays(view.today, lookAgainDays.most)}
            {...register("lookOn")}
          />
        </label>
      )}
      <label className="flex min-w-40 flex-1 flex-col gap-1 text-sm font-medium">
        {t("lifts.dose.note")}
        <input className="input w-full" maxLength={400} {...register("note")} />
      </label>
      <button className="btn btn-primary" disabled={busy}>
        {t(`lifts.dose.sign.${step}`)}
      </button>
      <div className="w-full">
        <ProblemNote
          problem={problem}
          sayPath={(path) => (path === "/lookOn" ? `${t("lifts.dose.lookOn")}:` : "")}
        />
      </div>
    </form>
  );
}
