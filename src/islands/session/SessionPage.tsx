import { useEffect, useState } from "react";
import { Controller, FormProvider, useForm } from "react-hook-form";
import type { Problem, StairView, Written } from "~/core/interchange/contract";
import { callApi } from "~/islands/frame/call-api";
import PainPicker from "~/islands/frame/PainPicker";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayTime, t } from "~/messages/say";
import { forgetDraft, keepDraft, keptDraft } from "./kept-draft";
import { newDraft, toBody, type SessionDraft } from "./session-draft";
import SessionItem from "./SessionItem";
import SessionTime from "./SessionTime";

/** Recording what was done: everything the plan says is filled in, pain and effort are asked. */
export default function SessionPage({ stair }: { stair: StairView }) {
  const [problem, setProblem] = useState<Problem | null>(null);
  const form = useForm<SessionDraft>({ defaultValues: newDraft(stair) });
  const { control, handleSubmit, formState, register, reset, subscribe } = form;
  const back = `/episodes/${stair.episodeId}`;

  useEffect(() => {
    const kept = keptDraft(stair.episodeId, stair.version);
    if (kept) reset({ ...kept, restored: true });
    return subscribe({
      formState: { values: true },
      callback: ({ values }) => keepDraft(stair.episodeId, stair.version, values),
    });
  }, [reset, subscribe, stair.episodeId, stair.version]);

  const submit = handleSubmit(async (draft) => {
    if (!draft.items.some((item) => item.done)) {
      return setProblem({ type: "/problems/nothing", title: t("session.nothing"), status: 0 });
    }
    const answer = await callApi<Written>(`/api/episodes/${stair.episodeId}/sessions`, toBody(draft));
    if (!answer.ok) {
      setProblem(answer.problem);
      return scrollTo({ top: 0 });
    }
    forgetDraft(stair.episodeId);
    location.assign(back);
  });

  const sayPath = (path: string) => {
    const [, , item, , set] = path.split("/");
    const chosen = form.getValues("items").filter((entry) => entry.done)[Number(item)];
    const name = stair.items.find((entry) => entry.itemId === chosen?.itemId)?.exercise.name;
    const field = path.split("/").at(-1) ?? "";
    return [
      name,
      set === undefined ? "" : t("session.set", { number: Number(set) + 1 }),
      name ? field : path.slice(1),
    ]
      .filter(Boolean)
      .join(", ");
  };

  return (
    <FormProvider {...form}>
      <form onSubmit={submit} className="mx-auto flex max-w-4xl flex-col gap-3 px-4 py-4 pb-28" noValidate>
        <div className="flex flex-wrap items-baseline gap-x-3">
          <h1 className="text-2xl font-bold">{t("session.title")}</h1>
          <p className="text-base-content/80">
            {stair.person.givenName} {stair.person.familyName} ·{" "}
            <strong>{t(`side.${stair.involvedSide}`)}</strong> ·{" "}
            {t("stair.sinceOnset", { days: stair.daysSinceOnset })}
          </p>
        </div>
        <ProblemNote problem={problem} sayPath={sayPath} />
        {form.watch("restored") && (
          <p className="alert alert-info alert-soft text-base-content">{t("session.restored")}</p>
        )}
        <section className="bg-base-100 border-base-300 rounded-box flex flex-col gap-3 border p-3">
          <Controller
            control={control}
            name="painBefore"
            rules={{ validate: (pain) => pain !== null }}
            render={({ field, fieldState }) => (
              <div
                className={fieldState.invalid ? "outline-error rounded-md outline-2 outline-offset-4" : ""}
              >
                <PainPicker
                  label={t("session.painBefore")}
                  name="pain-before"
                  value={field.value}
                  onChange={field.onChange}
                />
              </div>
            )}
          />
          <div className="flex flex-wrap items-end gap-4">
            <SessionTime asOf={stair.asOf} zone={stair.zone} />
            <label className="flex flex-col gap-1 text-sm font-medium">
              {t("session.otherLoad")}
              <select className="select w-36" {...register("otherLoad")}>
                <option value="">–</option>
                {(["none", "some", "much"] as const).map((code) => (
                  <option key={code} value={code}>
                    {t(`session.${code}`)}
                  </option>
                ))}
              </select>
            </label>
          </div>
        </section>
        {stair.items.map((item, index) => (
          <SessionItem key={item.itemId} stair={stair} item={item} index={index} />
        ))}
        <div className="bg-base-100 border-base-300 fixed inset-x-0 bottom-0 border-t">
          <div className="mx-auto flex max-w-4xl items-center gap-3 px-4 py-2">
            <a className="btn btn-ghost" href={back}>
              {t("frame.back")}
            </a>
            <span className="text-base-content/75 ml-auto hidden text-sm sm:inline">
              {sayTime(stair.asOf, stair.zone)}
            </span>
            <button className="btn btn-primary btn-lg" disabled={formState.isSubmitting}>
              {formState.isSubmitting ? t("session.saving") : t("session.save")}
            </button>
          </div>
        </div>
      </form>
    </FormProvider>
  );
}
