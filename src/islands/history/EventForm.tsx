import { useState } from "react";
import { FormProvider, useForm } from "react-hook-form";
import type { EventLine, HistoryView } from "~/contract/history";
import { eventKinds } from "~/core/event/event";
import { addDays } from "~/core/schedule/local-day";
import FormFeet from "~/islands/frame/FormFeet";
import ProblemNote from "~/islands/frame/ProblemNote";
import ReasonField from "~/islands/frame/ReasonField";
import { reasonRules } from "~/islands/frame/reason-rules";
import { useWrite } from "~/islands/frame/use-write";
import { sayDate, t } from "~/messages/say";
import type { EventFields } from "./event-fields";
import SheetLines from "./SheetLines";
import { toSheetLimit } from "./sheet-line";

interface Props {
  view: HistoryView;
  /** The event to correct, or null for a new one. */
  corrected: EventLine | null;
  onSigned: (next: HistoryView) => void;
  onCancel: () => void;
}

/** Last days that the sheet of the corrected event set for what its procedures bring along, as the form holds them. */
function endsOf(view: HistoryView, corrected: EventLine | null): Record<string, string> {
  const chosen = view.procedures.filter(({ code }) => corrected?.procedures.some((one) => one.code === code));
  const ends = chosen.flatMap(({ code, limits }) =>
    limits.flatMap(({ id, says }) => {
      const until = corrected?.sheet.find((line) => line.says === says)?.until;
      return until === undefined ? [] : [[`${code} ${id}`, until] as const];
    }),
  );
  return Object.fromEntries(ends);
}

/** The surgeon's own lines of the corrected event: they stay unless they are taken out. */
function ownLines(view: HistoryView, corrected: EventLine | null): EventLine["sheet"] {
  const usual = new Set(view.procedures.flatMap(({ limits }) => limits.map(({ says }) => says)));
  return (corrected?.sheet ?? []).filter(({ says }) => !usual.has(says));
}

/** Signs what happened: an operation with its procedures, graft and the surgeon's sheet, or another event; or a correction. */
export default function EventForm({ view, corrected, onSigned, onCancel }: Props) {
  const form = useForm<EventFields>({
    defaultValues: {
      kind: corrected?.kind ?? "operation",
      on: corrected?.on ?? view.plannedOn ?? "",
      procedures: corrected?.procedures.map(({ code }) => code) ?? [],
      graft: corrected?.graft ?? "",
      ends: endsOf(view, corrected),
      sheet: [],
      reason: "",
    },
  });
  const { register, handleSubmit, watch, formState } = form;
  const { send, problem } = useWrite("recordEvent", { id: view.episodeId });
  const [kept, setKept] = useState(() => ownLines(view, corrected));
  const [kind, on, chosen] = [watch("kind"), watch("on"), watch("procedures")];
  const done = view.procedures.filter(({ code }) => chosen.includes(code));
  const grafts = [...new Set(done.flatMap((procedure) => procedure.grafts))];
  const isOperation = kind === "operation";
  const graft = watch("graft");
  const forGraft = ({ grafts: only }: { grafts: readonly string[] }) =>
    only.length === 0 || only.includes(graft);

  const body = (fields: EventFields, withdrawn: boolean) => {
    const ends = done.flatMap(({ code, limits }) =>
      limits.flatMap(({ id }) => {
        const until = fields.ends[`${code} ${id}`];
        return until ? [{ procedure: code, limit: id, until }] : [];
      }),
    );
    const operation = {
      procedures: fields.procedures,
      ...(grafts.length > 0 && fields.graft ? { graft: fields.graft } : {}),
      ...(ends.length > 0 ? { ends } : {}),
      sheet: [
        ...kept,
        ...fields.sheet.map((line) => toSheetLimit(line, { on: fields.on, bodyMassKg: view.bodyMassKg })),
      ],
    };
    return {
      kind: fields.kind,
      on: fields.on,
      ...(isOperation && !withdrawn && fields.procedures.length > 0 ? operation : {}),
      ...(corrected ? { supersedes: corrected.id } : {}),
      ...(withdrawn ? { withdrawn: true } : {}),
      reason: fields.reason.trim(),
    };
  };
  const sign = (withdrawn: boolean) =>
    handleSubmit(async (fields) => {
      const written = await send(body(fields, withdrawn), corrected?.id ?? "new");
      if (written) onSigned(written.history);
    });

  return (
    <FormProvider {...form}>
      <form onSubmit={sign(false)} className="flex flex-col gap-3" noValidate data-testid="event-form">
        <div className="grid grid-cols-2 gap-2">
          <label className="text-sm">
            {t("history.kind")}
            <select className="select w-full" disabled={corrected !== null} {...register("kind")}>
              {eventKinds.map((code) => (
                <option key={code} value={code}>
                  {t(`event.${code}`)}
                </option>
              ))}
            </select>
          </label>
          <label className="text-sm">
            {t("history.on")}
            <input className="input w-full" type="date" max={view.today} {...register("on")} />
          </label>
        </div>
        {isOperation && (
          <>
            <fieldset>
              <legend className="font-semibold">{t("history.procedures")}</legend>
              <div className="grid gap-x-3 sm:grid-cols-2">
                {view.procedures.map(({ code, name }) => (
                  <label key={code} className="flex min-h-11 items-center gap-2 text-sm">
                    <input type="checkbox" className="checkbox" value={code} {...register("procedures")} />
                    {name}
                  </label>
                ))}
              </div>
            </fieldset>
            {grafts.length > 0 && (
              <label className="text-sm">
                {t("intake.graft")}
                <select className="select w-full" {...register("graft")}>
                  <option value="">–</option>
                  {grafts.map((graft) => (
                    <option key={graft}>{graft}</option>
                  ))}
                </select>
              </label>
            )}
            {done.some(({ asksWeight }) => asksWeight) && (
              <p className="text-warning text-sm font-medium">{t("history.asksWeight")}</p>
            )}
            {done.some(({ limits }) => limits.length > 0) && (
              <fieldset data-testid="brought">
                <legend className="font-semibold">{t("history.brings")}</legend>
                <p className="text-base-content/75 text-sm">{t("history.bringsNotice")}</p>
                <ul className="mt-1">
                  {done.flatMap(({ code, limits }) =>
                    limits.filter(forGraft).map(({ id, says, untilDay }) => (
                      <li
                        key={`${code} ${id}`}
                        className="border-base-300 grid grid-cols-[1fr_10rem] items-center gap-2 border-b py-1 text-sm"
                      >
                        <span>
                          {says}
                          <span className="text-base-content/75">
                            {" · "}
                            {untilDay === null
                              ? t("history.openEnd")
                              : on
                                ? t("stair.until", { date: sayDate(addDays(on, untilDay)) })
                                : t("history.weeks", { weeks: (untilDay + 1) / 7 })}
                          </span>
                        </span>
                        <input
                          className="input w-full"
                          type="date"
                          aria-label={t("history.otherEnd", { limit: says })}
                          {...register(`ends.${code} ${id}`)}
                        />
                      </li>
                    )),
                  )}
                </ul>
              </fieldset>
            )}
            {kept.length > 0 && (
              <ul data-testid="kept-lines">
                {kept.map((line) => (
                  <li key={line.says} className="flex flex-wrap items-center gap-2 text-sm">
                    <span className="flex-1">
                      {line.says}
                      {line.until && ` · ${t("stair.until", { date: sayDate(line.until) })}`}
                    </span>
                    <button
                      type="button"
                      className="btn"
                      onClick={() => setKept(kept.filter((other) => other !== line))}
                    >
                      {t("measures.remove")}
                    </button>
                  </li>
                ))}
              </ul>
            )}
            <SheetLines />
          </>
        )}
        <ReasonField
          label={t("history.reason")}
          field={register("reason", reasonRules)}
          invalid={!!formState.errors.reason}
        />
        <ProblemNote problem={problem} />
        <FormFeet
          submit={t(corrected ? "history.signCorrection" : "history.sign")}
          disabled={formState.isSubmitting}
          onCancel={onCancel}
        >
          {corrected && (
            <button type="button" className="btn" onClick={() => void sign(true)()}>
              {t("history.takeBack")}
            </button>
          )}
        </FormFeet>
      </form>
    </FormProvider>
  );
}
