import { useState } from "react";
import type { PhoneLink, PhonesView } from "~/contract/phones";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import { island } from "~/islands/frame/island";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayDate, sayTime, t } from "~/messages/say";
import CalendarCard from "./CalendarCard";
import HarderCard from "./HarderCard";
import MessageForm from "./MessageForm";
import PhoneCode from "./PhoneCode";
import ToldTable from "./ToldTable";

/** The clinic's side of a patient's phones: a code to open the plan, which phones have it, what came from them, messages to them. */
function PhonesPage({ phones }: { phones: PhonesView }) {
  const [view, setView] = useState(phones);
  const [made, setMade] = useState<PhoneLink | null>(null);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<Problem | null>(null);
  const { episodeId: id, zone } = view;
  const open = view.phones.some(({ endedAt }) => endedAt === null) || view.openUntil !== null;

  const make = async () => {
    setBusy(true);
    const answer = await call("makePhoneLink", { id });
    setBusy(false);
    setProblem(answer.ok ? null : answer.problem);
    if (!answer.ok) return;
    setMade(answer.value);
    setView(answer.value.phones);
  };
  const end = async (phoneId: string | null) => {
    const answer = await call("endPhones", { id }, { phoneId });
    setProblem(answer.ok ? null : answer.problem);
    if (!answer.ok) return;
    if (phoneId === null) setMade(null);
    setView(answer.value);
  };

  return (
    <div className="mx-auto grid max-w-6xl items-start gap-4 p-4 md:grid-cols-2">
      <div className="flex flex-col gap-4">
        <section className="bg-base-100 border-base-300 rounded-box flex flex-col gap-3 border p-4">
          <p>{t("phones.say")}</p>
          <ProblemNote problem={problem} />
          {made && <PhoneCode made={made} zone={zone} />}
          {!made && view.openUntil && (
            <p>{t("phones.openUntil", { until: sayTime(view.openUntil, zone) })}</p>
          )}
          <div className="flex flex-wrap gap-2">
            <button type="button" className="btn btn-primary" disabled={busy} onClick={() => void make()}>
              {t(made || view.openUntil ? "phones.makeAgain" : "phones.make")}
            </button>
            <a className="btn" href={`/episodes/${id}/handout`}>
              {t("handout.show")}
            </a>
            {open && (
              <button type="button" className="btn btn-error btn-outline" onClick={() => void end(null)}>
                {t("phones.endAll")}
              </button>
            )}
          </div>
          <h2 className="mt-2 text-lg font-semibold">{t("phones.list")}</h2>
          {view.phones.length === 0 && <p>{t("phones.none")}</p>}
          <ul className="flex flex-col">
            {view.phones.map((phone) => (
              <li
                key={phone.id}
                className="border-base-300 flex min-h-11 flex-wrap items-center gap-x-3 border-t py-1"
              >
                <span className="flex-1">
                  {t("phones.opened", { when: sayTime(phone.openedAt, zone) })} ·{" "}
                  {phone.endedAt === null
                    ? t("phones.seen", { when: sayTime(phone.seenAt, zone) })
                    : t(phone.endedBy === "patient" ? "phones.endedByPatient" : "phones.endedByClinic", {
                        when: sayTime(phone.endedAt, zone),
                      })}
                </span>
                {phone.endedAt === null && (
                  <button type="button" className="btn" onClick={() => void end(phone.id)}>
                    {t("phones.end")}
                  </button>
                )}
              </li>
            ))}
          </ul>
        </section>
        <CalendarCard view={view} onChange={setView} />
        <HarderCard view={view} onChange={setView} />
      </div>
      <div className="flex flex-col gap-4">
        <section className="bg-base-100 border-base-300 rounded-box flex flex-col gap-3 border p-4">
          <h2 className="text-lg font-semibold">{t("phones.messages")}</h2>
          {view.mayWrite && <MessageForm id={id} onWritten={setView} />}
          <ul className="flex flex-col gap-2">
            {view.messages.map(({ id: key, words, by, at }) => (
              <li key={key} className="border-base-300 border-t pt-1">
                <p className="break-words whitespace-pre-wrap">{words}</p>
                <p className="text-base-content/75 text-sm">
                  {by}, {sayTime(at, zone)}
                </p>
              </li>
            ))}
          </ul>
        </section>
        <section className="bg-base-100 border-base-300 rounded-box flex flex-col gap-2 border p-4">
          {view.mornings.length > 0 && (
            <div data-testid="mornings">
              <h2 className="text-lg font-semibold">{t("phones.mornings")}</h2>
              <ul>
                {view.mornings.map(({ date, isOpen, until }) => (
                  <li key={date} className={isOpen ? "" : "text-warning font-medium"}>
                    {t(isOpen ? "phones.morning" : "phones.morningLate", {
                      date: sayDate(date),
                      until: sayTime(until, zone),
                    })}
                  </li>
                ))}
              </ul>
              <p className="text-base-content/75 text-sm">{t("phones.morningsSay")}</p>
            </div>
          )}
          <h2 className="text-lg font-semibold">{t("phones.told")}</h2>
          {view.told.length === 0 ? (
            <p>{t("phones.toldNone")}</p>
          ) : (
            <ToldTable told={view.told} zone={zone} />
          )}
        </section>
      </div>
    </div>
  );
}

export default island(PhonesPage);
