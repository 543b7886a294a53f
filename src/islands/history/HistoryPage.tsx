import { useState } from "react";
import type { EventLine, HistoryView } from "~/contract/history";
import { island } from "~/islands/frame/island";
import LimitTimeline from "~/islands/patient/LimitTimeline";
import { sayDate, sayTime, t } from "~/messages/say";
import ConditionBox from "./ConditionBox";
import EventForm from "./EventForm";

/** What happened to somebody, what is so with them, and everything that this limits, with today on it. */
function HistoryPage({ view: loaded }: { view: HistoryView }) {
  const [view, setView] = useState(loaded);
  const [form, setForm] = useState<EventLine | "new" | null>(null);
  const signed = (next: HistoryView) => {
    setView(next);
    setForm(null);
  };
  return (
    <div className="mx-auto max-w-7xl px-4 py-4">
      <h2 className="sr-only">{t("history.pageTitle")}</h2>
      <div className="grid items-start gap-3 lg:grid-cols-2">
        <section className="bg-base-100 border-base-300 rounded-box border p-3">
          <h2 className="text-lg font-semibold">{t("history.limits")}</h2>
          {view.limits.length === 0 ? (
            <p className="text-sm">{t("history.noLimits")}</p>
          ) : (
            <LimitTimeline limits={view.limits} today={view.today} />
          )}
          <p className="text-base-content/75 mt-2 text-sm">{t("history.sheetWins")}</p>
        </section>
        <ConditionBox view={view} onSigned={signed} />
        <section
          className="bg-base-100 border-base-300 rounded-box border p-3 lg:col-span-2"
          data-testid="events"
        >
          <div className="flex flex-wrap items-center gap-2">
            <h2 className="text-lg font-semibold">{t("history.events")}</h2>
            {view.maySign && form === null && (
              <button type="button" className="btn btn-primary ml-auto" onClick={() => setForm("new")}>
                {t("history.newEvent")}
              </button>
            )}
          </div>
          {view.plannedOn && (
            <p className="text-sm">{t("history.planned", { date: sayDate(view.plannedOn) })}</p>
          )}
          {form !== null && (
            <div className="mt-2">
              <EventForm
                key={form === "new" ? "new" : form.id}
                view={view}
                corrected={form === "new" ? null : form}
                onSigned={signed}
                onCancel={() => setForm(null)}
              />
            </div>
          )}
          <ul className="mt-2">
            {view.events.map((event) => (
              <li key={event.id} className="border-base-300 flex flex-wrap items-start gap-x-3 border-t py-2">
                <div className="min-w-0 flex-1">
                  <p className="font-semibold">
                    {sayDate(event.on)} · {t(`event.${event.kind}`)}
                  </p>
                  {event.procedures.length > 0 && (
                    <p className="text-sm">
                      {event.procedures.map(({ name }) => name).join(", ")}
                      {event.graft && ` · ${t("history.graftOf", { graft: event.graft })}`}
                    </p>
                  )}
                  <p className="text-base-content/75 text-sm">
                    {event.reason} · {event.by}, {sayTime(event.at, view.zone)}
                  </p>
                </div>
                {view.maySign && (
                  <button type="button" className="btn" onClick={() => setForm(event)}>
                    {t("history.correct")}
                  </button>
                )}
              </li>
            ))}
            <li className="border-base-300 border-t py-2">
              <p className="font-semibold">
                {sayDate(view.onsetOn)} · {t("history.onset")}
              </p>
            </li>
          </ul>
        </section>
      </div>
    </div>
  );
}

export default island(HistoryPage);
